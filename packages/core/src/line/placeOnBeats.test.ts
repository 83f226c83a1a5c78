import fc from 'fast-check';
import { starterBook } from '../moves/index.ts';
import { fractionToText, toNumber } from '../units/index.ts';
import { isPlacedStroke, parseLine, placeOnBeats } from './index.ts';

const book = starterBook();
function placed(text: string) {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return placeOnBeats(parsed.line);
}
/** Where each stroke lands, as exact fractions, and where the clock stands at the end. */
const beats = (text: string): string => {
  const { items, beats: end } = placed(text);
  return [
    ...items.filter(isPlacedStroke).map(({ beat }) => fractionToText(beat)),
    `| ${fractionToText(end)}`,
  ].join(' ');
};

describe('placeOnBeats', () => {
  it.each([
    ['1', '0 | 0'],
    ['1 2 3', '0 1 2 | 2'],
    ['1-2=3', '0 1/2 3/4 | 3/4'],
    ['1:1/3 2:1/3 3', '0 1/3 2/3 | 2/3'],
    ['1:16/1 2', '0 16 | 16'],
    ['1+2 3', '0 0 1 | 1'],
    ['1 . 2', '0 2 | 2'],
    ['1 , 2', '0 3/2 | 3/2'],
    ['1 . . 2', '0 3 | 3'],
    ['. 1', '1 | 1'],
    ['1 .', '0 | 2'],
    ['1 ,', '0 | 3/2'],
    ['1 [free4] 2', '0 5 | 5'],
    ['[hold2] 1', '2 | 2'],
    ['1 [free4]', '0 | 5'],
    ['1 [say "hands high"] 2', '0 1 | 1'],
    ['[say "go"] 1', '0 | 0'],
    ['{1 2}x2', '0 1 2 3 | 3'],
    ['{1-2}x3', '0 1/2 3/2 2 3 7/2 | 7/2'],
    ['{1 .}x2 2', '0 2 4 | 4'],
    ['1-{2 3}x2', '0 1/2 3/2 5/2 7/2 | 7/2'],
    ['{{1}x2 2}x2', '0 1 2 3 4 5 | 5'],
    ['1 # first\n2', '0 1 | 1'],
  ])('%s lands at %s', (text, reported) => expect(beats(text)).toBe(reported));

  it('marks what lands together with the item before it', () => {
    expect(placed('1+2 3+r:round').items.map(({ together }) => together)).toEqual([false, true, false, true]);
  });
  it('keeps spoken cues and brackets in their places among the strokes', () => {
    const { items } = placed('1 [say "now"] 2 [hold2] 3');
    expect(items.map(({ item, beat }) => `${item.kind} ${fractionToText(beat)}`)).toEqual([
      'stroke 0',
      'say 1',
      'stroke 1',
      'hold 2',
      'stroke 4',
    ]);
  });
  it('a group lasts as if it were written out', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('1', '1 2', '1-2 3', '1=1 2:3/4 3', 'r:round . 1', '1+2'),
        fc.integer({ min: 2, max: 9 }),
        (body, times) => {
          expect(beats(`{${body}}x${times}`)).toBe(beats(Array(times).fill(body).join(' ')));
        },
      ),
    );
  });
  it('ends where its last impact lands, or later', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('1', '2', '.', ',', '[free3]', '{1-1}x2', '[say "up"]'), {
          minLength: 1,
          maxLength: 9,
        }),
        (words) => {
          const { items, beats: end } = placed(['1', ...words].join(' '));
          for (const { beat } of items) expect(toNumber(beat)).toBeLessThanOrEqual(toNumber(end));
        },
      ),
    );
  });
});
