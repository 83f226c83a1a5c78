/** Halls in which strikes fall, whose instants are known: for fitting the detector and, with other things struck and other voices, for its bench. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { recordedImpacts } from './recordedImpacts.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [
  { STRUCK, hallSound, impactSound, throughLoudspeaker },
  { resample, levelVoice, shapeVoice, synthSound },
  { seededRandom },
] = await Promise.all([core('simulation'), core('sound'), core('units')]);
const { spokenVocabulary } = await import('../voice/spokenVocabulary.mjs');

/** The bench has a voice of its own. */
const VOICES = { fit: ['slt', 'rms', 'kal'], bench: ['awb', 'slt'] };
const RATES = [16_000, 22_050, 24_000, 32_000, 44_100, 48_000];
const RECORDED = 0.6;
/** Strikes of one hand follow each other no sooner. */
const LEAST_GAP = 0.11;
/** Decibels between the strongest and the weakest. */
const FORCES = 12;
/** Bags and pads ring shorter than drums: recordings die away in about so many seconds. */
const DAMPED = { from: 0.05, to: 0.15, share: 0.7 };

const voices = new Map();
async function voicesOf(part, sampleRate) {
  const key = `${part} ${sampleRate}`;
  if (!voices.has(part)) voices.set(part, await spokenVocabulary({ voices: VOICES[part] }));
  if (!voices.has(key))
    voices.set(
      key,
      voices.get(part).map(({ sound }, i) => {
        const shaped = i % 2 === 0 ? sound : levelVoice(shapeVoice(sound, 'hall'));
        return resample(shaped, sampleRate).samples;
      }),
    );
  return voices.get(key);
}

/** Nobody's voice is that of a synthesiser: what is fitted on speaks faster and slower, higher and lower, duller and brighter. */
const OTHER_VOICES = { slowest: 0.78, fastest: 1.28, dull: 0.75 };

function asOtherVoice(samples, sampleRate, random) {
  const { slowest, fastest, dull } = OTHER_VOICES;
  const factor = slowest * (fastest / slowest) ** random();
  const other = resample({ sampleRate: Math.round(sampleRate * factor), samples }, sampleRate).samples;
  // Of one pole below half of its share, of one zero above it.
  const tilt = dull * (2 * random() - 1);
  let [before, made] = [0, 0];
  return other.map((sample) => {
    made = tilt > 0 ? (1 - tilt) * sample + tilt * made : sample + tilt * before;
    before = sample;
    return made;
  });
}

const drawn = (list, random) => list[Math.floor(random() * list.length)];

/** Runs of one to six strikes, with pauses. */
function instants(seconds, random) {
  const at = [];
  for (let t = 1; t < seconds - 1.5; t += 0.8 + 1.6 * random()) {
    const count = 1 + Math.floor(6 * random());
    for (let i = 0; i < count && t < seconds - 1.5; i++) {
      at.push(t);
      if (i < count - 1) t += LEAST_GAP + (random() < 0.4 ? 0.05 : 0.5) * random();
    }
  }
  return at;
}

function damped(samples, sampleRate, random) {
  const { from, to, share } = DAMPED;
  if (random() >= share) return samples;
  const falls = from + (to - from) * random();
  return samples.map((x, i) => x * Math.exp(-i / sampleRate / falls));
}

/**
 * Gives `{ sampleRate, samples, at, hasVoices, signalToNoise, echo, isClipped }`; `at` are the instants of the strikes. Over the seeds
 * signal to noise goes from 24 to 8 dB, the echo from 0.5 to 1.4 s, a third speaks, a fifth is clipped.
 */
export async function hall(seed, part, { seconds = 30, voiceGain, ...given } = {}) {
  const random = seededRandom(seed);
  const sampleRate = given.sampleRate ?? RATES[seed % RATES.length];
  const signalToNoise = given.signalToNoise ?? 24 - (16 * ((seed * 7) % 24)) / 23;
  const echo = given.echo ?? 0.5 + (0.9 * ((seed * 5) % 24)) / 23;
  const hasVoices = given.hasVoices ?? seed % 3 === 0;
  const isClipped = given.isClipped ?? seed % 5 === 0;
  const at = instants(seconds, random).map((t) => Math.round(t * sampleRate) / sampleRate);
  const strikes = at.map((instant) => ({
    at: instant,
    gain: 10 ** ((-FORCES * random()) / 20),
    samples:
      random() < RECORDED
        ? damped(drawn(recordedImpacts(part, sampleRate), random), sampleRate, random)
        : impactSound(drawn(STRUCK, random), sampleRate, random),
  }));
  const spoken = [];
  if (hasVoices) {
    const all = await voicesOf(part, sampleRate);
    for (let t = 0.5; t < seconds - 2;) {
      const own = drawn(all, random);
      const samples = part === 'fit' ? asOtherVoice(own, sampleRate, random) : own;
      const gain = voiceGain ?? 10 ** (-(4 + 8 * random()) / 20);
      spoken.push({ at: t, gain, samples });
      t += samples.length / sampleRate + 1.5 * random();
    }
  }
  const samples = hallSound(
    {
      sampleRate,
      seconds,
      strikes,
      signalToNoise,
      echo,
      voices: spoken,
      peak: isClipped ? 3 : 10 ** (-(5 + 25 * random()) / 20),
    },
    random,
  );
  return { sampleRate, samples, at, strikes, hasVoices, signalToNoise, echo, isClipped };
}

