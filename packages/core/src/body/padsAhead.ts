import { isStrike, type Level } from '../moves/index.ts';
import type { Walk, WalkedStroke } from './walkStance.ts';

/** What a holder has to show for one stroke, as the holder sees it, who stands opposite. */
export interface Pad {
  /** Index of the stroke. */
  readonly stroke: number;
  readonly text: string;
  /** The holder's own hand; `both` where the stroke comes over the middle or with both hands. */
  readonly hand: 'left' | 'right' | 'both';
  readonly level: Level | null;
  /** Whether the holder strikes and the fighter answers. */
  readonly isThrown: boolean;
}

/**
 * What comes after a stroke, in order: every strike of the fighter that needs a pad, and every one that the holder throws. Holder
 * and fighter look at each other, so the fighter's left is at the holder's right hand. `done` is the last stroke that is over; null
 * before the first.
 *
 * @param done place among the strokes, from 0
 * @param most how many pads are told at most
 *
 * @example
 * padsAhead(walk('1 2'), null, 2).map(({ hand }) => hand) // ['right', 'left']
 */
export function padsAhead(walk: Walk, done: number | null, most: number): Pad[] {
  return walk.strokes
    .filter(({ index, stroke, move }) => index > (done ?? -1) && (stroke.by === 'holder' || isStrike(move)))
    .slice(0, most)
    .map(padOf);
}

function padOf({ index, stroke, move, side, limb, level, before }: WalkedStroke): Pad {
  const isThrown = stroke.by === 'holder';
  const pad = { stroke: index, text: move.name, level, isThrown };
  if (isThrown || limb === 'both-hands') return { ...pad, hand: 'both' };
  const fighters = limb.startsWith('left')
    ? 'left'
    : limb.startsWith('right')
      ? 'right'
      : sideOf(side, before.lead);
  if (fighters === null) return { ...pad, hand: 'both' };
  return { ...pad, hand: fighters === 'left' ? 'right' : 'left' };
}

function sideOf(side: WalkedStroke['side'], lead: 'left' | 'right'): 'left' | 'right' | null {
  if (side === null) return null;
  const other = lead === 'left' ? 'right' : 'left';
  return side === 'front' ? lead : other;
}
