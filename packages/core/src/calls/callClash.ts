import type { Move } from '../moves/index.ts';
import { withoutSide } from './callLanguage.ts';
import { numberWord } from './numberWords.ts';

const NUMBERS = new Set(Array.from({ length: 100 }, (_, n) => numberWord(n)));
const SIDES = new Set(['left', 'right', 'lead', 'rear', 'front', 'back']);

/** A spoken name of a move that means something else too. */
export interface CallClash {
  readonly which: 'long' | 'short';
  readonly message: string;
}

/**
 * What nobody could tell apart who only hears the move's spoken names; null where they are its own.
 *
 * @param others the rest of the book
 *
 * @example
 * callClash({ ...walk('roll').strokes[0].move, say: { long: 'three', short: 'roll' } }, []).which // 'long'
 */
export function callClash({ code, say }: Move, others: readonly Move[]): CallClash | null {
  for (const which of ['long', 'short'] as const) {
    const said = withoutSide(say[which]);
    const tell = (why: string): CallClash => ({ which, message: `“${said}” ${why} Give it other words.` });
    if (NUMBERS.has(said) || /^\d+$/.test(said))
      return tell('is a number: whoever hears it does what the number stands for.');
    if (SIDES.has(said)) return tell('names a side: whoever hears it waits for the move.');
    const other = others.find(
      (each) =>
        each.code !== code && [each.say.long, each.say.short].some((text) => withoutSide(text) === said),
    );
    if (other) return tell(`is what ${other.name} is called too: nobody could tell them apart.`);
  }
  return null;
}
