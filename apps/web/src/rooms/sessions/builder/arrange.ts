import { isRest, type MutedRule } from '@eurhythm/core/rounds';
import { arrayMove } from '@dnd-kit/sortable';
import { seriesOf } from '@eurhythm/core/plan';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';
import { copyRound, freeBlockId, freeRoundId } from './newRound.ts';

/** What is picked up or stood upon: `round:R` or `block:R/B`. */
export type Place =
  | { readonly kind: 'round'; readonly round: string }
  | { readonly kind: 'block'; readonly round: string; readonly block: string };

export const roundPlace = (round: string): string => `round:${round}`;
export const blockPlace = (round: string, block: string): string => `block:${round}/${block}`;

export function readPlace(id: string): Place | null {
  const [, kind, first = '', second = ''] = /^(round|block):([^/]+)(?:\/(.+))?$/.exec(id) ?? [];
  if (kind === 'round') return { kind, round: first };
  return kind === 'block' ? { kind, round: first, block: second } : null;
}

/** The rounds after something was put down: a round on a round, a block on a block or into another round. */
export function putDown(rounds: readonly RoundDto[], from: Place, onto: Place): RoundDto[] {
  if (from.kind === 'round') return moveRound(rounds, from.round, onto.round);
  return moveBlock(rounds, from, { round: onto.round, before: onto.kind === 'block' ? onto.block : null });
}

/** A round that leaves its neighbours leaves their series too. */
export function moveRound(rounds: readonly RoundDto[], id: string, to: string): RoundDto[] {
  const [from, target] = [
    rounds.findIndex((round) => round.id === id),
    rounds.findIndex((round) => round.id === to),
  ];
  if (from === -1 || target === -1 || from === target) return [...rounds];
  const moved = arrayMove([...rounds], from, target);
  const own = moved[target]!;
  const alone =
    !own.series ||
    [moved[target - 1], moved[target + 1]].every((each) => each?.series?.id !== own.series!.id);
  const wasAlone = seriesOf(rounds).some(
    (stretch) => stretch.rounds.length === 1 && stretch.rounds[0]!.id === id,
  );
  return alone && !wasAlone ? mended(moved.with(target, { ...own, series: null })) : mended(moved);
}

/** Moves a block before another one of its round, or of another round; without one, before the rest at the end. */
function moveBlock(
  rounds: readonly RoundDto[],
  from: { readonly round: string; readonly block: string },
  to: { readonly round: string; readonly before: string | null },
): RoundDto[] {
  const source = rounds.find((round) => round.id === from.round);
  const target = rounds.find((round) => round.id === to.round);
  const block = source?.blocks.find((each) => each.id === from.block);
  if (!source || !target || !block) return [...rounds];
  if (source === target) {
    if (to.before === null) return [...rounds];
    const at = (id: string): number => source.blocks.findIndex((each) => each.id === id);
    return replaced(rounds, { ...source, blocks: arrayMove(source.blocks, at(from.block), at(to.before)) });
  }
  if (source.blocks.length === 1) return [...rounds]; // a round keeps at least one block
  const left = { ...source, blocks: source.blocks.filter((each) => each !== block) };
  const at =
    to.before === null ? placeToAdd(target) : target.blocks.findIndex((each) => each.id === to.before);
  return replaced(replaced(rounds, left), withBlock(target, block, at));
}

/** Where a new block goes: before the rest that ends the round. */
export function placeToAdd({ blocks }: RoundDto): number {
  const last = blocks.at(-1);
  return last && isRest(last) ? blocks.length - 1 : blocks.length;
}

/** The round with a block more, under an id of its own. */
export function withBlock(round: RoundDto, block: AnyBlockDto, at = placeToAdd(round)): RoundDto {
  const id = round.blocks.some((each) => each.id === block.id) ? freeBlockId(round) : block.id;
  return { ...round, blocks: round.blocks.toSpliced(at, 0, { ...block, id }) };
}

function replaced(rounds: readonly RoundDto[], round: RoundDto): RoundDto[] {
  return rounds.map((each) => (each.id === round.id ? round : each));
}

/** Puts rounds of the library into a session, under ids of their own. */
export function withRounds(
  rounds: readonly RoundDto[],
  more: readonly RoundDto[],
  at = rounds.length,
): RoundDto[] {
  const series = new Map<string, string>();
  let all = [...rounds];
  for (const [i, round] of more.entries()) {
    const id = freeRoundId(all);
    const own = round.series;
    if (own && !series.has(own.id)) series.set(own.id, `series-${id}`);
    const copy = { ...copyRound(round, id), ...(own ? { series: { ...own, id: series.get(own.id)! } } : {}) };
    all = all.toSpliced(at + i, 0, copy);
  }
  return all;
}

/** Holds the series of a round, or the round alone, so many times. */
export function withTimes(rounds: readonly RoundDto[], index: number, times: number): RoundDto[] {
  const stretch = seriesOf(rounds).find(
    ({ from, rounds: own }) => index >= from && index < from + own.length,
  )!;
  const series =
    times > 1 ? { id: stretch.rounds[0]!.series?.id ?? `series-${stretch.rounds[0]!.id}`, times } : null;
  return rounds.map((round, i) =>
    i >= stretch.from && i < stretch.from + stretch.rounds.length ? { ...round, series } : round,
  );
}

/** Holds a round in turn with the one before it. Alone they are held twice, until somebody says how often. */
export function joinedWithBefore(rounds: readonly RoundDto[], index: number): RoundDto[] {
  const [before, own] = [rounds[index - 1], rounds[index]];
  if (!before || !own) return [...rounds];
  const series = before.series ?? { id: `series-${before.id}`, times: own.series?.times ?? 2 };
  const stretch = seriesOf(rounds).find(
    ({ from, rounds: all }) => index >= from && index < from + all.length,
  )!;
  return rounds.map((round, i) =>
    i === index - 1 || stretch.rounds.includes(round) ? { ...round, series } : round,
  );
}

/** Takes a round out of its series; what is behind it goes on as a series of its own. */
export function partedFromBefore(rounds: readonly RoundDto[], index: number): RoundDto[] {
  const id = rounds[index]?.series?.id;
  if (id === undefined) return [...rounds];
  const own = `series-${rounds[index]!.id}`;
  return rounds.map((round, i) =>
    i >= index && round.series?.id === id
      ? { ...round, series: { ...round.series, id: own === id ? `${own}-2` : own } }
      : round,
  );
}

/** Neighbours that came together with the times of another series take those of the first of them. */
function mended(rounds: readonly RoundDto[]): RoundDto[] {
  return seriesOf(rounds).flatMap(({ rounds: own, times }) =>
    own.map((round) =>
      round.series && round.series.times !== times ? { ...round, series: { ...round.series, times } } : round,
    ),
  );
}

/** The rounds with a rule of the planner not reported of one of them any more; a round of a series is known by its own id. */
export function withMuted(rounds: readonly RoundDto[], roundId: string, rule: MutedRule): RoundDto[] {
  return rounds.map((round) =>
    round.id === roundId || roundId.startsWith(`${round.id}.`)
      ? {
          ...round,
          blocks: round.blocks.map((block) => ({
            ...block,
            muted: [...new Set([...(block.muted ?? []), rule])],
          })),
        }
      : round,
  );
}

/** The round with every rule reported of it. */
export function hearing(round: RoundDto): RoundDto {
  return {
    ...round,
    blocks: round.blocks.map((block) => {
      const { muted: _, ...rest } = block;
      return rest as AnyBlockDto;
    }),
  };
}
