import fc from 'fast-check';
import { STARTER_MOVES, seededLineText, starterBook } from './testLines.ts';
import { seededRandom } from '../units/index.ts';
import { LINE_LIMITS, formatLine, parseLine, placeOnBeats, type BeatLine } from './index.ts';

const book = starterBook();

/** The same line without its character offsets. */
function withoutSpans(line: BeatLine): unknown {
  return JSON.parse(
    JSON.stringify(line, (key, value: unknown) => (key === 'from' || key === 'to' ? undefined : value)),
  );
}

function parsed(text: string): BeatLine {
  const result = parseLine(text, book);
  if (!result.ok) throw new Error(`${text}: ${result.errors[0]!.message}`);
  return result.line;
}

describe('a line', () => {
  it('comes back the same from its canonical spelling (2,000 generated lines)', () => {
    for (let seed = 0; seed < 2000; seed++) {
      const line = parsed(seededLineText(seededRandom(seed)));
      const spelling = formatLine(line);
      expect(withoutSpans(parsed(spelling))).toEqual(withoutSpans(line));
      expect(formatLine(parsed(spelling))).toBe(spelling);
    }
  });

  it('never goes back in time', () => {
    for (let seed = 0; seed < 500; seed++) {
      const { items, beats } = placeOnBeats(parsed(seededLineText(seededRandom(seed))));
      let last = 0;
      for (const { beat } of items) {
        expect(beat.n / beat.d).toBeGreaterThanOrEqual(last);
        last = beat.n / beat.d;
      }
      expect(beats.n / beats.d).toBeGreaterThanOrEqual(last);
    }
  });

  it('never throws and never hangs on 100,000 random and mutated texts', () => {
    const alphabet = ' .,-=+:;/?^!*\'"@<>(){}[]#\n0123456789xhblofrsayjéЖ🥊';
    const letters = [...alphabet, ...STARTER_MOVES.map((move) => move.code), '[say "', '}x3', ':3/4 '];
    for (let seed = 0; seed < 100_000; seed++) {
      const random = seededRandom(seed);
      let text = seed % 2 === 0 ? '' : seededLineText(random);
      const edits = 1 + Math.floor(random() * 12);
      for (let i = 0; i < edits; i++) {
        const at = Math.floor(random() * (text.length + 1));
        const cut = Math.floor(random() * 3);
        text = text.slice(0, at) + letters[Math.floor(random() * letters.length)]! + text.slice(at + cut);
      }
      const result = parseLine(text, book);
      if (result.ok) continue;
      if (result.errors.length === 0) throw new Error(`no fault told: ${JSON.stringify(text)}`);
      for (const { from, to } of result.errors) {
        if (!(from >= 0 && to >= from && to <= text.length))
          throw new Error(`${from}-${to} in ${JSON.stringify(text)}`);
      }
    }
  });

  it('takes any unicode without throwing', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: LINE_LIMITS.characters + 10 }), (text) => {
        parseLine(text, book);
      }),
      { numRuns: 3000 },
    );
  });
});
