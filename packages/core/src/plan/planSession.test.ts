import { STARTER_MOVES, STARTER_NUMBERS, moveBook, starterBook } from '../moves/index.ts';
import { usualBlock, type WrittenBlock } from '../rounds/index.ts';
import {
  comboName,
  countedTechnique,
  sessionPlanner,
  type ClassFacts,
  type WrittenSession,
} from './index.ts';

const book = starterBook();
const combo = (id: string, line: string) => ({
  id,
  grade: 'Ebb',
  number: 1,
  title: id,
  line,
  beatsPerBar: 4,
});
const pads = (id: string, comboId: string, seconds = 60): WrittenBlock => ({
  ...usualBlock('combo', id),
  seconds,
  combos: [{ comboId }],
  leadPlan: 'as-set',
});
const session = (blocks: readonly WrittenBlock[], times = 1): WrittenSession => ({
  lead: 'left',
  rounds: [
    {
      id: 'r',
      title: 'Pads',
      kind: 'pads',
      blocks,
      ...(times > 1 ? { series: { id: 's', times } } : {}),
    },
  ],
});
const facts: ClassFacts = { groups: [], bands: ['adults'], floorSteps: null, kit: [] };
const plannerOf = (retired: readonly string[] = []) =>
  sessionPlanner({ book, retired, combos: [combo('straights', '1 2'), combo('kick', '1 r:round@h')] });

describe('a planned session', () => {
  it('is added up: its length, its phases and its strikes, series as often as they are held', () => {
    const plan = plannerOf();
    const once = plan(session([pads('a', 'straights'), usualBlock('rest', 'p')]), facts);
    expect([once.seconds, once.phases]).toEqual([100, [{ phase: 'pads', seconds: 100 }]]);
    const [left, right] = [once.strikes.limbs['left-hand'], once.strikes.limbs['right-hand']];
    expect(left).toBeGreaterThan(5);
    expect(left).toBe(right);
    const thrice = plan(session([pads('a', 'straights'), usualBlock('rest', 'p')], 3), facts);
    expect(thrice.seconds).toBe(300);
    expect(thrice.strikes.limbs['left-hand']).toBe(3 * left);
  });
  it('is the same when a block is seen again, and another one once it is changed', () => {
    const plan = plannerOf();
    const written = session([pads('a', 'straights')]);
    const first = plan(written, facts);
    expect(plan(structuredClone(written), facts)).toEqual(first);
    const longer = plan(session([pads('a', 'straights', 120)]), facts);
    expect(longer.strikes.limbs['left-hand']).toBeGreaterThan(first.strikes.limbs['left-hand']);
    expect(plannerOf()(written, facts)).toEqual(first);
  });
  it('warns of combos that are gone and moves that are retired', () => {
    const gone = plannerOf()(session([pads('a', 'nowhere')]), facts);
    expect(gone.warnings.map(({ rule }) => rule)).toContain('gone-combo');
    const retired = plannerOf(['jab'])(session([pads('a', 'straights')]), facts);
    expect(retired.warnings).toContainEqual(
      expect.objectContaining({ rule: 'retired-move', message: expect.stringContaining('jab') }),
    );
    expect(
      plannerOf()(session([pads('a', 'straights')]), facts).warnings.map(({ rule }) => rule),
    ).not.toContain('retired-move');
  });
  it('warns of a high kick before anybody is warm, at its place', () => {
    const { warnings } = plannerOf()(session([pads('a', 'kick')]), facts);
    expect(warnings).toContainEqual(
      expect.objectContaining({ rule: 'no-warm-up', place: { round: 'r', block: 'a', at: 0 } }),
    );
  });
  it('follows the book: what a number means decides what is struck', () => {
    const kicks = moveBook(
      STARTER_MOVES,
      STARTER_NUMBERS.map((each) => (each.number === 1 ? { number: 1, code: 'round', side: 'rear' } : each)),
    );
    const plan = sessionPlanner({ book: kicks, retired: [], combos: [combo('straights', '1')] });
    const { strikes } = plan(session([pads('a', 'straights')]), facts);
    expect([strikes.limbs['left-hand'], strikes.limbs['right-leg'] > 0]).toEqual([0, true]);
  });
});

describe('a technique of a grade', () => {
  const technique = { move: 'r:round', reps: 15, sides: 'both', sets: 2, restSeconds: 20 } as const;
  it('is counted with its name, its side and its counts', () => {
    expect(countedTechnique(technique, undefined, book)).toEqual({
      title: 'Round kick',
      line: 'r:round',
      reps: 15,
      sides: 'both',
      sets: 2,
      rest: 20,
    });
  });
  it('is a combo where it names one, and none where its move is not in the book', () => {
    const named = countedTechnique({ ...technique, move: null }, combo('Door', '1 2'), book);
    expect(named).toMatchObject({ title: 'Door', line: '1 2' });
    expect(countedTechnique({ ...technique, move: 'nosuch' }, undefined, book)).toBeNull();
    expect(countedTechnique({ ...technique, move: null }, undefined, book)).toBeNull();
  });
  it('is counted no further than the voice has words', () => {
    expect(countedTechnique({ ...technique, reps: 500 }, undefined, book)!.reps).toBe(99);
  });
});

describe('the name of a combo', () => {
  it('is its grade and number, or that it is gone', () => {
    expect(comboName({ grade: 'Ebb', number: 3 })).toBe('Ebb 3');
    expect(comboName({ grade: '', number: 3 })).toBe('3');
    expect(comboName(undefined)).toBe('a combo that is gone');
  });
});
