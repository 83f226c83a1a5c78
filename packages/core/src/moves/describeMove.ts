import type { Family, Move, MoveRisk, MoveSide, Side } from './move.ts';

type Given = Pick<Move, 'code' | 'name' | 'out' | 'back'> & Partial<Omit<Move, 'parts' | 'say'>>;

/** A risk that the book tells from the start. */
export function risk(text: string, when: Partial<Omit<MoveRisk, 'text'>> = {}): MoveRisk {
  return { text, severity: 'note', side: null, level: null, muted: false, ...when };
}

export const front: MoveSide = { kind: 'fixed', side: 'front' };
export const rear: MoveSide = { kind: 'fixed', side: 'rear' };
export const both: MoveSide = { kind: 'both' };
export const none: MoveSide = { kind: 'none' };

/** Either side, with the side that is meant when the line does not say. */
export function usually(side: Side): MoveSide {
  return { kind: 'free', usual: side };
}

/** Over one shoulder or the other, with the one that is meant when the line does not say. */
export function over(side: Side): MoveSide {
  return { kind: 'directed', usual: side };
}

/**
 * Fills a book entry with what is usual for its family.
 * `short` is the short spoken form; `parts` are "name: cue" texts, one for each count.
 */
export function describeMove(family: Family, short: string, given: Given, parts: readonly string[]): Move {
  return {
    family,
    limb: 'hand',
    side: none,
    level: null,
    surface: null,
    target: null,
    turn: 0,
    spin: 0,
    support: 'both-feet',
    lead: 'keeps',
    facing: 0,
    step: { forward: 0, right: 0 },
    stance: null,
    faults: [],
    easier: null,
    cautions: [],
    aliases: [],
    minGrade: null,
    role: null,
    ...given,
    say: { long: given.name.toLowerCase(), short },
    parts: parts.map((part) => {
      const colon = part.indexOf(': ');
      return { name: part.slice(0, colon), cue: part.slice(colon + 2) };
    }),
  };
}
