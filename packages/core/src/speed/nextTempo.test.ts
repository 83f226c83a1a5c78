import fc from 'fast-check';
import { nextTempo, setQuality, type TempoSet } from './nextTempo.ts';

const sets = (...reported: readonly (readonly [number, TempoSet['quality']])[]): TempoSet[] =>
  reported.map(([bpm, quality]) => ({ bpm, quality }));

describe('nextTempo', () => {
  it.each([
    ['clean once stays', sets([84, 'clean']), 84, 'Clean once at 84: once more, then faster.'],
    ['clean twice goes up', sets([84, 'clean'], [84, 'clean']), 88, 'Clean twice at 84: up to 88.'],
    [
      'clean once more after a step is not twice at the new tempo',
      sets([84, 'clean'], [84, 'clean'], [88, 'clean']),
      88,
      'Clean once at 88: once more, then faster.',
    ],
    ['loose stays', sets([84, 'clean'], [88, 'loose']), 88, 'Loose at 88: stay there until it is clean.'],
    [
      'wild goes back below the last clean one',
      sets([84, 'clean'], [88, 'clean'], [96, 'wild']),
      84,
      'Wild at 96: back to 84, 4 below the last clean 88.',
    ],
    ['wild at once goes back a step', sets([84, 'wild']), 80, 'Wild at 84: back to 80, 4 slower.'],
    [
      'never above the fastest clean tempo',
      sets([118, 'clean'], [118, 'clean']),
      120,
      'Clean twice at 118: up to 120.',
    ],
    [
      'at the fastest clean tempo it stays',
      sets([120, 'clean'], [120, 'clean']),
      120,
      'Clean twice at 120, the fastest that a body does cleanly: stay there.',
    ],
  ])('%s', (_, done, bpm, sentence) => {
    expect(nextTempo(done, 120.7)).toEqual({ bpm, sentence });
  });
  it('says nothing before the first set', () => expect(nextTempo([], 120)).toBeNull());
  it('goes up by a step at most, and never faster when it was not clean', () => {
    const set = fc.record({
      bpm: fc.integer({ min: 20, max: 240 }),
      quality: fc.constantFrom('clean', 'loose', 'wild'),
    }) as fc.Arbitrary<TempoSet>;
    fc.assert(
      fc.property(fc.array(set, { minLength: 1 }), fc.integer({ min: 20, max: 300 }), (done, fastest) => {
        const last = done.at(-1)!;
        const { bpm } = nextTempo(done, fastest)!;
        expect(bpm).toBeLessThanOrEqual(last.bpm + 4);
        if (last.quality !== 'clean') expect(bpm).toBeLessThanOrEqual(last.bpm);
        expect(bpm).toBeLessThanOrEqual(Math.max(fastest, last.bpm));
      }),
    );
  });
  it('takes a class as its worst, and says nothing of one that nobody marked', () => {
    expect(setQuality(['clean', 'wild', null])).toBe('wild');
    expect(setQuality([null, null])).toBeNull();
  });
});
