import { moveBook, STARTER_MOVES, starterBook } from '../moves/index.ts';
import { ROUND_CALLS, VOICE_RATES, clipLibrary, slowestClip, vocabularyOf } from './index.ts';

describe('vocabularyOf', () => {
  const words = vocabularyOf(starterBook());
  it('has what every round says, the numbers, and every move by both its names, each once', () => {
    expect(words).toEqual(expect.arrayContaining([...ROUND_CALLS, 'one', 'twenty', 'round kick', 'round']));
    for (const { say } of STARTER_MOVES)
      for (const name of [say.long, say.short]) expect(words).toContain(name.replace(/^front /, ''));
    expect(new Set(words).size).toBe(words.length);
  });
  it('has the numbers that the gym gives beyond those that are counted', () => {
    const numbered = moveBook(STARTER_MOVES, [{ number: 42, code: 'jab', side: null }]);
    expect(vocabularyOf(numbered)).toContain('forty two');
  });
});

describe('slowestClip', () => {
  const clip = (text: string, rate: number) => ({
    id: `${text}${rate}`,
    text,
    rate,
    seconds: 1,
    centre: 0.1,
  });
  const library = clipLibrary([clip('one', VOICE_RATES[1]!), clip('one', VOICE_RATES[3]!)]);
  it('is the first rate that the library has', () => {
    expect(slowestClip(library, 'one')!.rate).toBe(VOICE_RATES[1]);
    expect(slowestClip(library, 'two')).toBeNull();
  });
});
