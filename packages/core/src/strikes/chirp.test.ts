import { hallSound } from '../simulation/index.ts';
import { seededRandom } from '../units/index.ts';
import { chirp, findChirp } from './chirp.ts';

const hall = (sampleRate: number, at: number, signalToNoise: number) =>
  hallSound(
    {
      sampleRate,
      seconds: 1.5,
      strikes: [{ at, samples: chirp(sampleRate), gain: 1 }],
      signalToNoise,
      echo: 0.8,
      peak: 0.5,
    },
    seededRandom(5),
  );

describe('a chirp', () => {
  it.each([
    [48_000, 0.31, 20],
    [16_000, 0.6123, 6],
    [44_100, 0.05, 10],
  ])('is found in a hall of %d samples a second at %d s, %d dB over the noise', (rate, at, over) => {
    expect(Math.abs(findChirp(hall(rate, at, over), rate)! - at)).toBeLessThan(0.002);
  });
  it('is not found where there is none', () => {
    const noise = hallSound(
      { sampleRate: 16_000, seconds: 1.5, strikes: [], signalToNoise: 0, echo: 0, peak: 0.3 },
      seededRandom(6),
    );
    expect(findChirp(noise, 16_000)).toBeNull();
    expect(findChirp(new Float32Array(10), 16_000)).toBeNull();
  });
});
