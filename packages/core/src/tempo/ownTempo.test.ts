import fc from 'fast-check';
import { seededRandom } from '../units/index.ts';
import { ownTempo, setQuality, type SetQuality, type TempoSet } from './ownTempo.ts';

const sets = (...reported: readonly (readonly [number, TempoSet['quality']])[]): TempoSet[] =>
  reported.map(([bpm, quality]) => ({ bpm, quality }));

describe('the next tempo of somebody', () => {
  it.each([
    ['clean goes up a step', sets([84, 'clean']), 88, 'Clean at 84: up to 88.'],
    ['clean twice goes up', sets([84, 'clean'], [84, 'clean']), 88, 'Clean twice at 84: up to 88.'],
    [
      'the best that was clean counts, not an easy day after it',
      sets([88, 'clean'], [88, 'clean'], [72, 'clean'], [72, 'clean']),
      92,
      'Clean twice at 88: up to 92.',
    ],
    ['loose stays', sets([84, 'clean'], [88, 'loose']), 88, 'Loose at 88: stay there until it is clean.'],
    [
      'loose far above the best comes back to a step above it',
      sets([84, 'clean'], [84, 'clean'], [100, 'loose']),
      88,
      'Clean twice at 84: up to 88.',
    ],
    [
      'a step that was missed twice waits at the best tempo',
      sets([84, 'clean'], [84, 'clean'], [88, 'loose'], [88, 'loose']),
      84,
      'Not clean at 88: 84 until it is clean twice.',
    ],
    [
      'what was missed by much for a slow tempo is tried by half',
      sets([68, 'clean'], [72, 'clean'], [76, 'loose'], [76, 'loose'], [72, 'clean'], [72, 'clean']),
      74,
      'Clean twice at 72: up to 74.',
    ],
    [
      'wild goes back below the best clean one',
      sets([84, 'clean'], [88, 'clean'], [96, 'wild']),
      84,
      'Wild at 96: back to 84, 4 below the best clean 88.',
    ],
    [
      'wild at once goes back, by parts',
      sets([84, 'wild']),
      72,
      'Wild at 84, and never clean yet: back to 72, by parts.',
    ],
    [
      'loose in class after class is not asked a third time at the same tempo',
      sets([84, 'loose'], [84, 'loose']),
      77,
      'Loose twice at 84, and never clean yet: back to 77, by parts.',
    ],
    [
      'a third step in a row without a miss is a long one',
      sets([80, 'clean'], [84, 'clean'], [88, 'clean'], [88, 'clean']),
      96,
      'Clean twice at 88: up to 96.',
    ],
  ])('%s', (_, done, bpm, sentence) => {
    expect(ownTempo(done)).toEqual({ bpm, sentence });
  });
  it('says nothing before the first set', () => expect(ownTempo([])).toBeNull());

  it('never asks for more than two steps above what was clean, or for more than was missed without a clean set', () => {
    const set = fc.record({
      bpm: fc.integer({ min: 20, max: 240 }),
      quality: fc.constantFrom('clean', 'loose', 'wild'),
    }) as fc.Arbitrary<TempoSet>;
    fc.assert(
      fc.property(fc.array(set, { minLength: 1 }), (done) => {
        const { bpm } = ownTempo(done)!;
        const clean = done.filter(({ quality }) => quality === 'clean').map((each) => each.bpm);
        const most = clean.length > 0 ? Math.max(...clean) + 8 : Math.max(...done.map((each) => each.bpm));
        expect(bpm).toBeLessThanOrEqual(most);
        expect(bpm).toBeGreaterThan(0);
      }),
    );
  });

  /** Somebody whose true limit is known: clean up to it, loose a little above, wild far above; now and then the coach sees it wrong. */
  const judged = (bpm: number, limit: number, random: () => number, wrong: number): SetQuality => {
    const seen = random() < wrong ? limit * (random() < 0.5 ? 0.96 : 1.04) : limit;
    return bpm <= seen ? 'clean' : bpm <= seen * 1.12 ? 'loose' : 'wild';
  };
  const classesOf = (limit: number, start: number, wrong: number, seed: number, classes: number) => {
    const random = seededRandom(seed);
    const done: TempoSet[] = [];
    return Array.from({ length: classes }, () => {
      const bpm = ownTempo(done)?.bpm ?? start;
      for (let round = 0; round < 2; round++) done.push({ bpm, quality: judged(bpm, limit, random, wrong) });
      return ownTempo(done)!.bpm;
    });
  };
  it.each([45, 51, 57, 60, 66, 72, 79, 84, 91, 97, 104, 110])(
    'is within 5 %% of a true limit of %i after six classes, and stays there',
    (limit) => {
      for (const after of classesOf(limit, 80, 0, 1, 30).slice(5)) {
        expect(Math.abs(after - limit) / limit).toBeLessThanOrEqual(0.05);
      }
    },
  );
  it('does not swing where the coach sees one set in eight wrong', () => {
    const moves = [1, 2, 3, 4, 5].flatMap((seed) => {
      const course = classesOf(88, 80, 1 / 8, seed, 30).slice(6);
      return course.slice(1).map((bpm, i) => Math.abs(bpm - course[i]!));
    });
    expect(Math.max(...moves)).toBeLessThanOrEqual(8);
    expect(moves.reduce((sum, by) => sum + by, 0) / moves.length).toBeLessThan(3);
  });
  it('takes a class as its worst, and says nothing of one that nobody marked', () => {
    expect(setQuality(['clean', 'wild', null])).toBe('wild');
    expect(setQuality([null, null])).toBeNull();
  });
});
