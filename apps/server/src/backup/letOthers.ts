/** So many things of a list are worked on at once. */
export const AT_ONCE = 200;

/** Other requests get their turn before a long list goes on. */
export function letOthers(): Promise<void> {
  return new Promise((done) => setImmediate(done));
}
