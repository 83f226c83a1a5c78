/** Whether a connection comes from this machine itself. */
export function isLoopback(address: string | undefined): boolean {
  const plain = (address ?? '').replace(/^::ffff:/, '');
  return plain === '::1' || plain.startsWith('127.');
}
