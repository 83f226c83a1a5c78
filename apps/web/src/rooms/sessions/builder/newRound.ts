import type { BlockKindName } from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto, RoundKind, SchoolDto } from '@eurhythm/contract';
import { newBlock } from '../kinds/kinds.ts';

/** What a round may begin as, with its title and phase, and the blocks of its work; pads and shadow first. */
const BEGINNINGS = {
  pads: { title: 'Pads', phase: 'pads', work: [{ kind: 'combo' }] },
  shadow: { title: 'Shadow', phase: 'shadow', work: [{ kind: 'free' }] },
  'warm-up': {
    title: 'Warm-up',
    phase: 'warm-up',
    work: [
      { kind: 'condition', title: 'Easy steps, arms loose', reps: null, seconds: 120 },
      { kind: 'condition', title: 'Knee lifts', reps: 20, repSeconds: 1.5 },
      { kind: 'free', seconds: 120, prompts: ['Loose hands', 'Small steps', 'Change lead'] },
    ],
  },
  technique: { title: 'Technique', phase: 'technique', work: [{ kind: 'count' }] },
  combos: { title: 'Combos', phase: 'combos', work: [{ kind: 'combo' }] },
  burst: {
    title: 'Bursts',
    phase: 'conditioning',
    work: [
      { kind: 'burst' },
      { kind: 'rest', seconds: 30 },
      { kind: 'burst' },
      { kind: 'rest', seconds: 30 },
      { kind: 'burst' },
    ],
  },
  reaction: { title: 'Reactions', phase: 'pads', work: [{ kind: 'react' }] },
  footwork: { title: 'Footwork', phase: 'technique', work: [{ kind: 'footwork' }] },
  conditioning: {
    title: 'Conditioning',
    phase: 'conditioning',
    work: [{ kind: 'condition' }, { kind: 'rest', seconds: 20 }, { kind: 'condition', title: 'Sit-ups' }],
  },
  stretch: {
    title: 'Stretch',
    phase: 'stretch',
    work: [{ kind: 'hold', title: 'Hamstrings' }, { kind: 'hold', title: 'Hips' }, { kind: 'breath' }],
  },
  talk: { title: 'Talk', phase: 'technique', work: [{ kind: 'talk' }] },
} as const satisfies Readonly<
  Record<
    string,
    {
      title: string;
      phase: RoundKind;
      work: readonly { readonly kind: BlockKindName; readonly [field: string]: unknown }[];
    }
  >
>;

export type RoundBeginning = keyof typeof BEGINNINGS;

/** Every way to begin a round, as it is chosen. */
export const ROUND_BEGINNINGS = Object.entries(BEGINNINGS).map(([value, { title }]) => ({
  value: value as RoundBeginning,
  label: title,
}));

/** These end by themselves, or are a rest. */
const WITHOUT_REST: readonly RoundBeginning[] = ['warm-up', 'stretch', 'talk'];

/** A round as a coach would begin it: sensible work, with `more` of its fields as asked, and forty seconds of rest where it takes breath. */
export function newRound(
  beginning: RoundBeginning,
  id: string,
  comboId: string | null,
  words: SchoolDto['words'] = 'numbers',
  more: Readonly<Record<string, unknown>> = {},
): RoundDto {
  const { title, phase, work } = BEGINNINGS[beginning];
  const blocks = work.map((block, i) => {
    const own = i === 0 ? `${id}-work` : `${id}-work-${i + 1}`;
    return { ...newBlock(block.kind, own, comboId, words), ...block, ...more } as AnyBlockDto;
  });
  const rest = WITHOUT_REST.includes(beginning) ? [] : [newBlock('rest', `${id}-rest`, null)];
  return { id, kind: phase, title, blocks: [...blocks, ...rest] };
}

/** An id that no block of the round has. */
export function freeBlockId(round: RoundDto): string {
  const taken = new Set(round.blocks.map((block) => block.id));
  let n = round.blocks.length + 1;
  while (taken.has(`${round.id}-${n}`)) n += 1;
  return `${round.id}-${n}`;
}

/** The same round with ids of its own. */
export function copyRound(round: RoundDto, id: string): RoundDto {
  return { ...round, id, blocks: round.blocks.map((block, i) => ({ ...block, id: `${id}-${i}` })) };
}

/** An id that no round of the session has. */
export function freeRoundId(rounds: readonly RoundDto[]): string {
  const taken = new Set(rounds.map((round) => round.id));
  let n = rounds.length + 1;
  while (taken.has(`round-${n}`)) n += 1;
  return `round-${n}`;
}
