/**
 * A number with what it counts: one of it, or many.
 *
 * @param count whole
 *
 * @example
 * howMany(1, 'round') // '1 round'
 * howMany(0, 'class', 'classes') // '0 classes'
 */
export const howMany = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;
