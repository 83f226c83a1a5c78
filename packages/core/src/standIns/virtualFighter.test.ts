import { seededRandom } from '../units/index.ts';
import { simulateBurst } from './index.ts';

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
