import {
  findMove,
  otherLead,
  type BookEntry,
  type Lead,
  type Level,
  type Move,
  type MoveBook,
  type Side,
} from '../moves/index.ts';
import type { Stroke } from '../line/index.ts';
import type { FighterState } from './fighterState.ts';

/** What moves, in absolute terms. */
export type Limb =
  'left-hand' | 'right-hand' | 'both-hands' | 'left-leg' | 'right-leg' | 'feet' | 'body' | 'holder';

/** A stroke with its move, side, limb and level settled. */
export interface ResolvedStroke {
  readonly move: Move;
  readonly side: Side | null;
  readonly limb: Limb;
  readonly level: Level | null;
}

/**
 * Settles what a stroke means for a fighter who stands like this. @throws when the book does not know the word.
 *
 * @example
 * resolveStroke(writtenStrokes(line('r:round'))[0], book, startState('left')).level // 'body'
 */
export function resolveStroke(stroke: Stroke, book: MoveBook, state: FighterState): ResolvedStroke {
  const entry = findMove(book, stroke.word);
  if (!entry) throw new Error(`the move book has no ${stroke.word}`);
  const { move } = entry;
  const level = stroke.level ?? move.level;
  const side = settleSide(stroke, entry, state);
  if (stroke.by === 'holder') return { move, side, limb: 'holder', level };
  return { move, side, limb: limbOf(move, side, state.lead), level };
}

/** A number or move with a fixed side keeps it; a kept-up leg says which side it is; else the line, else the book. */
function settleSide(stroke: Stroke, { move, side }: BookEntry, state: FighterState): Side | null {
  switch (move.side.kind) {
    case 'fixed':
      return move.side.side;
    case 'free':
      if (side !== null) return side;
      if (stroke.side !== null) return stroke.side;
      if (stroke.keptUp && state.raised !== null) return state.raised === state.lead ? 'front' : 'rear';
      return move.side.usual;
    case 'directed':
      return stroke.side ?? move.side.usual;
    case 'both':
    case 'none':
      return null;
    default:
      return move.side satisfies never;
  }
}

function limbOf(move: Move, side: Side | null, lead: Lead): Limb {
  if (move.limb === 'hand' || move.limb === 'leg') {
    if (side === null) return move.limb === 'hand' ? 'both-hands' : 'feet';
    return `${bodySide(side, lead)}-${move.limb}`;
  }
  return move.limb;
}

/**
 * Left or right, for a front or rear side under this lead.
 *
 * @example
 * bodySide('front', 'left') // 'left'
 */
export function bodySide(side: Side, lead: Lead): Lead {
  return side === 'front' ? lead : otherLead(lead);
}
