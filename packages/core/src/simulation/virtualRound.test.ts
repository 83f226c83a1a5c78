import { detectStrikes, matchStrikes } from '../strikes/index.ts';
import { seededRandom } from '../units/index.ts';
import { fightRound, roundSound } from './virtualRound.ts';

const due = Array.from({ length: 20 }, (_, i) => 1 + 0.6 * i);
const round = {
  cues: due.map((at) => ({ at, kind: 'strike' as const, text: '', block: 'b', limb: 'left-hand' as const })),
  cycles: [],
};
const profile = { bias: 0.03, spread: 0.015, fading: 0, misses: 0.1, extras: 0 };

describe('a virtual fighter in a round', () => {
  it('lands where the round asks, in the fighter’s own way', () => {
    const impacts = fightRound(round, profile, seededRandom(3));
    const { hits, bias } = matchStrikes(
      due.map((at) => ({ at })),
      impacts.map((at) => ({ at })),
      0,
    );
    expect(hits.length).toBe(impacts.length);
    expect(bias).toBeCloseTo(0.03, 1);
    expect(fightRound(round, profile, seededRandom(3))).toEqual(impacts);
  });
  it('is heard as a microphone in the hall hears it', () => {
    const impacts = fightRound(round, profile, seededRandom(4));
    const samples = roundSound(impacts, { sampleRate: 16_000, seconds: 15, struck: 'pad' }, seededRandom(5));
    const onsets = detectStrikes({ sampleRate: 16_000, samples });
    expect(onsets.length).toBe(impacts.length);
    for (const [i, { at }] of onsets.entries()) expect(Math.abs(at - impacts[i]!)).toBeLessThan(0.01);
  });
});
