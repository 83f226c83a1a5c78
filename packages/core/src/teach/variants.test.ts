import { parseLine, type BeatLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import { walkStance } from '../body/index.ts';
import { STARTER_GRADES, STARTER_NUMBERS, moveBook, starterBook } from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';

import {
  easier,
  easierAt,
  even,
  grow,
  ladder,
  leadAdvice,
  light,
  orders,
  parts,
  power,
  sharedOpening,
  suits,
} from './index.ts';

const book = starterBook();
function line(text: string): BeatLine {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return parsed.line;
}
const ebb = { grade: { name: 'Ebb', rank: 0, order: STARTER_GRADES }, youth: null };
const minnows = {
  grade: null,
  youth: { band: 'Minnows', headContact: false, knees: false, elbows: false, spins: false, jumps: false },
};

describe('teaching variants', () => {
  it('parts: counts every part with its cue', () => {
    expect(parts(line('1 2'), book, 'left').map(({ move, part }) => `${move} ${part}`)).toEqual([
      'Jab Reach',
      'Jab Home',
      'Cross Turn',
      'Cross Reach',
      'Cross Home',
    ]);
  });
  it.each([
    ['1-1 2> 3', ['1', '1-1', '1-1 2>', '1-1 2> 3']],
    ['1 . 2 3', ['1', '1 . 2', '1 . 2 3']],
    ['1 {2 3}x2', ['1', '1 2', '1 {2 3}x2']],
    ['{1 2}x3', ['1', '{1 2}x3']],
  ])('grow: %j', (text, grown) => expect(grow(line(text))).toEqual(grown));
  it.each([
    ['1-1=2 . 3 , 2', '1 1 2 . 3 . 2'],
    ['1:3/2 2:1/4 3', '1:2/1 2 3'],
    ['parry+in-1', 'parry+in 1'],
    ['{1-2}x3 [hold2] 3', '{1 2}x3 [hold2] 3'],
    ['1 [say "up"] 2', '1 [say "up"] 2'],
  ])('even: %j is %j', (text, slow) => expect(even(line(text))).toBe(slow));
  it('light: touches with every strike, and with nothing else', () => {
    expect(light(line('1 weave 2* sw'), book)).toBe("1' weave 2' sw");
  });
  it('power: accents the last strike, or the chosen one, alone', () => {
    expect(power(line('1* 2 3 sw'), book)).toBe('1 2 3* sw');
    expect(power(line('1 2* 3'), book, 0)).toBe('1* 2 3');
  });
  it('ladder: slow, working, fastest clean', () => {
    expect(ladder(92, 118)).toEqual([60, 92, 112]);
    expect(ladder(100, 80)).toEqual([65, 76]);
    expect(ladder(92, null)).toEqual([60, 92]);
    expect(ladder(80, 42)).toEqual([39]);
    expect(ladder(80, 42, 'fastest')).toEqual([42]);
    expect(ladder(92, 118, 'fastest')).toEqual([60, 92, 118]);
    expect(ladder(200, 400, 'fastest')).toEqual([130, 200, 300]);
    expect(ladder(24, null)).toEqual([24]);
    for (const none of [NaN, 0, 999]) expect(ladder(none, 118)).toEqual([]);
  });
  it('easier: replaces what is above the grade and says what changed', () => {
    expect(easier(line('1 2-r:knee'), book, ebb)).toEqual({
      line: '1 2',
      changes: ['The knee is left out.'],
    });
    expect(easier(line('7 wheel'), book, ebb)).toEqual({
      line: '7 r:push',
      changes: [
        'Straight-leg spin becomes spinning hook kick.',
        'Spinning hook kick becomes hook kick.',
        'Hook kick becomes side kick.',
        'Side kick becomes push kick.',
      ],
    });
    expect(easier(line('1 2'), book, ebb).changes).toEqual([]);
    expect(easier(line('1 r:knee+2 3'), book, ebb).line).toBe('1 2 3');
  });
  it('easier: takes the head and the knee away from children', () => {
    expect(easier(line('1 2 r:knee 3'), book, minnows).line).toBe('1@b 2@b 3@b');
  });
  it('easier: always ends in a line that suits, or in none', () => {
    for (let seed = 0; seed < 600; seed++) {
      const text = seededLineText(seededRandom(seed));
      for (const audience of [ebb, minnows]) {
        const made = easier(line(text), book, audience).line;
        if (made !== '' && !suits(line(made), book, audience)) throw new Error(`${text} became ${made}`);
      }
    }
  });
  it('orders: every order once, the one that flows best first', () => {
    const ranked = orders(['1', '2', '3'], book, 'left', 1.25);
    expect(ranked).toHaveLength(6);
    ranked
      .slice(1)
      .forEach((order, i) => expect(order.fastestBpm!).toBeLessThanOrEqual(ranked[i]!.fastestBpm!));
    expect(orders(['1', '1'], book, 'left', 1.25)).toHaveLength(1);
    expect(orders(['1'], book, 'left', 1)).toEqual([]);
    expect(orders(['1', '2', '3', '4', '5', '6'], book, 'left', 1)).toEqual([]);
  });
  it.each([
    ['f:snap spinside', 'f:snap r:push'],
    ['spinside', 'r:push'],
    ['f:spinside', 'push'],
    ['spinhook', 'r:push'],
    ['r:elbow', 'r:hook'],
    ['f:elbow', 'hook'],
  ])('easier: %s strikes with the same limb as %s', (hard, easy) => {
    const made = easier(line(hard), book, ebb).line;
    expect(made).toBe(easy);
    const limbs = (text: string): string[] =>
      parts(line(text), book, 'left').length > 0
        ? walkStance(line(text), book, 'left').strokes.map(({ limb }) => limb)
        : [];
    expect(limbs(made)).toEqual(limbs(hard));
  });
  it('easier: a weave is ducked where the gym asks for more of it', () => {
    const moves = [...book.moves.values()].map((move) =>
      move.code === 'weave' ? { ...move, minGrade: STARTER_GRADES[1] } : move,
    );
    expect(easier(line('1 weave 3'), moveBook(moves, STARTER_NUMBERS), ebb).line).toBe('1 duck 3');
  });
  it('easier: one move at any grade, the others as they are, and what changed', () => {
    expect(easierAt(line('1 weave 3'), book, 1)).toEqual({
      line: '1 duck 3',
      changes: [expect.stringMatching(/ becomes duck\.$/)],
    });
    expect(easierAt(line('1 weave 3 weave'), book, 3)!.line).toBe('1 weave 3 duck');
    expect([easierAt(line('1 weave 3'), book, 0), easierAt(line('1 o:weave'), book, 1)]).toEqual([
      null,
      null,
    ]);
  });
  it('orders: what the holder does stays in its place, and a leg that is up with its kick', () => {
    const lines = orders(['1', 'o:1', '2'], book, 'left', 1).map((order) => order.line);
    expect(lines.sort()).toEqual(['1 o:1 2', '2 o:1 1']);
    for (const { line: order } of orders(['1', 'f:round', '^f:side', '2'], book, 'left', 1))
      expect(order).toContain('f:round ^f:side');
    expect(orders(['1', 'f:round', '^f:side', '2'], book, 'left', 1)).toHaveLength(6);
  });
  it('orders: a defence stays behind what it answers, and the answers change', () => {
    const words = ['o:2', 'r:mid', '1', 'f:hammer', 'f:backfist'];
    const lines = orders(words, book, 'left', 1).map((order) => order.line);
    expect(lines).toHaveLength(6);
    for (const order of lines) expect(order).toMatch(/^o:2 r:mid /);
    expect(
      orders(['1', 'o:2', 'r:mid', '3'], book, 'left', 1)
        .map((order) => order.line)
        .sort(),
    ).toEqual(['1 o:2 r:mid 3', '3 o:2 r:mid 1']);
  });
  it('lead advice: brings the accent to the stronger side', () => {
    expect(leadAdvice(line('1 2*'), book, 'right')).toMatchObject({
      lead: 'left',
      message: expect.stringContaining('from the rear, the long way'),
    });
    expect(leadAdvice(line('2 3*'), book, 'right')).toMatchObject({ lead: 'right' });
    expect(leadAdvice(line('weave'), book, 'right')).toBeNull();
  });
  it('opens with: counts the strokes that two lines share from the start', () => {
    expect(sharedOpening(line('1 2 3'), line('1 2 r:knee'), book)).toBe(2);
    expect(sharedOpening(line('1-2'), line('1 2'), book)).toBe(1);
    expect(sharedOpening(line('2'), line('1 2'), book)).toBe(0);
  });
});
