import fc from 'fast-check';
import { formatLine, parseLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import { STARTER_GRADES, starterBook } from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';
import { RECIPE_KINDS, followsParent, makeVariant, type VariantRecipe } from './index.ts';

const book = starterBook();
const nobody = { grade: null, youth: null };
const ebb = { grade: { name: 'Ebb', rank: 0, order: STARTER_GRADES }, youth: null };
const recipe = (kind: VariantRecipe['kind'], step: number | null = null): VariantRecipe => ({ kind, step });

describe('variant recipes', () => {
  it.each([
    ['1-2 3', recipe('even'), '1 2 3'],
    ['1-2 3', recipe('light'), "1'-2' 3'"],
    ['1 2* 3', recipe('power'), '1 2 3*'],
    ['1 2 3', recipe('power', 0), '1* 2 3'],
    ['1 2 3', recipe('grow', 2), '1 2'],
    ['1 2-r:knee', recipe('easier'), '1 2'],
    // The leg that was up is gone, whatever the holder does in between.
    ['r:knee o:round ^push', recipe('easier'), 'o:round push'],
  ])('%j with %j makes %j', (parent, how, made) => {
    expect(makeVariant(parent, how, book, ebb)).toBe(made);
  });
  it('makes nothing where there is nothing to make', () => {
    expect(makeVariant('1 2', recipe('grow', 9), book, nobody)).toBeNull();
    expect(makeVariant('rund', recipe('even'), book, nobody)).toBeNull();
    expect(makeVariant('r:knee', recipe('easier'), book, ebb)).toBeNull();
    expect(makeVariant('1', recipe('order', 0), book, nobody)).toBeNull();
  });
  it('puts the strokes of a kick kept up into other orders', () => {
    expect(makeVariant("f:round'-^f:hookkick 2", recipe('order', 0), book, nobody)).not.toBeNull();
  });
  it('follows the parent until it is edited, whatever its spelling', () => {
    expect(followsParent('1  2 3', '1-2 3', recipe('even'), book, nobody)).toBe(true);
    expect(followsParent('1 2 4', '1-2 3', recipe('even'), book, nobody)).toBe(false);
    expect(followsParent('1 2 (', '1-2 3', recipe('even'), book, nobody)).toBe(false);
  });
  it('always makes a line that can be read and is spelled canonically', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 100_000 }),
        fc.constantFrom(...RECIPE_KINDS),
        fc.integer({ min: 0, max: 3 }),
        (seed, kind, step) => {
          const made = makeVariant(seededLineText(seededRandom(seed)), { kind, step }, book, ebb);
          if (made === null) return;
          const parsed = parseLine(made, book);
          expect(parsed.ok && formatLine(parsed.line)).toBe(made);
        },
      ),
      { numRuns: 400 },
    );
  });
});
