import { lossesOf, withoutLosses } from '@eurhythm/core/formats';
import { readWav } from '@eurhythm/core/sound';
import { hallSound, impactSound, throughLoudspeaker, type Placed } from '@eurhythm/core/simulation';
import { detectBesideOwn, detectStrikes, validOnsets } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import { LiveStrikes, type LiveNews, type LiveWish } from './LiveStrikes.ts';

const RATE = 16_000;
const PIECE = 512;
const SECONDS = 12.8;
/** The clock of the page stood at this when the first sample sounded. */
const BEGAN = 40;
const AT = Array.from({ length: 18 }, (_, i) => 1 + 0.6 * i);

function struck(): Float32Array {
  const random = seededRandom(4);
  const strikes = AT.map((at): Placed => ({ at, gain: 1, samples: impactSound('pad', RATE, random) }));
  return hallSound(
    { sampleRate: RATE, seconds: SECONDS, strikes, signalToNoise: 24, echo: 0.5, peak: 0.5 },
    random,
  );
}

/** Listens to the hall; pieces that sound between these instants are lost. */
function listen(
  wish: Partial<LiveWish>,
  lost: { readonly from: number; readonly to: number } = { from: 0, to: 0 },
) {
  const reports: LiveNews[] = [];
  const plain = { sampleRate: RATE, setting: {}, keepsSound: true, besideOwn: false, tellsLevel: false };
  const live = new LiveStrikes({ ...plain, ...wish }, (news) => reports.push(news));
  const sound = struck();
  for (let from = 0; from + PIECE <= sound.length; from += PIECE) {
    const until = (from + PIECE) / RATE;
    if (until > lost.from && until <= lost.to) continue;
    live.heard(sound.slice(from, from + PIECE), BEGAN + until);
  }
  return { live, reports, at: reports.flatMap(({ onsets }) => onsets.map((onset) => onset.at)) };
}

const within = (some: readonly number[], at: number, off: number): boolean =>
  some.some((other) => Math.abs(other - at) < off);

