import { jest } from '@jest/globals';
import { seededRandom } from '@eurhythm/core/units';
import { HallClock } from './hallClock.ts';

/** A link whose ways take as long as it likes, to a server whose clock is an hour ahead. */
function link(ways: () => number): { clock: HallClock; own: () => number; truth: () => number } {
  const own = (): number => Date.now();
  const ahead = 3_600_000;
  const ask = async (): Promise<number> => {
    await new Promise((done) => setTimeout(done, ways()));
    const answered = own() + ahead;
    await new Promise((done) => setTimeout(done, ways()));
    return answered;
  };
  return { clock: new HallClock(ask, own), own, truth: () => own() + ahead };
}

describe('the clock of a joined device', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  it('agrees with the server within 20 ms over a slow link that jitters', async () => {
    const random = seededRandom(7);
    // 20 to 110 ms for each way.
    const { clock, truth } = link(() => 20 + 90 * random());
    clock.start();
    await jest.advanceTimersByTimeAsync(10_000);
    clock.stop();
    expect(Math.abs(clock.now() - truth())).toBeLessThanOrEqual(20);
    expect(Math.abs(clock.now() - truth())).toBeLessThanOrEqual(clock.within!);
  });
  it('is this device’s own before the first answer, and without any', async () => {
    const clock = new HallClock(
      () => Promise.reject(new Error('away')),
      () => 5,
    );
    expect([clock.now(), clock.within]).toEqual([5, null]);
    clock.start();
    await jest.advanceTimersByTimeAsync(5000);
    clock.stop();
    expect([clock.now(), clock.within]).toEqual([5, null]);
  });
});
