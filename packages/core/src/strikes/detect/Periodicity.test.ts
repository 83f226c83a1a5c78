import { normalDraw, seededRandom } from '../../units/index.ts';
import { Periodicity, STRETCHES } from './Periodicity.ts';

const SECONDS = 0.4;
const MIDDLE = 0.2;

function about(rate: number, sample: (time: number) => number, pieces = 500): readonly number[] {
  const sound = Float64Array.from({ length: Math.round(SECONDS * rate) }, (_, i) => sample(i / rate));
  const periodicity = new Periodicity(rate);
  for (let from = 0; from < sound.length; from += pieces) {
    const piece = sound.slice(from, from + pieces);
    periodicity.push(piece, piece.length);
  }
  return [...periodicity.about(Math.round(MIDDLE * rate))];
}

/** A voice of a hundred and twenty hertz with overtones. */
const voice = (time: number): number =>
  [1, 2, 3, 5, 8].reduce((sum, k) => sum + Math.sin(2 * Math.PI * 120 * k * time) / k, 0);

describe.each([8000, 16_000, 22_050, 32_000])('how periodic sound is, at %d samples a second', (rate) => {
  it('is nearly 1 for a voice, wherever it begins, and low for noise', () => {
    expect(Math.min(...about(rate, voice))).toBeGreaterThan(0.9);
    const random = seededRandom(3);
    expect(Math.max(...about(rate, () => normalDraw(random)))).toBeLessThan(0.6);
  });
  it('tells a voice that begins from one that ends', () => {
    const begins = about(rate, (time) => (time < MIDDLE ? 0 : voice(time)));
    expect([begins[0], begins[1]]).toEqual([0, 0]);
    expect(begins.at(-1)).toBeGreaterThan(0.9);
    const ends = about(rate, (time) => (time < MIDDLE ? voice(time) : 0));
    expect(ends[0]).toBeGreaterThan(0.9);
    expect(ends.at(-1)).toBeCloseTo(0);
  });
  it('is the same for pieces of any length, and before the first sample and behind the last one is nothing', () => {
    expect(about(rate, voice, 64)).toEqual(about(rate, voice));
    const none = new Periodicity(rate).about(10);
    expect([...none]).toEqual(Array.from({ length: STRETCHES }, () => 0));
  });
});
