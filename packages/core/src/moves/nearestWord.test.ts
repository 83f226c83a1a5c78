import fc from 'fast-check';
import {
  STARTER_MOVES,
  STARTER_NUMBERS,
  editDistance,
  moveBook,
  nearestWord,
  starterBook,
  wordFor,
} from './index.ts';

const word = fc.string({ unit: fc.constantFrom(...'abcdef'), maxLength: 7 });

describe('editDistance', () => {
  it.each([
    ['', '', 0],
    ['jab', 'jab', 0],
    ['jab', 'jb', 1],
    ['jab', 'jabb', 1],
    ['jab', 'ajb', 1],
    ['round', 'ruond', 1],
    ['cross', 'corsss', 2],
    ['push', 'knee', 4],
  ])('of %s and %s is %d', (a, b, distance) => expect(editDistance(a, b)).toBe(distance));
  it('is the same both ways, and nothing only between equals', () => {
    fc.assert(
      fc.property(word, word, (a, b) => {
        expect(editDistance(a, b)).toBe(editDistance(b, a));
        expect(editDistance(a, b) === 0).toBe(a === b);
        expect(editDistance(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length));
        expect(editDistance(a, b)).toBeGreaterThanOrEqual(Math.abs(a.length - b.length));
      }),
    );
  });
  it('is one for any single slip of the pen', () => {
    fc.assert(
      fc.property(word, fc.nat(), fc.constantFrom(...'abcdef'), (a, place, letter) => {
        const at = place % (a.length + 1);
        expect(editDistance(a, a.slice(0, at) + letter + a.slice(at))).toBe(1);
        if (at < a.length) expect(editDistance(a, a.slice(0, at) + a.slice(at + 1))).toBe(1);
      }),
    );
  });
  it('stops where more is sure, and is exact below that', () => {
    fc.assert(
      fc.property(word, word, fc.integer({ min: 0, max: 3 }), (a, b, most) => {
        const exact = editDistance(a, b);
        const stopped = editDistance(a, b, most);
        if (exact <= most) expect(stopped).toBe(exact);
        else expect(stopped).toBeGreaterThan(most);
      }),
    );
  });
});

describe('nearestWord', () => {
  it('is a word of the fewest slips, the first by the alphabet, or none', () => {
    const known = ['abc', 'abcd', 'bcade', 'fade', 'cafed', 'feed', 'ab', 'aaaa'];
    fc.assert(
      fc.property(word, (wrong) => {
        const most = wrong.length <= 4 ? 1 : 2;
        const far = known.map((each) => ({ each, slips: editDistance(wrong, each) }));
        const [best] = far
          .filter(({ slips }) => slips <= most && wrong !== '')
          .sort((a, b) => a.slips - b.slips || (a.each < b.each ? -1 : 1));
        expect(nearestWord(wrong, known)).toBe(best?.each ?? null);
      }),
      { numRuns: 1000 },
    );
  });
});

describe('wordFor', () => {
  const book = starterBook();
  it.each(STARTER_MOVES.map(({ code }) => [code]))(
    '%s is found in spite of a slip, or something as near',
    (code) => {
      if (code.length < 4) return;
      const found = wordFor(book, code.slice(0, 1) + code.slice(2));
      expect(found).not.toBeNull();
      expect(editDistance(code.slice(0, 1) + code.slice(2), found!)).toBeLessThanOrEqual(2);
    },
  );
  it('knows a move by its name, however it is written', () => {
    const letters = (name: string): string => name.toLowerCase().replaceAll(/[^\p{L}]/gu, '');
    for (const { name } of STARTER_MOVES) {
      const found = book.moves.get(wordFor(book, letters(name))!)!;
      expect([found.name, found.say.short, ...found.aliases].map(letters)).toContain(letters(name));
      expect(wordFor(book, letters(name).toUpperCase())).toBe(found.code);
    }
  });
  it('knows an own move by its aliases, and asks each book anew', () => {
    const own = { ...STARTER_MOVES[0]!, code: 'flick', name: 'Flicker', aliases: ['whip hand'] };
    const more = moveBook([...STARTER_MOVES, own], STARTER_NUMBERS);
    expect([wordFor(more, 'whiphand'), wordFor(book, 'whiphand')]).toEqual(['flick', null]);
  });
  it('suggests nothing for what is far from everything', () => {
    for (const far of ['', 'q', 'xyzzy', 'w'.repeat(25), '🥊'])
      expect(nearestWord(far, book.moves.keys())).toBeNull();
  });
});
