import fc from 'fast-check';
import {
  encodeWav,
  findCentre,
  mix,
  powerSpectrum,
  readWav,
  resample,
  stretch,
  type Sound,
} from './index.ts';

const tone = (hertz: number, seconds: number, sampleRate = 16_000, loud = 0.5): Sound => ({
  sampleRate,
  samples: Float32Array.from(
    { length: Math.round(seconds * sampleRate) },
    (_, i) => loud * Math.sin((2 * Math.PI * hertz * i) / sampleRate),
  ),
});
const silence = (seconds: number, sampleRate = 16_000): Float32Array =>
  new Float32Array(Math.round(seconds * sampleRate));
const joined = (...parts: Float32Array[]): Float32Array =>
  Float32Array.from(parts.flatMap((part) => [...part]));
const rms = (samples: Float32Array): number =>
  Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / samples.length);

/** A WAV file of any kind, written by hand. */
function wav(code: number, bits: number, channels: number, rate: number, frames: number[][]): Uint8Array {
  const data = new DataView(new ArrayBuffer((frames.length * channels * bits) / 8));
  frames.flat().forEach((x, i) => {
    const at = (i * bits) / 8;
    if (code === 3 && bits === 32) data.setFloat32(at, x, true);
    else if (code === 3) data.setFloat64(at, x, true);
    else if (bits === 8) data.setUint8(at, Math.round(x * 127 + 128));
    else if (bits === 16) data.setInt16(at, Math.round(x * 32767), true);
    else if (bits === 32) data.setInt32(at, Math.round(x * 2147483647), true);
    else {
      const whole = Math.round(x * 8388607);
      data.setUint16(at, whole & 0xffff, true);
      data.setInt8(at + 2, whole >> 16);
    }
  });
  const bytes = new Uint8Array(44 + data.byteLength);
  bytes.set(encodeWav({ sampleRate: rate, samples: new Float32Array(0) }));
  const view = new DataView(bytes.buffer);
  view.setUint16(20, code, true);
  view.setUint16(22, channels, true);
  view.setUint16(34, bits, true);
  view.setUint32(40, data.byteLength, true);
  bytes.set(new Uint8Array(data.buffer), 44);
  return bytes;
}

describe('readWav', () => {
  it.each([0, 0xffff_ffff, 0x7fff_f000])(
    'reads to the end where the length is told as %i, as a pipe does',
    (size) => {
      const frames = Array.from({ length: 100 }, (_, i) => [Math.sin(i)]);
      const bytes = wav(1, 16, 1, 8000, frames);
      new DataView(bytes.buffer).setUint32(40, size, true);
      const read = readWav(bytes);
      expect(read.ok && read.sound.samples.length).toBe(100);
    },
  );
  it('hears one channel where two cancel each other, and the middle where they do not', () => {
    const heard = (right: number): number => {
      const frames = Array.from({ length: 800 }, (_, i) => [0.5 * Math.sin(i / 5), right * Math.sin(i / 5)]);
      const read = readWav(wav(1, 16, 2, 8000, frames));
      return read.ok ? rms(read.sound.samples) : 0;
    };
    expect(heard(-0.5)).toBeCloseTo(0.5 / Math.SQRT2, 2);
    expect(heard(0.5)).toBeCloseTo(0.5 / Math.SQRT2, 2);
    expect(heard(0)).toBeCloseTo(0.25 / Math.SQRT2, 2);
  });
  it.each([
    [1, 8, 0.02],
    [1, 16, 1e-4],
    [1, 24, 1e-6],
    [1, 32, 1e-6],
    [3, 32, 1e-6],
    [3, 64, 1e-6],
  ])('reads kind %i with %i bits, and brings two channels together', (code, bits, within) => {
    const read = readWav(
      wav(code, bits, 2, 96_000, [
        [0.5, -0.1],
        [-0.8, 0.2],
        [0.4, 0.4],
      ]),
    );
    if (!read.ok) throw new Error(read.message);
    expect(read.sound.sampleRate).toBe(96_000);
    [0.2, -0.3, 0.4].forEach((x, i) => expect(Math.abs(read.sound.samples[i]! - x)).toBeLessThan(within));
  });
  const good = wav(1, 16, 1, 16_000, [[0.1], [0.2], [0.3], [0.4]]);
  const spoilt = (change: (bytes: Uint8Array, view: DataView) => void): Uint8Array => {
    const bytes = good.slice();
    change(bytes, new DataView(bytes.buffer));
    return bytes;
  };
  it.each([
    ['no WAV at all', new Uint8Array(100), 'This is no WAV file.'],
    ['nothing', new Uint8Array(0), 'This is no WAV file.'],
    ['cut off', good.slice(0, 48), 'This WAV file is cut off: less sound is in it than it says.'],
    ['cut off in its head', good.slice(0, 24), 'This WAV file is cut off in its head.'],
    ['empty', wav(1, 16, 1, 16_000, []), 'There is no sound in this WAV file.'],
    [
      'a codec',
      spoilt((_, v) => v.setUint16(20, 85, true)),
      'This WAV file is written in a way that cannot be read. Save it as PCM.',
    ],
    [
      'no channels',
      spoilt((_, v) => v.setUint16(22, 0, true)),
      'This WAV file is written in a way that cannot be read. Save it as PCM.',
    ],
    ['rate 0', spoilt((_, v) => v.setUint32(24, 0, true)), 'A rate of 0 samples a second cannot be right.'],
  ])('tells what is wrong with one that is %s', (_, bytes, message) => {
    expect(readWav(bytes)).toEqual({ ok: false, message });
  });
  it('never throws, whatever the bytes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(good.length - 1), fc.nat(255)), { maxLength: 12 }),
        fc.nat(60),
        (changes, length) => {
          const bytes = good.slice(0, length);
          for (const [at, value] of changes) bytes[at] = value;
          const read = readWav(bytes);
          if (read.ok) expect(read.sound.samples.every(Number.isFinite)).toBe(true);
        },
      ),
    );
  });
});

