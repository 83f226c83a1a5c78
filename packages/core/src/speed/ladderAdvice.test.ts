import { starterBook } from '../moves/index.ts';
import type { Cycle } from '../rounds/index.ts';
import { ladderAdvice } from './ladderAdvice.ts';
import type { SetQuality } from '../tempo/index.ts';

const combo = { id: 'a', grade: 'Ebb', number: 1, title: 'A', line: '1 2 3', beatsPerBar: 4 };
const both = (quality: SetQuality): SetQuality[] => [quality, quality];
const round = (bpm: number, of = 'a') => ({
  combos: [combo],
  cycles: [{ combo: of, at: 0, beats: 4, beatSeconds: 60 / bpm, lead: 'left' } as unknown as Cycle],
});
const advice = (
  rounds: readonly ReturnType<typeof round>[],
  said: readonly (SetQuality | null)[][],
  at = said.length - 1,
) => {
  const people = ['Ines', 'Joost'].map((name, i) => ({ id: String(i), name, pace: 1.25 }));
  return ladderAdvice({
    rounds,
    round: at,
    book: starterBook(),
    people,
    quality: (of, id) => said[of]?.[Number(id)] ?? null,
    before: () => [],
  });
};

describe('the ladder of a class', () => {
  it('goes up for the next round of the same combo when all was clean twice', () => {
    const bothClean: SetQuality[][] = [
      ['clean', 'clean'],
      ['clean', 'clean'],
    ];
    expect(advice([round(84), round(84), round(84)], bothClean)).toEqual({
      bpm: 88,
      by: 4,
      sentence: 'Ines: Clean twice at 84: up to 88.',
      others: [],
    });
  });
  it('is held by who was never marked, and says so', () => {
    expect(advice([round(84), round(84), round(84)], [['clean'], ['clean', null]])).toMatchObject({
      bpm: 84,
      sentence: 'Joost: 84 as it is written: nothing was marked yet.',
      others: [{ name: 'Ines', bpm: 88 }],
    });
  });
  it('goes back when one was wild, from what the next round was to be', () => {
    expect(advice([round(84), round(88), round(92)], [['clean'], ['clean', 'wild']])).toMatchObject({
      bpm: 75,
      by: -17,
    });
  });
  it('tells it without a press where the next round has another combo, or goes like that already', () => {
    expect(advice([round(84), round(90, 'b')], [both('loose')])!.by).toBeNull();
    expect(advice([round(84), round(84)], [both('loose')])!.by).toBeNull();
  });
  it('skips rounds of other combos, and rounds of which nothing was said', () => {
    expect(
      advice([round(84), round(60, 'b'), round(84), round(84)], [both('clean'), both('wild'), both('clean')])!
        .bpm,
    ).toBe(88);
    expect(advice([round(84), round(84)], [[null, null]])).toBeNull();
  });
  it('tells whose own next tempo is another one, the slowest first', () => {
    const said: SetQuality[][] = [
      ['clean', 'wild'],
      ['clean', 'wild'],
    ];
    expect(advice([round(84), round(84), round(84)], said)).toMatchObject({
      bpm: 72,
      others: [{ name: 'Ines', bpm: 88 }],
    });
  });
  it('sends nobody beyond what the own body does cleanly, and the class no further than the slowest', () => {
    const ladder = (slow: number, others: number) => ({
      rounds: [round(146), round(146), round(146)],
      round: 1,
      book: starterBook(),
      people: [slow, others, others, others, others].map((factor, i) => ({
        id: String(i),
        name: `F${i}`,
        pace: { base: factor, pairs: {} },
      })),
      before: () => [],
      quality: () => 'clean' as const,
    });
    const one = ladderAdvice(ladder(2.4, 1))!;
    expect(one.bpm).toBe(147);
    expect(one.others.map(({ bpm }) => bpm)).toEqual([150, 150, 150, 150]);
    const all = ladderAdvice(ladder(2.4, 2.4))!;
    expect(all).toMatchObject({ bpm: 147, others: [] });
  });
  it('says nothing of a round without a combo', () => {
    expect(advice([{ combos: [], cycles: [] }], [['clean']])).toBeNull();
  });
});
