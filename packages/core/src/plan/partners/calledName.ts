/**
 * What somebody is called in a class: the first name, and the whole one where two share it; empty for who is not in it.
 *
 * @example
 * calledName('a', [{ id: 'a', name: 'Ada Low' }, { id: 'b', name: 'Bo High' }]) // 'Ada'
 * calledName('a', [{ id: 'a', name: 'Ada Low' }, { id: 'b', name: 'Ada High' }]) // 'Ada Low'
 */
export function calledName(
  id: string,
  people: readonly { readonly id: string; readonly name?: string | undefined }[],
): string {
  const firstOf = ({ name = '' }: { readonly name?: string | undefined }): string => name.split(' ')[0]!;
  const own = people.find((each) => each.id === id);
  if (!own) return '';
  const isShared = people.some((each) => each.id !== id && firstOf(each) === firstOf(own));
  return isShared ? own.name! : firstOf(own);
}
