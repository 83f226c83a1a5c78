import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';

export const STARTER_PROMPTS = ['Hands high', 'Move your head', 'Circle out', 'Change lead'];

/** A round as a coach would begin it: two minutes of work and forty seconds of rest. */
export function newRound(
  kind: RoundDto['kind'],
  id: string,
  comboId: string | null,
  words: 'numbers' | 'names' = 'numbers',
): RoundDto {
  const rest: AnyBlockDto = { kind: 'rest', id: `${id}-rest`, seconds: 40 };
  return kind === 'shadow'
    ? { id, kind, title: 'Shadow', blocks: [shadowWork(id, 120), rest] }
    : { id, kind, title: 'Pads', blocks: [padsWork(id, 120, comboId, words), rest] };
}

export function padsWork(
  id: string,
  seconds: number,
  comboId: string | null,
  words: 'numbers' | 'names',
): AnyBlockDto {
  return {
    kind: 'combo',
    id: `${id}-work`,
    seconds,
    combos: comboId === null ? [] : [{ comboId }],
    bpm: 80,
    calls: 'on-beat',
    words,
    leadPlan: 'halves',
    cyclesEach: 4,
  };
}

export function shadowWork(id: string, seconds: number): AnyBlockDto {
  return {
    kind: 'free',
    id: `${id}-work`,
    seconds,
    prompts: STARTER_PROMPTS,
    every: { min: 8, max: 14 },
    leadPlan: 'halves',
  };
}

/** The same round with ids of its own. */
export function copyRound(round: RoundDto, id: string): RoundDto {
  return { ...round, id, blocks: round.blocks.map((block, i) => ({ ...block, id: `${id}-${i}` })) };
}

/** Turns a round into one of the other kind; work and rest keep their times. */
export function changeKind(round: RoundDto, kind: RoundDto['kind'], comboId: string | null): RoundDto {
  const fresh = newRound(kind, round.id, comboId);
  const [work] = round.blocks;
  const blocks = fresh.blocks.map((block, i) => ({
    ...block,
    seconds: round.blocks[i]?.seconds ?? block.seconds,
  }));
  return { ...fresh, title: round.title, blocks: work ? blocks : fresh.blocks };
}

/** An id that no round of the session has. */
export function freeRoundId(rounds: readonly RoundDto[]): string {
  const taken = new Set(rounds.map((round) => round.id));
  let n = rounds.length + 1;
  while (taken.has(`round-${n}`)) n += 1;
  return `round-${n}`;
}

export function roundSeconds(round: RoundDto): number {
  return round.blocks.reduce((sum, block) => sum + (Number.isFinite(block.seconds) ? block.seconds : 0), 0);
}
