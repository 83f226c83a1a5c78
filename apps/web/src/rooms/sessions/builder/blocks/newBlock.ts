import type { AnyBlockDto, CountBlockDto, GroupRepsDto, SchoolDto } from '@eurhythm/contract';
import { toldNumber } from '../../../../ui/numbers.ts';

export type BlockKind = AnyBlockDto['kind'];

/** What the kinds of blocks are called, and what they are for. */
export const BLOCK_NAMES: Readonly<Record<BlockKind, readonly [name: string, what: string]>> = {
  combo: ['Combos', 'combos on a beat, called'],
  count: ['On the count', 'a move or line, so many on each side'],
  burst: ['Burst', 'as many as possible in ten seconds'],
  hold: ['Hold', 'a stretch or stance, counted down'],
  free: ['Shadow', 'move freely, with prompts'],
  react: ['React', 'answer a call at random waits'],
  footwork: ['Footwork', 'steps there and back, fitted to the room'],
  condition: ['Condition', 'an exercise, by count or clock'],
  rest: ['Rest', 'nobody works'],
  talk: ['Talk', 'explain; the words are for you'],
};

export const STARTER_PROMPTS = ['Hands high', 'Move your head', 'Circle out', 'Change lead'];

export function newCountBlock(id: string): CountBlockDto {
  return {
    kind: 'count',
    id,
    seconds: 60,
    title: 'Round kick',
    line: 'r:round',
    reps: 15,
    groups: [],
    sides: 'both',
    sets: 2,
    rest: 20,
    repSeconds: null,
    method: 'whole',
    direction: 'up',
    levels: 'fixed',
    from: 'standing',
    shoutLast: true,
  };
}

/** A block as a coach would begin it. */
export function newBlock(
  kind: BlockKind,
  id: string,
  comboId: string | null,
  words: SchoolDto['words'] = 'numbers',
): AnyBlockDto {
  switch (kind) {
    case 'combo':
      return {
        kind,
        id,
        seconds: 120,
        combos: comboId === null ? [] : [{ comboId }],
        bpm: 80,
        calls: 'on-beat',
        words,
        leadPlan: 'halves',
        cyclesEach: 4,
      };
    case 'count':
      return newCountBlock(id);
    case 'burst':
      return { kind, id, seconds: 10, title: 'Two straights' };
    case 'hold':
      return { kind, id, seconds: 66, title: 'Low stance', holdSeconds: 30, sides: 'both', times: 1 };
    case 'free':
      return {
        kind,
        id,
        seconds: 120,
        prompts: STARTER_PROMPTS,
        every: { min: 8, max: 14 },
        leadPlan: 'halves',
      };
    case 'react':
      return { kind, id, seconds: 60, call: 'now', line: '1 2', every: { min: 3, max: 7 }, regular: 15 };
    case 'footwork':
      return { kind, id, seconds: 60, there: 'in', back: 'out', steps: 3, strike: '2', room: null, bpm: 90 };
    case 'condition':
      return { kind, id, seconds: 33, title: 'Squats', reps: 15, groups: [], repSeconds: 2 };
    case 'rest':
      return { kind, id, seconds: 40 };
    case 'talk':
      return { kind, id, seconds: 60, title: 'What comes next', notes: '' };
    default:
      return kind satisfies never;
  }
}

/** One line about a block: what is done, and how much of it. */
export function tellBlock(block: AnyBlockDto, comboName: (id: string | undefined) => string): string {
  switch (block.kind) {
    case 'combo':
      return `${block.combos.map((ref) => comboName(ref.comboId)).join(', ') || 'no combo yet'} · ${toldNumber(block.bpm)} a minute`;
    case 'count':
      return `${block.title}: ${toldNumber(block.reps)}${block.sides === 'both' ? ' each side' : ''} × ${toldNumber(block.sets)}${tellGroups(block.groups)}`;
    case 'burst':
      return block.title;
    case 'hold':
      return `${block.title}: ${toldNumber(block.holdSeconds)} s${block.sides === 'both' ? ' each side' : ''} × ${toldNumber(block.times)}`;
    case 'free':
      return `${block.prompts.length} prompts`;
    case 'react':
      return `${block.call === '' ? 'the holder’s sign' : `“${block.call}”`}: ${block.line}`;
    case 'footwork':
      return `${toldNumber(block.steps)} × ${block.there}${block.strike === '' ? '' : `, ${block.strike}`}, ${toldNumber(block.steps)} × ${block.back}`;
    case 'condition':
      return `${block.title}${block.reps === null ? '' : `: ${toldNumber(block.reps)}${tellGroups(block.groups)}`}`;
    case 'rest':
      return '';
    case 'talk':
      return block.title;
    default:
      return block satisfies never;
  }
}

/** Who does how many instead. */
function tellGroups(groups: readonly GroupRepsDto[]): string {
  return groups.length === 0
    ? ''
    : ` (${groups.map(({ group, reps }) => `${group} ${toldNumber(reps)}`).join(', ')})`;
}