describe('powerSpectrum', () => {
  it('has a tone in its bin, and nothing is lost', () => {
    const frame = Float64Array.from({ length: 256 }, (_, i) => Math.cos((2 * Math.PI * 20 * i) / 256));
    const power = powerSpectrum(frame);
    expect(power[20]).toBeCloseTo(128 ** 2, 3);
    expect(power.reduce((sum, x, k) => (k === 20 ? sum : sum + x), 0)).toBeLessThan(1e-6);
    expect(() => powerSpectrum(new Float64Array(100))).toThrow(RangeError);
  });
});

describe('resample', () => {
  it.each([
    [16_000, 44_100],
    [44_100, 16_000],
    [48_000, 16_000],
    [8000, 48_000],
  ])('from %i to %i keeps a tone in its place and at its loudness', (from, to) => {
    const moved = resample(tone(440, 0.2, from), to);
    const wanted = tone(440, 0.2, to).samples;
    const middle = (samples: Float32Array) => samples.slice(0.05 * to, 0.15 * to);
    const error = middle(moved.samples.map((x, i) => x - wanted[i]!));
    expect(rms(error) / rms(middle(wanted))).toBeLessThan(0.01);
  });
  it('keeps what the lower rate cannot carry out of it', () => {
    expect(rms(resample(tone(7000, 0.2, 48_000), 8000).samples.slice(200, 1400))).toBeLessThan(0.005);
  });
});

describe('stretch', () => {
  it.each([0.8, 1.15, 1.3, 1.5])(
    'at rate %f is shorter or longer, at the same pitch and loudness',
    (rate) => {
      const sound = tone(220, 0.6);
      const faster = stretch(sound, rate);
      expect(faster.samples.length).toBe(Math.round(sound.samples.length / rate));
      const middle = faster.samples.slice(2000, faster.samples.length - 2000);
      const crossings = middle.reduce((n, x, i) => (i > 0 && x >= 0 && middle[i - 1]! < 0 ? n + 1 : n), 0);
      expect(Math.abs(crossings / (middle.length / 16_000) - 220)).toBeLessThan(6);
      expect(rms(middle) / rms(sound.samples)).toBeGreaterThan(0.9);
    },
  );
  it('brings each instant to where the rate says, within 12 ms', () => {
    const sound = { sampleRate: 16_000, samples: joined(silence(0.3), tone(300, 0.3).samples) };
    const first = (samples: Float32Array): number => samples.findIndex((x) => Math.abs(x) > 0.05) / 16_000;
    for (const rate of [1.15, 1.3, 1.5])
      expect(Math.abs(first(stretch(sound, rate).samples) - 0.3 / rate)).toBeLessThan(0.012);
  });
});

