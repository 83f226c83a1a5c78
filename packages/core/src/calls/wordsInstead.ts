import type { Family, MoveBook } from '../moves/index.ts';
import { textsOf, usualSide, withoutSide } from './callLanguage.ts';
import { numberWord } from './numberWords.ts';

/** A word that makes a short name longer and says nothing that is not so. */
const FAMILY_WORDS: Readonly<Record<Family, string | null>> = {
  punch: 'punch',
  'open-hand': 'strike',
  elbow: 'elbow',
  kick: 'kick',
  knee: 'knee',
  block: 'block',
  evasion: null,
  clinch: 'hold',
  step: null,
  stance: 'stance',
};

/**
 * What could be said instead of a call that is not understood: the other names of the move that it stands for, and these
 * with a word of its family; nothing for what is no move.
 *
 * @example
 * wordsInstead('jab', book)[0] // 'jab punch'
 */
export function wordsInstead(text: string, book: MoveBook): string[] {
  const ofMoves = [...book.moves.values()].flatMap((move) => {
    const names = [move.say.long, move.say.short].map(withoutSide);
    return names.includes(text) ? names.flatMap((name) => [name, withFamily(name, move.family)]) : [];
  });
  const ofNumbers = [...book.numbers.values()].flatMap(({ number, code, side }) => {
    const move = numberWord(number) === text ? book.moves.get(code) : undefined;
    const stroke = move && {
      move,
      side: side ?? usualSide(move),
      level: move.level,
      feint: false,
      travel: null,
    };
    return stroke ? textsOf(stroke, book, { words: 'names', lead: 'left' }) : [];
  });
  return [...new Set([...ofMoves, ...ofNumbers])].filter((name) => name !== text);
}

function withFamily(name: string, family: Family): string {
  const word = FAMILY_WORDS[family];
  return word === null || name.split(' ').includes(word) ? name : `${name} ${word}`;
}
