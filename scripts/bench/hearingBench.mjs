/** How many calls a speech recogniser makes out in pink noise, as the synthesiser says them and as they are shaped. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { hasRecogniser, heard } from './recogniser.mjs';
import { row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const [{ starterBook }, { vocabularyOf }, sounds, { seededRandom }] = await Promise.all([
  core('moves'),
  core('calls'),
  core('sound'),
  core('units'),
]);
const { levelVoice, parsePhones, readWav, shapeVoice, trimClip } = sounds;
const { utter } = await import(join(ROOT, 'apps/server/dist/voice/flite.js'));

const VOICES = ['slt', 'rms'];
/** Decibels of the call over the noise, both as root mean squares of what is sent out. */
const RATIOS = [Infinity, 10, 5];
const AROUND_SECONDS = 0.3;
const SHAPES = {
  'as the synthesiser says them': (sound) => sound,
  'for a room': (sound) => levelVoice(shapeVoice(sound, 'room')),
  'for a hall': (sound) => levelVoice(shapeVoice(sound, 'hall')),
};

/** Pink noise by the filter of P. Kellet. */
function pinkNoise(count, seed) {
  const random = seededRandom(seed);
  const poles = [
    [0.99886, 0.0555179],
    [0.99332, 0.0750759],
    [0.969, 0.153852],
    [0.8665, 0.3104856],
    [0.55, 0.5329522],
    [-0.7616, -0.016898],
  ];
  const states = poles.map(() => 0);
  let last = 0;
  return Float32Array.from({ length: count }, () => {
    const white = 2 * random() - 1;
    poles.forEach(([keep, take], i) => (states[i] = keep * states[i] + take * white));
    const pink = states.reduce((sum, each) => sum + each, 0) + last + white * 0.5362;
    last = white * 0.115926;
    return pink;
  });
}

const rms = (samples) => Math.sqrt(samples.reduce((sum, x) => sum + x * x, 0) / samples.length);

/** The phones of a call from its first to its last; a pause between them stays. */
function withinPauses(phones) {
  const isSaid = (phone) => phone !== 'pau';
  return phones.slice(phones.findIndex(isSaid), phones.findLastIndex(isSaid) + 1);
}

function inNoise({ sampleRate, samples }, ratio, seed) {
  const around = Math.round(AROUND_SECONDS * sampleRate);
  const mixed = new Float32Array(samples.length + 2 * around);
  mixed.set(samples, around);
  if (ratio !== Infinity) {
    const noise = pinkNoise(mixed.length, seed);
    const gain = rms(samples) / 10 ** (ratio / 20) / rms(noise);
    noise.forEach((x, i) => (mixed[i] += x * gain));
  }
  const peak = mixed.reduce((most, x) => Math.max(most, Math.abs(x)), 0);
  return { sampleRate, samples: mixed.map((x) => (x * 0.9) / Math.max(0.9, peak)) };
}

if (hasRecogniser()) {
  const clips = [];
  for (const voice of VOICES)
    for (const text of vocabularyOf(starterBook())) {
      const spoken = await utter({ text, voice, rate: 1 });
      const trimmed = 'wav' in spoken ? trimClip(readWav(spoken.wav).sound) : null;
      if (!trimmed) continue;
      const phones = withinPauses(parsePhones(spoken.phones).map(({ phone }) => phone));
      clips.push({ text, voice, phones, sound: trimmed.sound });
    }
  for (const [name, shape] of Object.entries(SHAPES)) {
    const shares = RATIOS.map((ratio) => {
      const made = clips.map((clip, i) => ({ ...clip, sound: inNoise(shape(clip.sound), ratio, i + 1) }));
      const right = heard(made).filter(Boolean).length;
      return `${((100 * right) / clips.length).toFixed(1)} %`;
    });
    row(
      `calls made out ${name}`,
      `quiet ${shares[0]}, 10 dB ${shares[1]}, 5 dB ${shares[2]}`,
      `${clips.length} calls, both voices`,
    );
  }
} else row('calls made out in noise', 'left out', 'Debian’s package pocketsphinx is not here');
