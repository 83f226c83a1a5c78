import { DETECTOR_VERSION } from '../../../packages/core/src/strikes/index.ts';
import { hallSound, impactSound } from '../../../packages/core/src/simulation/index.ts';
import { wavWithLosses } from '../../../packages/core/src/formats/index.ts';
import { encodeWav } from '../../../packages/core/src/sound/index.ts';
import { seededRandom } from '../../../packages/core/src/units/index.ts';
import { serverForThisFile } from './startedServer.ts';

const server = serverForThisFile();
const { call } = server;

const AT = [1, 1.5, 1.75, 2.4, 3];
const rate = 24_000;
const random = seededRandom(3);
const samples = hallSound(
  {
    sampleRate: rate,
    seconds: 4,
    strikes: AT.map((at) => ({ at, gain: 1, samples: impactSound('pad', rate, random) })),
    signalToNoise: 24,
    echo: 0.5,
    peak: 0.5,
  },
  random,
);
const wav = encodeWav({ sampleRate: rate, samples });

async function detect(bytes: Uint8Array): Promise<{ status: number; body: any }> {
  const form = new FormData();
  form.append('file', new Blob([bytes as BlobPart]), 'round.wav');
  const response = await fetch(`${server.base()}/api/strikes/detect`, { method: 'POST', body: form });
  return { status: response.status, body: await response.json() };
}

describe('strikes in a recording', () => {
  it('are found where they begin', async () => {
    const { status, body } = await detect(wav);
    expect([status, body]).toMatchObject([
      200,
      { sampleRate: rate, seconds: 4, hasMusic: false, detector: DETECTOR_VERSION },
    ]);
    expect(body.onsets).toHaveLength(AT.length);
    for (const [i, { at, strength }] of body.onsets.entries()) {
      expect(Math.abs(at - AT[i]!)).toBeLessThan(0.006);
      expect(strength).toBeLessThan(0);
    }
  });
  it.each<[string, Uint8Array, RegExp]>([
    ['nothing', new Uint8Array(0), /no WAV file/],
    ['a text', new TextEncoder().encode('12.5\n13.1\n'), /no WAV file/],
    ['a file that is cut off', wav.slice(0, 9000), /cut off/],
    ['too few samples', encodeWav({ sampleRate: 4000, samples: new Float32Array(4000) }), /8000 to 96000/],
    [
      'three hours',
      encodeWav({ sampleRate: 8000, samples: new Float32Array(8000 * 10_800) }),
      /at most 1:30:00 long; this one is 3:00:00/,
    ],
  ])('%s is refused with a sentence', async (_, bytes, sentence) => {
    const { status, body } = await detect(bytes);
    expect([status, body.message]).toEqual([422, expect.stringMatching(sentence)]);
  });
  it('is asked for where there is no file', async () => {
    const response = await fetch(`${server.base()}/api/strikes/detect`, {
      method: 'POST',
      body: new FormData(),
    });
    expect(response.status).toBe(400);
  });
  it('are those of what did come, where the file says that some of its sound was lost', async () => {
    // The quarter of a second before a strike never came, and with it the end of the one before.
    const came = new Float32Array([...samples.subarray(0, 2.05 * rate), ...samples.subarray(2.3 * rate)]);
    const sound = { sampleRate: rate, samples: came };
    const whole = await detect(encodeWav(sound));
    const labelled = await detect(wavWithLosses(sound, [{ at: 2.05, seconds: 0.25 }]));
    expect(labelled.body.seconds).toBeCloseTo(4, 3);
    const later = (at: number): number => (at < 2.05 ? at : at + 0.25);
    expect(labelled.body.onsets.map(({ at }: { at: number }) => Math.round(at * 1000))).toEqual(
      whole.body.onsets.map(({ at }: { at: number }) => Math.round(later(at) * 1000)),
    );
    const nothing = wavWithLosses({ sampleRate: rate, samples: new Float32Array(1) }, [
      { at: 0, seconds: 2 },
    ]);
    expect((await detect(nothing)).body.onsets).toEqual([]);
  });
  it('there are none in silence', async () => {
    const { body } = await detect(encodeWav({ sampleRate: 16_000, samples: new Float32Array(32_000) }));
    expect(body.onsets).toEqual([]);
  });
});

describe('strikes and what was due', () => {
  it('are put together in order; latency and bias are told apart', async () => {
    const due = AT.map((at) => ({ at, limb: 'right hand' }));
    const onsets = [...AT.filter((at) => at !== 2.4).map((at) => at + 0.14), 2.7].map((at) => ({ at }));
    const { status, body } = await call('POST', 'strikes/match', { due, onsets, latency: 0.12 });
    expect(status).toBe(200);
    expect(body.latency).toBe(0.12);
    expect(body.hits.map(({ due: d, onset }: any) => [d, onset])).toEqual([
      [0, 0],
      [1, 1],
      [2, 2],
      [4, 3],
    ]);
    expect([body.misses, body.extras]).toEqual([[3], [4]]);
    expect(body.bias).toBeCloseTo(0.02, 3);
    const { body: open } = await call('POST', 'strikes/match', { due, onsets });
    expect(open.latency).toBeCloseTo(0.14, 3);
    expect(open.bias).toBeCloseTo(0, 6);
  });
  it('takes nothing at all', async () => {
    const { body } = await call('POST', 'strikes/match', { due: [], onsets: [] });
    expect(body).toEqual({ latency: 0, hits: [], misses: [], extras: [], bias: 0, spread: 0, drift: 0 });
  });
});
