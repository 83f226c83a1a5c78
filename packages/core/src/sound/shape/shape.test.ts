import fc from 'fast-check';
import { CALL_LUFS, filtered, highPass, levelVoice, loudnessOf, shapeVoice, trimClip } from '../index.ts';

const sine = (hertz: number, seconds: number, loud: number, sampleRate = 48_000) => ({
  sampleRate,
  samples: Float32Array.from(
    { length: seconds * sampleRate },
    (_, i) => loud * Math.sin((2 * Math.PI * hertz * i) / sampleRate),
  ),
});
const peakOf = (samples: Float32Array): number => samples.reduce((most, x) => Math.max(most, Math.abs(x)), 0);
const rms = (samples: Float32Array): number =>
  Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / samples.length);
const decibels = (ratio: number): number => 20 * Math.log10(ratio);
const joined = (...parts: Float32Array[]): Float32Array =>
  Float32Array.from(parts.flatMap((part) => [...part]));

describe('loudness', () => {
  it.each([48_000, 44_100, 22_050, 16_000])('of a full sine of 997 Hz is −3.01 LUFS at %i Hz', (rate) =>
    // ITU-R BS.1770-4, annex 1: a 0 dBFS sine of 997 Hz on one channel reads −3.01.
    expect(loudnessOf(sine(997, 2, 1, rate))).toBeCloseTo(-3.01, 1),
  );
  it('follows the level, and hears low tones less', () => {
    expect(loudnessOf(sine(997, 2, 0.1))).toBeCloseTo(-23.01, 1);
    expect(loudnessOf(sine(40, 2, 1))).toBeLessThan(-6);
  });
  it('leaves out what is silent or far softer', () => {
    const { samples } = sine(997, 2, 0.5);
    const soft = sine(997, 4, 0.005).samples;
    const both = { sampleRate: 48_000, samples: joined(samples, soft) };
    expect(loudnessOf(both)).toBeCloseTo(loudnessOf({ sampleRate: 48_000, samples }), 0);
    expect(loudnessOf({ sampleRate: 48_000, samples: new Float32Array(48_000) })).toBe(-Infinity);
  });
  it('knows a sound that is shorter than a block', () =>
    expect(loudnessOf(sine(997, 0.1, 1))).toBeCloseTo(-3.01, 0));
});

describe('a high-pass', () => {
  it('takes 3 dB at its edge and next to nothing far above', () => {
    const gain = (hertz: number): number =>
      decibels(
        rms(filtered(sine(hertz, 1, 1).samples, highPass(400, 48_000, Math.SQRT1_2))) /
          rms(sine(hertz, 1, 1).samples),
      );
    expect(gain(400)).toBeCloseTo(-3, 1);
    expect(gain(4000)).toBeCloseTo(0, 1);
    expect(gain(100)).toBeLessThan(-23);
  });
});

describe('the sound of a voice', () => {
  const low = sine(150, 0.5, 0.5).samples;
  const high = sine(3500, 0.5, 0.05).samples;
  it('for a hall has little of what a hall swallows, and the soft consonants beside the vowels', () => {
    const voice = { sampleRate: 48_000, samples: joined(low, high) };
    const { samples } = shapeVoice(voice, 'hall');
    expect(samples).toHaveLength(voice.samples.length);
    const [vowel, consonant] = [samples.slice(4800, 24_000), samples.slice(28_800)];
    expect(decibels(rms(consonant) / rms(vowel))).toBeGreaterThan(decibels(0.05 / 0.5) + 20);
  });
  it('for a room stays full', () => {
    const { samples } = shapeVoice({ sampleRate: 48_000, samples: low }, 'room');
    expect(decibels(rms(samples.slice(4800)) / rms(low))).toBeGreaterThan(-1);
  });
});

describe('the level of a call', () => {
  it('is one loudness, with peaks under −1 dBFS, whatever comes', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 6000 }),
        fc.double({ min: 0.001, max: 1, noNaN: true }),
        (hertz, loud) => {
          const levelled = levelVoice(sine(hertz, 0.5, loud, 16_000));
          expect(loudnessOf(levelled)).toBeCloseTo(CALL_LUFS, 1);
          expect(peakOf(levelled.samples)).toBeLessThanOrEqual(10 ** (-1 / 20) + 1e-6);
        },
      ),
      { numRuns: 30 },
    );
  });
  it('holds a single peak down without clipping the rest', () => {
    const { sampleRate, samples } = sine(500, 0.4, 0.05, 16_000);
    samples[3000] = 0.9;
    const levelled = levelVoice({ sampleRate, samples });
    expect(peakOf(levelled.samples)).toBeLessThanOrEqual(10 ** (-1 / 20) + 1e-6);
    expect(peakOf(levelled.samples.slice(0, 2000))).toBeGreaterThan(0.15);
  });
  it('leaves silence as it is', () => {
    const silence = { sampleRate: 8000, samples: new Float32Array(80) };
    expect(levelVoice(silence)).toBe(silence);
  });
});

describe('a clip', () => {
  const quiet = new Float32Array(4800);
  it('is cut to what is heard, with some milliseconds that fade, and tells how much was before', () => {
    const clip = trimClip({
      sampleRate: 16_000,
      samples: joined(quiet, sine(220, 0.4, 0.05, 16_000).samples, quiet),
    })!;
    expect(clip.cutBefore).toBeCloseTo(0.296, 3);
    expect(clip.sound.samples.length / 16_000).toBeCloseTo(0.414, 2);
    expect(Math.abs(clip.sound.samples.at(-1)!)).toBeLessThan(1e-3);
  });
  it('that is silent is none', () => expect(trimClip({ sampleRate: 16_000, samples: quiet })).toBeNull());
});