describe('what is heard live', () => {
  it('is reported by the clock of the page, and how far it was looked at', () => {
    const { live, reports, at } = listen({});
    expect(at).toHaveLength(AT.length);
    for (const instant of AT) expect(within(at, BEGAN + instant, 0.01)).toBe(true);
    expect(reports.every(({ level, hasMusic, lost }) => level === null && !hasMusic && lost === 0)).toBe(
      true,
    );
    expect(live.until).toBeCloseTo(BEGAN + SECONDS, 1);
  });

  it('is put back in its place where sound was lost, and the loss is reported', () => {
    const { reports, at } = listen({}, { from: 6.8, to: 7.1 });
    const later = AT.filter((instant) => instant > 8.5);
    for (const instant of later) expect(within(at, BEGAN + instant, 0.01)).toBe(true);
    expect(reports.at(-1)!.lost).toBeCloseTo(0.29, 1);
  });

  it('is put in its place afterwards, where it was reported before the loss was known', () => {
    const { reports } = listen({}, { from: 6.8, to: 7.1 });
    const stands = validOnsets(reports.flatMap(({ onsets }) => onsets)).map(({ at }) => at);
    const heard = AT.filter((instant) => instant < 6.7 || instant > 7.2);
    expect(heard.filter((instant) => !within(stands, BEGAN + instant, 0.02))).toEqual([]);
    expect(stands.length).toBeLessThanOrEqual(AT.length + 1);
  });

  it('lies in the kept sound where its strikes stand, which says where it is silent because some was lost', () => {
    const { live, reports } = listen({}, { from: 6.8, to: 7.1 });
    const stands = validOnsets(reports.flatMap(({ onsets }) => onsets)).map(({ at }) => at);
    const { wav, from } = live.sound!;
    const read = readWav(wav, 60);
    if (!read.ok) throw new Error(read.message);
    const [loss, ...more] = lossesOf(wav);
    expect(more).toEqual([]);
    expect(loss!.at).toBeCloseTo(6.8, 0);
    expect(loss!.seconds).toBeCloseTo(0.29, 1);
    const again = detectStrikes(withoutLosses(read.sound, [loss!])).map(
      ({ at }) => at + from + (at < loss!.at ? 0 : loss!.seconds),
    );
    expect(again).toHaveLength(stands.length);
    for (const instant of stands) expect(within(again, instant, 0.002)).toBe(true);
  });

  it('is kept for five minutes at most, with the silences for what was lost', () => {
    const [rate, piece] = [8000, 2000];
    const plain = { setting: {}, keepsSound: true, besideOwn: false, tellsLevel: false };
    const live = new LiveStrikes({ ...plain, sampleRate: rate }, () => {});
    // A third of it never comes.
    for (let i = 0; i < 1100; i++) live.heard(new Float32Array(piece), 1.5 * (i + 1) * (piece / rate));
    const read = readWav(live.sound!.wav, 600);
    if (!read.ok) throw new Error(read.message);
    expect(lossesOf(live.sound!.wav).length).toBeGreaterThan(10);
    expect(Math.abs(read.sound.samples.length / rate - 300)).toBeLessThan(2);
  });

  /** Listens to a hall in which its own claps come back for a minute; the piece of them at `lost` does not come. */
  function besideClaps(lost: number | null) {
    const random = seededRandom(7);
    const own = new Float32Array(SECONDS * RATE);
    for (let at = 0.3; at < SECONDS - 1; at += 0.7)
      own.set(impactSound('mitt', RATE, random), Math.round(at * RATE));
    const way = { sampleRate: RATE, late: 0.05, echo: 0.6, directOverRoom: 15, drive: 0.5 };
    const echo = throughLoudspeaker(own, way, random);
    const samples = struck().map((sample, i) => sample + echo[i]!);
    const reports: LiveNews[] = [];
    const plain = { sampleRate: RATE, setting: {}, keepsSound: false, besideOwn: true, tellsLevel: false };
    const live = new LiveStrikes(plain, (news) => reports.push(news));
    const fourfold = (all: Float32Array): Float32Array => Float32Array.from([...all, ...all, ...all, ...all]);
    const [heard, played] = [fourfold(samples), fourfold(own)];
    /** When something that was reports was taken back. */
    const changed: number[] = [];
    for (let from = 0; from < heard.length; from += PIECE) {
      const before = reports.length;
      if (from !== lost) live.own(played.slice(from, from + PIECE));
      live.heard(heard.slice(from, from + PIECE), BEGAN + (from + PIECE) / RATE);
      const news = reports.slice(before).flatMap(({ onsets }) => onsets);
      if (news.some(({ withdrawn }) => withdrawn === true)) changed.push(from / RATE);
    }
    const right = detectBesideOwn({ sampleRate: RATE, samples: heard, own: played });
    const stands = validOnsets(reports.flatMap(({ onsets }) => onsets)).map(({ at }) => at);
    return { changed, stands, right: right.map(({ at }) => BEGAN + at) };
  }

  it('is put right once it is known how what is played comes back', () => {
    const { changed, stands, right } = besideClaps(null);
    expect(changed.length).toBeGreaterThan(0);
    expect(Math.abs(stands.length - right.length)).toBeLessThanOrEqual(1);
    expect(right.filter((at) => !within(stands, at, 0.036)).length).toBeLessThanOrEqual(1);
  });

  it('is put right again where some of what is played got lost', () => {
    const lost = PIECE * Math.round((40 * RATE) / PIECE);
    const { changed, stands, right } = besideClaps(lost);
    expect(changed[0]).toBeLessThan(lost / RATE);
    expect(changed.at(-1)).toBeGreaterThan(lost / RATE);
    // A strike more or less where it got lost.
    expect(Math.abs(stands.length - right.length)).toBeLessThanOrEqual(2);
    expect(right.filter((at) => !within(stands, at, 0.036)).length).toBeLessThanOrEqual(2);
  });

  it('is kept and reported as loud only where that is wished', () => {
    const { live, reports } = listen({ keepsSound: false, tellsLevel: true });
    expect(live.sound).toBeNull();
    expect(reports).toHaveLength((SECONDS * RATE) / PIECE);
    expect(reports.every(({ level }) => level! > -100 && level! < 0)).toBe(true);
  });
});
