/** Of what is listed together as a change, no more than this share is false on average. */
const FALSE_SHARE = 0.05;

/**
 * Those of many comparisons that may stand in one list: with twenty tests looked at, one goes beyond its own limit by chance alone.
 * The procedure of Benjamini and Hochberg (1995); where nothing changed at all, nineteen of twenty lists stay empty.
 *
 * @param chanceOf the chance of a difference as large where nothing has changed; null where that is not known
 *
 * @example
 * [...standTogether([0.04, 0.001, 0.9], (chance) => chance)] // [0.001]
 */
export function standTogether<T>(all: readonly T[], chanceOf: (one: T) => number | null): ReadonlySet<T> {
  const known = all
    .flatMap((one) => {
      const chance = chanceOf(one);
      return chance === null ? [] : [{ one, chance }];
    })
    .sort((a, b) => a.chance - b.chance);
  const last = known.findLastIndex(({ chance }, i) => chance <= (FALSE_SHARE * (i + 1)) / known.length);
  return new Set(known.slice(0, last + 1).map(({ one }) => one));
}