describe('mix', () => {
  const click = Float32Array.of(1, 0.5);
  const piece = (events: Parameters<typeof mix>[1], from: number, length: number): number[] => [
    // What the piece held before is gone.
    ...mix(new Float32Array(length).fill(7), events, 1000, from),
  ];
  const all = (events: Parameters<typeof mix>[1], seconds: number): number[] =>
    piece(events, 0, seconds * 1000);
  it('lays every sound on its sample, adds what overlaps, and cuts what reaches out', () => {
    const mixed = all(
      [
        { at: -0.001, samples: click, gain: 1 },
        { at: 0.5, samples: click, gain: 1 },
        { at: 0.501, samples: click, gain: 0.5 },
        { at: 0.999, samples: click, gain: 1 },
        { at: 1.2494, samples: click, gain: 1 },
      ],
      1.25,
    );
    expect(mixed).toHaveLength(1250);
    const heard = mixed.flatMap((x, i) => (x === 0 ? [] : [[i, x]]));
    expect(heard).toEqual([
      [0, 0.5],
      [500, 1],
      [501, 1],
      [502, 0.25],
      [999, 1],
      [1000, 0.5],
      [1249, 1],
    ]);
  });
  it('made in stretches of any length is the same as the whole', () => {
    const events = fc
      .array(fc.double({ min: -0.5, max: 4, noNaN: true }), { maxLength: 30 })
      .map((ats) => [...ats].sort((a, b) => a - b))
      .map((ats) =>
        ats.map((at, i) => ({ at, samples: Float32Array.of(0.1, 0.7, 0.3).map((x) => x + i), gain: 0.3 })),
      );
    fc.assert(
      fc.property(events, fc.integer({ min: 1, max: 4000 }), (sounds, cut) => {
        const whole = all(sounds, 4);
        expect([...piece(sounds, 0, cut), ...piece(sounds, cut, 4000 - cut)]).toEqual(whole);
      }),
    );
  });
  it('is the sum of all sounds, each from its sample on', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 3999 }), { maxLength: 30 }), (starts) => {
        const sorted = [...starts].sort((a, b) => a - b);
        const samples = Float32Array.from({ length: 1500 }, (_, i) => i + 1);
        const mixed = all(
          sorted.map((at) => ({ at: at / 1000, samples, gain: 1 })),
          4,
        );
        const wanted = new Float32Array(4000);
        for (const at of sorted)
          for (let i = 0; i < 1500 && at + i < 4000; i++) wanted[at + i]! += samples[i]!;
        expect(mixed).toEqual([...wanted]);
      }),
      { numRuns: 30 },
    );
  });
});

describe('findCentre', () => {
  /** A buzz through two formants: a plain vowel. */
  const vowel = (seconds: number): Float32Array =>
    Float32Array.from({ length: seconds * 16_000 }, (_, i) => {
      const t = i / 16_000;
      let sum = 0;
      for (let n = 1; n < 28; n++) {
        const hertz = 130 * n;
        const formants =
          Math.exp(-(((hertz - 700) / 180) ** 2)) + 0.6 * Math.exp(-(((hertz - 1200) / 220) ** 2));
        sum += (formants + 0.02) * Math.sin(2 * Math.PI * hertz * t);
      }
      return 0.15 * sum;
    });
  const hiss = (seconds: number): Float32Array => {
    let state = 1;
    let last = 0;
    return Float32Array.from({ length: seconds * 16_000 }, () => {
      state = (state * 16_807) % 2_147_483_647;
      const x = state / 1_073_741_823.5 - 1;
      const high = x - last;
      last = x;
      return 0.08 * high;
    });
  };
  it('finds the vowel behind a hiss, not the hiss', () => {
    const sound = { sampleRate: 16_000, samples: joined(hiss(0.15), vowel(0.25), silence(0.05)) };
    // a made-up buzz, far from any voice the model was fitted on
    expect(Math.abs(findCentre(sound)! - 0.15)).toBeLessThan(0.05);
  });
  it('finds the same instant at another rate and loudness', () => {
    const sound = { sampleRate: 16_000, samples: joined(hiss(0.12), vowel(0.3)) };
    const other = resample({ sampleRate: 16_000, samples: sound.samples.map((x) => x * 0.2) }, 44_100);
    expect(Math.abs(findCentre(other)! - findCentre(sound)!)).toBeLessThan(0.006);
  });
  it('finds none in silence', () => {
    expect(findCentre({ sampleRate: 16_000, samples: silence(0.5) })).toBeNull();
  });
});
