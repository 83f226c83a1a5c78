import { isStrike, numberOf, type Level, type Move, type MoveBook, type Side } from '../moves/index.ts';
import { numberWord } from './numberWords.ts';

/** What a gym's voice says: the numbers of strokes, their names, or only the number of the combo. */
export const CALL_WORDS = ['numbers', 'names', 'combo-number'] as const;
export type CallWords = (typeof CALL_WORDS)[number];

interface CalledStroke {
  readonly move: Move;
  readonly side: Side | null;
  readonly level: Level | null;
  readonly feint: boolean;
  /** Only if the stroke before it landed. */
  readonly conditional?: boolean;
}

/**
 * What can be said for a stroke, longest first. The level is said when it is not the move's own; a feint says so.
 * With numbers, a stroke that has none is called by its name.
 *
 * @example
 * strokeForms({ ...walk('jab').strokes[0], feint: false }, book, 'names') // ['jab', 'one']
 */
export function strokeForms(stroke: CalledStroke, book: MoveBook, words: CallWords): string[] {
  const { move, side, level, feint } = stroke;
  const aim = level !== null && level !== move.level ? ` ${level}` : '';
  const fake = feint ? 'fake ' : '';
  const number = numberOf(book, move, side);
  const numbered =
    number === undefined ? [] : [`${fake}${numberWord(number)}${aim}`, `${fake}${numberWord(number)}`];
  const sided = sideWord(move, side);
  const named = [
    `${fake}${sided}${move.say.long}${aim}`,
    `${fake}${move.say.short}${aim}`,
    `${fake}${move.say.short}`,
  ];
  const forms = words === 'numbers' && number !== undefined ? numbered : [...named, ...numbered];
  if (stroke.conditional) return [`${IF_IT_LANDS}, ${forms.at(-1)!}`, IF_IT_LANDS];
  return [...new Set(forms)];
}

const IF_IT_LANDS = 'if it lands';

/** The side is said where it is not the one that is usually meant; a kick of the rear leg is the plain one. */
function sideWord(move: Move, side: Side | null): string {
  if (side === null) return '';
  if (move.side.kind === 'directed') return side === move.side.usual ? '' : `${side} `;
  return side === 'front' && move.side.kind === 'free' && move.side.usual === 'rear' ? 'front ' : '';
}

/**
 * What can be said to a holder who offers the target of a stroke: the limb that comes and the height, or the height alone.
 *
 * @example
 * holderForms({ ...walk('cross').strokes[0], feint: false })[0] // 'hand head'
 */
export function holderForms({ move, level, feint }: CalledStroke): string[] {
  if (level === null || feint || !isStrike(move)) return [];
  const what = move.family === 'kick' || move.family === 'knee' ? move.family : 'hand';
  return [`${what} ${level}`, level];
}

/**
 * What can be said to a holder who has to throw a stroke himself: what, and where to.
 *
 * @example
 * throwForms(walk('jab').strokes[0].move, 'head') // ['throw jab head', 'throw jab', 'jab']
 */
export function throwForms({ say }: Move, level: Level | null): string[] {
  const aim = level === null ? [] : [`throw ${say.short} ${level}`];
  return [...aim, `throw ${say.short}`, say.short];
}

/**
 * What can be said to announce a combo, longest first: "flood four, low gate", "flood four", "four".
 *
 * @example
 * comboForms({ grade: 'Ebb', number: 3, title: 'Door' }) // ['ebb three, door', 'ebb three', 'three']
 * comboForms({ grade: '', number: 1, title: 'Footwork' }) // ['footwork']
 */
export function comboForms(combo: {
  readonly grade: string;
  readonly number: number;
  readonly title: string;
}): string[] {
  const number = numberWord(combo.number);
  const grade = combo.grade.toLowerCase();
  const title = combo.title
    .toLowerCase()
    .replace(/[^\p{L}\p{N}' ]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  // A line that is no grade's has no number of its own.
  if (grade === '' && title !== '') return [title];
  const short = grade === '' ? number : `${grade} ${number}`;
  return [...new Set([title === '' ? short : `${short}, ${title}`, short, number])];
}
