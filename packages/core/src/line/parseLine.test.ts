import { starterBook } from '../moves/index.ts';
import { formatLine, parseLine, type LineError } from './index.ts';

const book = starterBook();

function errorsOf(text: string): readonly LineError[] {
  const parsed = parseLine(text, book);
  if (parsed.ok) throw new Error(`reads well: ${text}`);
  return parsed.errors;
}

function canonical(text: string): string {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
  return formatLine(parsed.line);
}

describe('parseLine', () => {
  it.each([
    ['  1   2\n3 ', '1 2 3'],
    ['1:1/2 2', '1-2'],
    ['1:2/8 2', '1=2'],
    ['1:6/8 2', '1:3/4 2'],
    ['?o:1', null],
    ['1 ?o:2', '1 o:?2'],
    ["r:round!'@l>", "r:round@l>'!"],
    ['01 2', '1 2'],
    ['{ 1  {2 3}x2 }x2', '{1 {2 3}x2}x2'],
    ['1 .-2', '1 . 2'],
    ['[say "hands  high"] 1', '[say "hands  high"] 1'],
    ['1 # first\n2 # second', '1 # first\n2 # second'],
    ['# alone\n1', '# alone\n1'],
    ['1:3/4 # slow\n2', '1:3/4 # slow\n2'],
    ['{1 2 # end\n}x2', '{1 2 # end\n}x2'],
  ])('spells %j as %j', (text, spelling) => {
    if (spelling === null) expect(errorsOf(text)).toHaveLength(1);
    else {
      expect(canonical(text)).toBe(spelling);
      expect(canonical(spelling)).toBe(spelling);
    }
  });

  it('keeps the marks of a stroke', () => {
    const parsed = parseLine("1 (?f:round@l<'!)", book);
    expect(parsed.ok && parsed.line.entries[1]!.item).toEqual({
      kind: 'stroke',
      word: 'round',
      by: 'fighter',
      side: 'front',
      feint: true,
      conditional: true,
      keptUp: false,
      level: 'low',
      step: 'back',
      power: 'touch',
      shout: true,
      from: 2,
      to: 17,
    });
  });

  it.each([
    ['', 0, 0, null],
    ['   ', 0, 3, null],
    ['1 rund', 2, 6, 'round'],
    ['1 Jab', 2, 5, 'jab'],
    ['1 (2', 2, 4, null],
    ['1 42', 2, 4, null],
    ['1 100', 2, 5, null],
    ['1@x', 1, 3, null],
    ['1**', 2, 3, null],
    ["1*'", 2, 3, null],
    ['1 -2', 1, 3, null],
    ['1- 2', 1, 3, null],
    ['1-', 1, 2, null],
    ['+1', 0, 1, null],
    ['1 .+2', 3, 4, null],
    ['1:0/4 2', 1, 5, null],
    ['1:3/17 2', 1, 6, null],
    ['1:3/4', 1, 5, null],
    ['{1 2', 0, 4, null],
    ['{1 2}', 0, 5, null],
    ['{}x3', 0, 2, null],
    ['{1}x1', 3, 5, null],
    ['{1}x51', 3, 6, null],
    ['{{{{1}x2}x2}x2}x2', 3, 6, null],
    ['[free0]', 0, 7, null],
    ['[hold65]', 0, 8, null],
    ['[jump3]', 0, 7, null],
    ['[say ""]', 0, 8, null],
    ['^round', 0, 6, null],
    ['round 1 ^round', 8, 14, null],
    ['round ^1', 6, 8, null],
    ['1)', 1, 2, null],
    ['{{1}x50}x5', 0, 10, null],
    [`${'1 '.repeat(201)}`, 400, 402, null],
  ])('faults %j at %i to %i', (text, from, to, hint) => {
    const errors = errorsOf(text);
    expect(errors[0]).toMatchObject({ from, to, hint });
    expect(errors[0]!.message).toMatch(/[.?]$/);
    expect(errors[0]!.expected.length).toBeGreaterThan(3);
  });

  it('reports every fault of a line, in the order of their places', () => {
    const errors = errorsOf('jb 42 (3 1 r:knie@q');
    expect(errors.map((error) => error.from)).toEqual([0, 3, 6, 13, 17]);
    expect(errors.map((error) => error.hint)).toEqual(['jab', null, null, 'knee', null]);
  });

  it('refuses a megabyte at once, with one sentence', () => {
    expect(errorsOf('1 '.repeat(500_000))).toHaveLength(1);
  });
  it.each([
    ['(2)>', '`(2>)`'],
    ['1 (f:round)@l 2', '`(f:round@l)`'],
    ["1-(2)'!", "`(2'!)`"],
  ])('%s is reported how to write it', (text, meant) => {
    const [error, ...more] = errorsOf(text);
    expect(more).toEqual([]);
    expect(error!.message).toBe(`Marks of a feint stand inside its brackets: write ${meant}.`);
  });
});

it.each([
  ['o:(1)', '(o:1)'],
  ['f:(round@h) 2', '(f:round@h) 2'],
  ['2 ?o:(1) 2', '2 (o:?1) 2'],
])('a feint inside a prefix, %s, is %s', (typed, written) => expect(canonical(typed)).toBe(written));
