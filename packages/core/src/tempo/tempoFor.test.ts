import fc from 'fast-check';
import { ABOUT_SPOKEN } from '../calls/index.ts';
import { starterBook } from '../moves/index.ts';
import { compileRound } from '../rounds/index.ts';
import { cleanTempos, togetherOf, tempoFor, type TempoPerson, type TempoSet } from './index.ts';

const book = starterBook();
const upTo = cleanTempos(book);
const LINES = ['1 2 3', 'r:round r:round', '1 2 r:round', '1 sw 2 3', 'f:push 2 3 r:knee', '1-2-3-2 r:round'];
const combo = (line: string, bpm = 80) => ({ id: 'c', line, bpm, beatsPerBar: 4 });
const person = (name: string, pace: TempoPerson['pace'] = 1.25): TempoPerson => ({ id: name, name, pace });

describe('the one tempo of those who do a combo', () => {
  it('is what is written where nobody was marked, as far as a body does it cleanly', () => {
    expect(tempoFor([person('Ada')], combo('1 2'), { setsOf: () => [] }, upTo, 1.25)).toMatchObject({
      bpm: 80,
      sentence: '80 as it is written: nothing was marked yet.',
    });
    const twice = tempoFor([person('Ada')], combo('r:round-r:round', 180), { setsOf: () => [] }, upTo, 1.25);
    expect(twice.bpm).toBeLessThan(80);
    expect(twice.sentence).toContain('is the fastest that stays clean over and over at the gym’s pace');
  });
  it('is that of the slowest of three, with why', () => {
    const sets: Record<string, TempoSet[]> = {
      Ada: [
        { bpm: 84, quality: 'clean' },
        { bpm: 84, quality: 'clean' },
      ],
      Bo: [{ bpm: 84, quality: 'loose' }],
    };
    const those = tempoFor(
      ['Ada', 'Bo', 'Cy'].map((name) => person(name)),
      combo('1 2'),
      { setsOf: (id) => sets[id] ?? [] },
      upTo,
      1.25,
    );
    expect(those.each.map(({ name, bpm, by }) => [name, bpm, by])).toEqual([
      ['Cy', 80, 'written'],
      ['Bo', 84, 'marks'],
      ['Ada', 88, 'marks'],
    ]);
    expect(togetherOf(those.each)).toEqual({
      bpm: those.bpm,
      sentence: those.sentence,
      behind: those.behind,
    });
  });
  it('is right for three of four of a class, and tells who goes slower', () => {
    const twice = (bpm: number): TempoSet[] => [
      { bpm, quality: 'clean' },
      { bpm, quality: 'clean' },
    ];
    const names = ['Ada', 'Bo', 'Cy', 'Di', 'Eve', 'Flo', 'Gus', 'Hal'];
    const those = tempoFor(
      names.map((name) => person(name)),
      combo('1 2'),
      { setsOf: (id) => twice(id === 'Ada' ? 60 : id === 'Bo' ? 72 : 84) },
      upTo,
      1.25,
    );
    expect([those.bpm, those.behind]).toEqual([
      88,
      [
        { name: 'Ada', bpm: 64 },
        { name: 'Bo', bpm: 76 },
      ],
    ]);
    // No body is asked for more than it does cleanly, whoever is behind.
    const slow = [person('Ada', 4), ...names.slice(1).map((name) => person(name))];
    const kick = tempoFor(slow, combo('r:round r:round', 180), { setsOf: () => [] }, upTo, 1.25);
    expect(kick.bpm).toBe(upTo(combo('r:round r:round'), 4));
  });
  it('is never told to be too fast by the round that is played at it, at any pace, from either lead', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LINES),
        fc.double({ min: 0.8, max: 2.2, noNaN: true }),
        fc.integer({ min: 30, max: 240 }),
        (line, pace, written) => {
          const { bpm } = tempoFor(
            [person('Ada', pace)],
            combo(line, written),
            { setsOf: () => [] },
            upTo,
            1,
          );
          const block = {
            ...{ kind: 'combo' as const, id: 'b', seconds: 60, bpm, calls: 'on-beat' as const },
            ...{ words: 'numbers' as const, leadPlan: 'halves' as const, cyclesEach: 4 },
            combos: [{ ...combo(line), grade: '', number: 1, title: 'C' }],
          };
          const { findings } = compileRound(
            { blocks: [block], lead: 'left', seed: 1, factor: pace },
            book,
            ABOUT_SPOKEN,
          );
          expect(findings.filter(({ rule }) => rule === 'tempo-too-fast')).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
  });
});
