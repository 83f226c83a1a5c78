import { seededRandom } from '../units/index.ts';
import { simulateBurst, simulateRound } from './index.ts';

describe('simulateBurst', () => {
  it('lands about as often as the profile says, in order, inside the time', () => {
    const instants = simulateBurst({ rate: 4, spread: 0.1, fading: 0 }, 10, seededRandom(1));
    expect(Math.abs(instants.length - 40)).toBeLessThanOrEqual(3);
    instants.slice(1).forEach((at, i) => expect(at).toBeGreaterThan(instants[i]!));
    expect(instants.at(-1)!).toBeLessThanOrEqual(10);
  });
  it('fades when the profile fades', () => {
    const halves = (fading: number): number => {
      const instants = simulateBurst({ rate: 5, spread: 0, fading }, 10, seededRandom(2));
      return instants.filter((at) => at > 5).length / instants.filter((at) => at <= 5).length;
    };
    expect(halves(0.4)).toBeLessThan(halves(0));
  });
});

describe('simulateRound', () => {
  const due = Array.from({ length: 400 }, (_, i) => i * 0.5);
  const keen = { bias: 0, spread: 0, fading: 0, misses: 0, extras: 0 };
  it('rushes, drags and fades as its profile says', () => {
    const landed = simulateRound(due, { ...keen, bias: -0.03, fading: 0.1 }, seededRandom(1));
    expect(landed[0]! - due[0]!).toBeCloseTo(-0.03, 9);
    expect(landed.at(-1)! - due.at(-1)!).toBeCloseTo(0.07, 9);
  });
  it('misses some, and strikes beside the line, in order', () => {
    const landed = simulateRound(due, { ...keen, misses: 0.2, extras: 0.1 }, seededRandom(1));
    expect(landed.length).toBeGreaterThan(340);
    expect(landed.length).toBeLessThan(380);
    expect([...landed].sort((a, b) => a - b)).toEqual(landed);
  });
  it('lands nothing where nothing is due', () =>
    expect(simulateRound([], keen, seededRandom(1))).toEqual([]));
});
