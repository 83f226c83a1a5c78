import { median } from 'simple-statistics';
import type { Lead } from '../moves/index.ts';
import { matchStrikes, sureOnsets, type DueInRound, type Onset, type StrikeMatch } from '../strikes/index.ts';
import type { Seconds } from '../units/index.ts';

/** How one stroke of a combo went over all the times through it. */
export interface StrokeLanded {
  readonly stroke: number;
  readonly hits: number;
  readonly misses: number;
  /** How late it usually came, early below 0; null where it never landed. */
  readonly off: Seconds | null;
}

/** What one combo of a round came to, from one lead. */
export interface ComboLanded {
  readonly combo: string;
  readonly lead: Lead | null;
  readonly strokes: readonly StrokeLanded[];
  /** What a trial keeps of it: when strikes were due, where each time through begins among them, and what was heard around. */
  readonly due: readonly Seconds[];
  readonly starts: readonly number[];
  readonly onsets: readonly Onset[];
  /** For each that was due the place among those onsets of what landed; −1 for none. */
  readonly hits: readonly number[];
}

export interface LandedRound {
  readonly match: StrikeMatch;
  readonly combos: readonly ComboLanded[];
}

/** What is heard so long before and behind a time through may belong to it. */
const AROUND: Seconds = 0.3;

/**
 * What was heard of a round against what was due in it. Doubtful onsets are put together with nothing.
 *
 * @example
 * landedRound([], [{ at: 1 }]).match.extras // [0]
 */
export function landedRound(due: readonly DueInRound[], heard: readonly Onset[]): LandedRound {
  const sure = sureOnsets(heard);
  const match = matchStrikes(due, sure, 0);
  const landedAs = new Map(match.hits.map((hit) => [hit.due, sure[hit.onset]!]));
  const errors = new Map(match.hits.map((hit) => [hit.due, hit.error]));
  const combos = new Map<string, number[]>();
  for (const [i, { combo, lead }] of due.entries()) {
    if (combo === null) continue;
    const key = `${combo} ${lead}`;
    combos.set(key, [...(combos.get(key) ?? []), i]);
  }
  return {
    match,
    combos: [...combos.values()].map((places): ComboLanded => {
      const own = places.map((i) => due[i]!);
      const starts = own.flatMap(({ block, cycle }, k) =>
        k === 0 || own[k - 1]!.block !== block || own[k - 1]!.cycle !== cycle ? [k] : [],
      );
      const spans = starts.map(
        (from, k) => [own[from]!.at, own[(starts[k + 1] ?? own.length) - 1]!.at] as const,
      );
      const ownHits = new Set(places.flatMap((i) => landedAs.get(i) ?? []));
      const onsets = heard.filter(
        (onset) =>
          ownHits.has(onset) ||
          spans.some(([from, to]) => onset.at >= from - AROUND && onset.at <= to + AROUND),
      );
      const placeOf = new Map(onsets.map((onset, place) => [onset, place]));
      return {
        combo: own[0]!.combo!,
        lead: own[0]!.lead,
        strokes: [...new Set(own.map(({ stroke }) => stroke))]
          .sort((a, b) => a - b)
          .map((stroke) => landed(stroke, places, due, errors)),
        due: own.map(({ at }) => at),
        starts,
        onsets,
        hits: places.map((i) => placeOf.get(landedAs.get(i)!) ?? -1),
      };
    }),
  };
}

function landed(
  stroke: number,
  places: readonly number[],
  due: readonly DueInRound[],
  errors: ReadonlyMap<number, Seconds>,
): StrokeLanded {
  const all = places.filter((i) => due[i]!.stroke === stroke);
  const off = all.flatMap((i) => errors.get(i) ?? []);
  return {
    stroke,
    hits: off.length,
    misses: all.length - off.length,
    off: off.length === 0 ? null : median(off),
  };
}