/** How well what was found is what was there: hits within the tolerance, each once, the nearest first. */
export function scored(truth, found, tolerance = 0.025) {
  const used = new Set();
  const errors = [];
  for (const at of truth) {
    let best = -1;
    for (const [j, other] of found.entries())
      if (
        !used.has(j) &&
        Math.abs(other - at) <= tolerance &&
        (best < 0 || Math.abs(other - at) < Math.abs(found[best] - at))
      )
        best = j;
    if (best < 0) continue;
    used.add(best);
    errors.push(found[best] - at);
  }
  const precision = found.length === 0 ? 0 : errors.length / found.length;
  const recall = truth.length === 0 ? 1 : errors.length / truth.length;
  const sum = precision + recall;
  return { precision, recall, f: sum === 0 ? 0 : (2 * precision * recall) / sum, errors };
}

/** A phone that lies beside the bag and plays at full loudness: it hears itself twice as loud as the strikes, straight and driven. */
const OWN = { louder: 2, late: 0.05, directOverRoom: 15, drive: 0.9 };
/** Whoever strikes to ticks is so much behind them; ticks on which nobody strikes sound so often, no nearer to a strike than that. */
const TICKS = { kinds: ['tick-bar', 'tick-beat', 'tick-half'], behind: 0.03, alone: 0.8, apart: 0.25 };
/** Every so often samples get lost on either way, so many seconds of them. */
const LOSSES = { every: [5, 11], seconds: [0.005, 0.06], mostSooner: 0.03 };

const between = ([from, to], random) => from + (to - from) * random();

/**
 * A hall as `hall` gives it whose microphone hears the calls of its own device too; `own` are the samples that it plays, as the detector
 * is reported about them. With `ticks` each strike falls on one; with `losses` what is reported comes sooner or later from one moment on.
 */
export async function hallWithOwnCalls(seed, part, { ticks = false, losses = false, ...given }) {
  const made = await hall(seed, part, { ...given, hasVoices: false, isClipped: false });
  const { sampleRate, samples, at, echo } = made;
  const random = seededRandom(seed + 50_000);
  const all = await voicesOf(part, sampleRate);
  const own = new Float32Array(samples.length);
  for (let t = 0.5; t < given.seconds - 2;) {
    const call = drawn(all, random);
    own.set(call.subarray(0, own.length - Math.round(t * sampleRate)), Math.round(t * sampleRate));
    t += call.length / sampleRate + random();
  }
  if (ticks) addTicks(own, sampleRate, at);
  const heard = throughLoudspeaker(own, { ...OWN, sampleRate, echo }, random);
  const struck = at.flatMap((instant) => {
    const from = Math.round(instant * sampleRate);
    return Array.from(samples.subarray(from, from + Math.round(0.05 * sampleRate)));
  });
  const sounding = Array.from(heard).filter((_, i) => own[i] !== 0);
  const gain = (OWN.louder * strength(struck)) / strength(sounding);
  const both = samples.map((sample, i) => sample + gain * heard[i]);
  const most = both.reduce((max, each) => Math.max(max, Math.abs(each)), 1);
  return {
    ...made,
    samples: both.map((sample) => sample / most),
    own: losses ? withLosses(own, sampleRate, random) : own,
  };
}

function addTicks(own, sampleRate, strikes) {
  const { kinds, behind, alone, apart } = TICKS;
  const add = (kind, at) => {
    const from = Math.round(at * sampleRate);
    for (const [i, sample] of synthSound(kind, sampleRate).samples.entries())
      if (from + i < own.length) own[from + i] += sample;
  };
  for (const [i, at] of strikes.entries()) add(kinds[i % kinds.length], at - OWN.late - behind);
  for (let t = alone / 2; t < own.length / sampleRate - 1; t += alone)
    if (strikes.every((at) => Math.abs(at - t) > apart)) add(kinds[1], t);
}

/** As many samples, of which some are left out, and some come twice as late, now and then. */
function withLosses(own, sampleRate, random) {
  const told = Array.from(own);
  let sooner = 0;
  for (
    let t = between(LOSSES.every, random);
    t < own.length / sampleRate;
    t += between(LOSSES.every, random)
  ) {
    const seconds = between(LOSSES.seconds, random);
    const isSooner = sooner + seconds < LOSSES.mostSooner;
    const [from, count] = [t, seconds].map((each) => Math.round(each * sampleRate));
    if (isSooner) told.splice(from, 0, ...new Array(count).fill(0));
    else told.splice(from, count);
    sooner += isSooner ? seconds : -seconds;
  }
  return own.map((_, i) => told[i] ?? 0);
}

const strength = (samples) =>
  Math.sqrt(samples.reduce((sum, each) => sum + each * each, 0) / Math.max(1, samples.length));
