import {
  SYNTH_SOUNDS,
  encodeWav,
  parsePhones,
  powerSpectrum,
  readWav,
  synthSound,
  vowelOnset,
} from './index.ts';

const tone = (seconds: number, loud: number, rate = 16_000): Float32Array =>
  Float32Array.from({ length: seconds * rate }, (_, i) => loud * Math.sin((2 * Math.PI * 220 * i) / rate));

describe('wav', () => {
  it('comes back within half a step of 16 bits', () => {
    const sound = { sampleRate: 16_000, samples: tone(0.1, 0.7) };
    const read = readWav(encodeWav(sound));
    if (!read.ok) throw new Error(read.message);
    const back = read.sound;
    expect(back.sampleRate).toBe(16_000);
    expect(back.samples.length).toBe(sound.samples.length);
    back.samples.forEach((sample, i) => expect(Math.abs(sample - sound.samples[i]!)).toBeLessThan(1 / 32767));
  });
});

describe('vowelOnset', () => {
  it('is where the first stressed vowel begins', () => {
    expect(vowelOnset(parsePhones('pau:0.232 l:0.343 eh:0.407 f:0.498'))).toBe(0.343);
    expect(vowelOnset(parsePhones('pau:0.1 ax:0.15 g:0.2 eh:0.3 n:0.4'))).toBe(0.2);
    expect(vowelOnset(parsePhones('pau:0.1 ax:0.15 pau:0.2'))).toBe(0.1);
    expect(vowelOnset(parsePhones('pau:0.1 s:0.2'))).toBeNull();
  });
});

describe('synthSound', () => {
  it.each(SYNTH_SOUNDS)('%s starts at once, does not clip, and ends in silence', (kind) => {
    const { samples } = synthSound(kind, 44_100);
    const startPeak = Math.max(...samples.slice(0, 88).map(Math.abs));
    expect(startPeak).toBeGreaterThan(0.2);
    expect(samples.every((sample) => Math.abs(sample) <= 0.89)).toBe(true);
    expect(Math.abs(samples.at(-1)!)).toBeLessThan(0.001);
  });
  it.each(SYNTH_SOUNDS.filter((kind) => !kind.startsWith('bell')))(
    'keeps %s out of what speech needs',
    (kind) => {
      const { samples } = synthSound(kind, 44_100);
      const frame = new Float64Array(4096);
      frame.set(samples);
      const power = powerSpectrum(frame);
      const within = (from: number, to: number): number =>
        power.reduce(
          (sum, each, i) => ((i * 44_100) / 4096 < from || (i * 44_100) / 4096 > to ? sum : sum + each),
          0,
        );
      expect(within(300, 3400) / within(0, 22_050)).toBeLessThan(0.02);
      expect(within(3400, 8000) / within(0, 22_050)).toBeGreaterThan(0.9);
    },
  );
  it('is the same at every rendering, and each kind its own', () => {
    const prints = SYNTH_SOUNDS.map((kind) => synthSound(kind, 8000).samples.join());
    expect(new Set(prints).size).toBe(SYNTH_SOUNDS.length);
    expect(synthSound('tick-bar', 8000).samples.join()).toBe(prints[0]);
  });
});
