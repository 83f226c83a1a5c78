import { walkStance } from '../../../body/index.ts';
import { parseLine, placeOnBeats } from '../../../line/index.ts';
import type { MoveBook } from '../../../moves/index.ts';
import type { Bpm } from '../../../units/index.ts';
import type { BlockBase } from '../blockBase.ts';
import type { ComboBlock } from '../combo/comboBlock.ts';

export const STRIKE_PLACES = ['with', 'after'] as const;

/** Steps there and back on a beat, with a strike on the last step; as many as the room allows. */
export interface FootworkBlock extends BlockBase {
  readonly kind: 'footwork';
  readonly there: string;
  readonly back: string;
  readonly steps: number;
  /** A stroke on the last step there; empty for none. */
  readonly strike: string;
  /** Whether it lands with the foot, or half a beat after it, which is usual. */
  readonly strikeAt?: (typeof STRIKE_PLACES)[number] | undefined;
  /** Steps of room one way; null for plenty. */
  readonly room: number | null;
  readonly bpm: Bpm;
}

/**
 * How many steps there fit into the room, at least one, at most as many as wanted.
 *
 * @example
 * stepsThatFit({ ...usualBlock('footwork', 'f'), steps: 5, room: 2 }, book) // 2
 */
export function stepsThatFit(block: FootworkBlock, book: MoveBook): number {
  if (block.room === null) return block.steps;
  const parsed = parseLine(block.there, book);
  if (!parsed.ok) return block.steps;
  const { floor } = walkStance(parsed.line, book, 'left');
  const reach = Math.max(floor.forward, floor.back, floor.left, floor.right);
  return reach === 0 ? block.steps : Math.max(1, Math.min(block.steps, Math.floor(block.room / reach)));
}

/**
 * The pattern as a beat line: steps there, the strike with the last one or half a beat after it, and as many steps back,
 * every step on a whole beat.
 *
 * @example
 * footworkLine({ ...usualBlock('footwork', 'f'), steps: 2 }, book) // 'in in-2-out out'
 */
export function footworkLine(block: FootworkBlock, book: MoveBook): string {
  const n = stepsThatFit(block, book);
  const there = Array.from({ length: n }, () => block.there).join(' ');
  const back = Array.from({ length: n }, () => block.back).join(' ');
  if (block.strike === '') return `${there} ${back}`;
  const way = `${there}${block.strikeAt === 'with' ? '+' : '-'}${block.strike}`;
  return `${way}${gapToBeat(way, book)}${back}`;
}

/** The gap that brings what follows a line to the next whole beat. */
function gapToBeat(line: string, book: MoveBook): string {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return ' ';
  const { n, d } = placeOnBeats(parsed.line).beats;
  const left = d - (n % d);
  if (left === d) return ' ';
  return left * 2 === d ? '-' : left * 4 === d ? '=' : `:${left}/${d} `;
}

/**
 * Footwork is a line on the beat, each step called by its name.
 *
 * @example
 * footworkAsCombo(usualBlock('footwork', 'f'), book).kind // 'combo'
 */
export function footworkAsCombo(block: FootworkBlock, book: MoveBook): ComboBlock {
  return {
    kind: 'combo',
    id: block.id,
    seconds: block.seconds,
    combos: [
      {
        id: block.id,
        grade: '',
        number: 1,
        title: 'footwork',
        line: footworkLine(block, book),
        beatsPerBar: 4,
      },
    ],
    bpm: block.bpm,
    calls: 'on-beat',
    words: 'names',
    leadPlan: 'halves',
    cyclesEach: 10,
  };
}
