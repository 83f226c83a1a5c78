import { limitOn, practise, weekStrain, type LearnerProfile, type LearntCombo } from './virtualLearner.ts';

const profile: LearnerProfile = { rate: 0.15, ceiling: 1.3, forgets: 1, tires: 0.1 };
const fresh: LearntCombo = { limit: 52, days: 0, last: 0 };
const train = (share: number, days: readonly number[]): LearntCombo =>
  days.reduce((combo, day) => {
    const bpm = share * limitOn(combo, profile, 80, day, 0);
    return practise(combo, profile, { written: 80, bpm, times: 14, day, tired: 0 }).combo;
  }, fresh);

describe('a made-up learner', () => {
  it('learns most at the own limit, little far below it, and nothing where it is wild', () => {
    const [easy, right, wild] = [0.7, 0.98, 1.3].map((share) => train(share, [1, 3, 5, 8]).limit);
    expect(right!).toBeGreaterThan(easy! + 5);
    expect(easy!).toBeGreaterThan(wild!);
    expect(wild!).toBeLessThanOrEqual(52);
  });
  it('never goes beyond what the body allows', () => {
    const long = train(
      0.98,
      Array.from({ length: 300 }, (_, i) => i),
    );
    expect(long.limit).toBeLessThanOrEqual(1.3 * 80 + 1e-9);
  });
  it('forgets, and less after the same practice on more days', () => {
    const [massed, spaced] = [train(0.98, [10, 10, 10, 10]), train(0.98, [1, 4, 7, 10])];
    const keeps = (combo: LearntCombo) => (limitOn(combo, profile, 80, 40, 0) - 48) / (combo.limit - 48);
    expect(keeps(spaced)).toBeGreaterThan(keeps(massed) + 0.05);
    expect(keeps(spaced)).toBeLessThan(1);
  });
  it('tires, and says how a set looked', () => {
    const combo: LearntCombo = { limit: 80, days: 4, last: 0 };
    expect(limitOn(combo, profile, 80, 0, 1)).toBeCloseTo(72, 9);
    const look = (bpm: number) =>
      practise(combo, profile, { written: 80, bpm, times: 4, day: 0, tired: 0 }).quality;
    expect([look(80), look(84), look(95)]).toEqual(['clean', 'loose', 'wild']);
  });
  it('strains more where every day is the same', () => {
    expect(weekStrain([300, 300, 300, 300, 300, 300, 100])).toBeGreaterThan(
      weekStrain([650, 0, 650, 0, 600, 0, 0]),
    );
  });
});
