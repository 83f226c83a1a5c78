/**
 * A package of the older kind that is read while the server runs: as Node gives it, or as the bundle does, which has all of it under
 * one name.
 */
export function olderPackage<P extends object>(read: P): P {
  return (read as { default?: P }).default ?? read;
}
