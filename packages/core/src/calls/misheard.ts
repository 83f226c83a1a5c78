/** What a listener took a call for; an empty text where he made out nothing. */
export interface HeardAs {
  readonly said: string;
  readonly heard: string;
}

/** A call that was taken for another one. */
export interface Misheard extends HeardAs {
  /** So many times … */
  readonly times: number;
  /** … of so many that it was said. */
  readonly of: number;
}

/**
 * The calls that were taken for others, those first that were it most often; each with what it was taken for most.
 *
 * @example
 * misheard([{ said: 'pin', heard: 'in' }, { said: 'pin', heard: 'pin' }]) // [{ said: 'pin', heard: 'in', times: 1, of: 2 }]
 */
export function misheard(calls: readonly HeardAs[]): Misheard[] {
  const bySaid = new Map<string, string[]>();
  for (const { said, heard } of calls) bySaid.set(said, [...(bySaid.get(said) ?? []), heard]);
  return [...bySaid]
    .flatMap(([said, heards]): Misheard[] => {
      const wrong = heards.filter((heard) => heard !== said);
      const count = (text: string): number => wrong.filter((heard) => heard === text).length;
      const [most] = [...new Set(wrong)].sort((a, b) => count(b) - count(a));
      return most === undefined ? [] : [{ said, heard: most, times: wrong.length, of: heards.length }];
    })
    .sort((a, b) => b.times / b.of - a.times / a.of);
}
