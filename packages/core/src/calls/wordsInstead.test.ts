import { starterBook } from '../moves/index.ts';
import { wordsInstead } from './index.ts';

const book = starterBook();

describe('wordsInstead', () => {
  it('offers the other names of a move, and its name with the word of its family', () => {
    const [long, short] = Object.values(
      [...book.moves.values()].find(({ family }) => family === 'kick')!.say,
    );
    expect(wordsInstead(short!.toLowerCase(), book)).toContain(
      long!.toLowerCase().replace(/^(front|rear) /, ''),
    );
    expect(wordsInstead('hook', book)).toContain('hook punch');
  });
  it('never says the word of a family twice', () => {
    for (const text of ['round', 'axe', 'cover', 'knee'])
      for (const word of wordsInstead(text, book)) expect(word).not.toMatch(/\b(\w+) \1\b/);
  });
  it('a number is said by the name of what it calls, with its side', () => {
    expect(wordsInstead('eight', book).every((name) => /[a-z]/.test(name))).toBe(true);
    expect(wordsInstead('two', book)).toEqual(['cross']);
  });
  it('offers nothing for what is no move', () => {
    expect(wordsInstead('halfway', book)).toEqual([]);
  });
});
