import type { Block, Phase } from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';

/** Rounds that stand next to each other with the same id are held in turn, so many times. */
export interface Series {
  readonly id: string;
  readonly times: number;
}

/** As much of a round as the planner needs; `B` is how its blocks are written. */
export interface RoundLike<B extends { readonly id: string; readonly seconds: Seconds } = Block> {
  readonly id: string;
  readonly title: string;
  readonly kind: Phase;
  readonly blocks: readonly B[];
  readonly series?: Series | null | undefined;
}

/**
 * Length of a round in seconds; a time that is still being typed counts as nothing.
 *
 * @example
 * roundSeconds({ blocks: [{ seconds: 120 }, { seconds: 40 }] }) // 160
 */
export function roundSeconds(round: { readonly blocks: readonly { readonly seconds: Seconds }[] }): Seconds {
  return round.blocks.reduce((sum, { seconds }) => sum + (Number.isFinite(seconds) ? seconds : 0), 0);
}

/**
 * Neighbours of one series as one stretch; a round without a series is a stretch of its own.
 *
 * @example
 * seriesOf([{ series: { id: 's', times: 3 } }, { series: { id: 's', times: 3 } }]).map(({ times }) => times) // [3]
 */
export function seriesOf<R extends { readonly series?: Series | null | undefined }>(
  rounds: readonly R[],
): { readonly rounds: R[]; readonly from: number; readonly times: number }[] {
  const stretches: { rounds: R[]; from: number; times: number }[] = [];
  for (const [i, round] of rounds.entries()) {
    const last = stretches.at(-1);
    const before = last?.rounds.at(-1);
    if (last && round.series && before?.series?.id === round.series.id) last.rounds.push(round);
    else stretches.push({ rounds: [round], from: i, times: round.series?.times ?? 1 });
  }
  return stretches;
}

/** The longest id that the contract takes. */
const LONGEST_ID = 64;

/**
 * Every round as often as it is held, in order: a series of A and B three times is A B A B A B. The first time keeps the
 * ids; later ones get the time through added, and their titles say which one of how many it is.
 *
 * @example
 * unrollRounds([{ id: 'a', title: 'Pads', series: { id: 's', times: 2 } }]).map(({ id }) => id) // ['a', 'a.2']
 */
export function unrollRounds<
  R extends { readonly id: string; readonly title: string; readonly series?: Series | null | undefined },
>(rounds: readonly R[]): R[] {
  return seriesOf(rounds).flatMap(({ rounds: own, times }) =>
    Array.from({ length: times }, (_, time) =>
      own.map((round) => {
        if (times === 1) return round;
        const mark = time === 0 ? '' : `.${time + 1}`;
        const id = `${round.id.slice(0, LONGEST_ID - mark.length)}${mark}`;
        return { ...round, id, title: `${round.title} (${time + 1} of ${times})`, series: null };
      }),
    ).flat(),
  );
}

/**
 * Place of the round of the session that a held round stands for; −1 when there is none.
 *
 * @example
 * sourceOf('a.2', [{ id: 'b' }, { id: 'a' }]) // 1
 */
export function sourceOf(heldId: string, rounds: readonly { readonly id: string }[]): number {
  const exact = rounds.findIndex((round) => round.id === heldId);
  return exact === -1 ? rounds.findIndex((round) => heldId.startsWith(`${round.id}.`)) : exact;
}

/**
 * The title of a round that is held several times, without which time it is.
 *
 * @example
 * titleInSeries('Pads (2 of 3)') // 'Pads'
 */
export function titleInSeries(title: string): string {
  return title.replace(/ \(\d+ of \d+\)$/, '');
}

/**
 * Length of all rounds as often as they are held.
 *
 * @example
 * sessionSeconds([{ blocks: [{ seconds: 60 }], series: { id: 's', times: 3 } }]) // 180
 */
export function sessionSeconds(
  rounds: readonly {
    readonly series?: Series | null | undefined;
    readonly blocks: readonly { readonly seconds: Seconds }[];
  }[],
): Seconds {
  return seriesOf(rounds).reduce(
    (sum, { rounds: own, times }) => sum + times * own.reduce((part, round) => part + roundSeconds(round), 0),
    0,
  );
}
