import { checkFields } from './index.ts';

/** What is reported when some fields of something right are changed, as "field: sentence"; a field may be a path. */
export function sentencesOf<T extends object>(
  shape: new () => T,
  right: object,
): (changes: Readonly<Record<string, unknown>>) => string[] {
  return (changes) => {
    const changed = JSON.parse(JSON.stringify(right)) as Record<string, unknown>;
    for (const [path, value] of Object.entries(changes)) put(changed, path.split('.'), value);
    return checkFields(shape, changed).map(({ field, message }) => `${field}: ${message}`);
  };
}

/** Sets, or with undefined takes out, what stands at a path. */
function put(whole: Record<string, unknown>, [first, ...rest]: readonly string[], value: unknown): void {
  if (rest.length > 0) put(whole[first!] as Record<string, unknown>, rest, value);
  else if (value === undefined) delete whole[first!];
  else whole[first!] = value;
}
