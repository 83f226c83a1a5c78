import { seededRandom } from '../units/index.ts';
import { SampleClock } from './SampleClock.ts';

const RATE = 48_000;
const PIECE = 1024;
const SECONDS = PIECE / RATE;
/** The clock of the device stood at this when the first sample sounded. */
const BEGAN = 100;

/** Pieces that come up to 8 ms late; gives how far the clock is off after each. */
function play(
  clock: SampleClock,
  pieces: number,
  from: number,
  lost = 0,
  random = seededRandom(3),
): number[] {
  return Array.from({ length: pieces }, (_, n) => {
    const until = BEGAN + (from + n + 1) * SECONDS + lost;
    clock.take(PIECE, until + 0.008 * random());
    return clock.until - until;
  });
}

const off = (offs: readonly number[]): number => Math.max(...offs.map(Math.abs));

describe('the clock of samples', () => {
  it('is that of the pieces that waited least', () => {
    const offs = play(new SampleClock(RATE), 400, 0);
    expect(off(offs.slice(50))).toBeLessThan(0.0005);
    expect(off(offs)).toBeLessThan(0.008);
  });

  it('follows within a second where samples are lost, and tells how much', () => {
    const clock = new SampleClock(RATE);
    play(clock, 300, 0);
    const offs = play(clock, 150, 300, 0.12);
    expect(off(offs.slice(50))).toBeLessThan(0.002);
    expect(clock.lost).toBeGreaterThan(0.115);
    expect(clock.lost).toBeLessThan(0.125);
  });

  it('knows about where, and that what came before is where it was', () => {
    const clock = new SampleClock(RATE);
    play(clock, 300, 0);
    play(clock, 150, 300, 0.12);
    const [loss] = clock.losses;
    expect(Math.abs(loss!.at - 300 * SECONDS)).toBeLessThan(0.3);
    expect(Math.abs(clock.instantOf(5) - BEGAN - 5)).toBeLessThan(0.002);
    expect(Math.abs(clock.instantOf(8) - BEGAN - 8.12)).toBeLessThan(0.002);
  });

  it('loses nothing where pieces wait and come all at once, however long', () => {
    for (const waited of [10, 60, 200]) {
      const clock = new SampleClock(RATE);
      play(clock, 300, 0);
      const at = BEGAN + (300 + waited) * SECONDS;
      for (let n = 0; n < waited; n++) clock.take(PIECE, at + n * 1e-4);
      const offs = play(clock, 100, 300 + waited);
      expect(clock.lost).toBe(0);
      expect(off(offs)).toBeLessThan(0.03);
      expect(off(offs.slice(50))).toBeLessThan(0.001);
    }
  });

  it('takes back what it held for lost where a device only lagged, and each sound lies where it was', () => {
    for (const lag of [0.02, 0.07, 0.3]) {
      const clock = new SampleClock(RATE);
      play(clock, 300, 0);
      play(clock, 150, 300, lag);
      expect(clock.lost).toBeGreaterThan(0.8 * lag);
      play(clock, 150, 450);
      expect(clock.lost).toBeLessThan(0.001);
      for (const at of [5, 6.5, 8, 9, 12])
        expect(Math.abs(clock.instantOf(at) - BEGAN - at)).toBeLessThan(0.002);
    }
  });

  it('goes with a sound clock that is a little slow', () => {
    const clock = new SampleClock(RATE);
    const offs = Array.from({ length: 3000 }, (_, n) => {
      const until = BEGAN + (n + 1) * SECONDS * 1.0001;
      clock.take(PIECE, until);
      return clock.until - until;
    });
    expect(off(offs)).toBeLessThan(0.001);
    expect(clock.lost).toBe(0);
  });

  it('keeps up with one that goes at nine tenths, as where a machine is busy', () => {
    const clock = new SampleClock(RATE);
    const offs = Array.from({ length: 1000 }, (_, n) => {
      const until = BEGAN + ((n + 1) * SECONDS) / 0.9;
      clock.take(PIECE, until);
      return clock.until - until;
    });
    expect(off(offs)).toBeLessThan(0.15);
  });

  it('knows when the first sample sounded', () => {
    const clock = new SampleClock(RATE);
    play(clock, 200, 0);
    expect(Math.abs(clock.from - BEGAN)).toBeLessThan(0.001);
  });
});
