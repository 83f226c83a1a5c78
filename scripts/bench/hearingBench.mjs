/**
 * How many words of the voices an open speech recogniser makes out, in quiet and in pink noise: of all that the demonstration and the
 * starter book say. It knows these texts and nothing else, as somebody who trains in the gym.
 */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { demoTexts } from './demoTexts.mjs';
import { row } from './table.mjs';

const core = (folder) => import(join(ROOT, `packages/core/dist/${folder}/index.js`));
const server = (file) => import(join(ROOT, `apps/server/dist/${file}.js`));
const [{ starterBook }, calls, sounds, { seededRandom }] = await Promise.all([
  core('moves'),
  core('calls'),
  core('sound'),
  core('units'),
]);
const [{ utter }, { clearerPhones }, { finishedClip }, { Recogniser }] = await Promise.all([
  server('voice/flite'),
  server('voice/clearerWords'),
  server('voice/finishedClip'),
  server('soundCheck/recogniser'),
]);
const { spokenWords } = calls;

const VOICES = { rms: 'lower voice (default)', slt: 'higher voice' };
/** Decibels of the call over the noise. */
const RATIOS = { quiet: Infinity, '10 dB': 10, '5 dB': 5 };
const WORST = 12;

/** All that the book says of its strokes by their names, usual side or not, and what every round says. */
function bookTexts() {
  const book = starterBook();
  const dictionary = calls.callDictionary(book, { words: 'names', lead: 'left' });
  const plain = [...dictionary].flatMap(([text, [stroke, ...others]]) =>
    others.length === 0 &&
    !stroke.feint &&
    stroke.travel === null &&
    stroke.level === book.moves.get(stroke.code).level
      ? [text]
      : [],
  );
  return [...calls.vocabularyOf(book), ...plain];
}

async function clip(text, voice) {
  const phones = calls.phonesOf(text) ?? clearerPhones(text, voice);
  const { wav, phones: printed } = await utter({ text, phones, voice, rate: 1 });
  return finishedClip(wav, printed, 'hall');
}

/** Which words of `said` are heard in the same order, by the fewest changes; and what the others were taken for. */
function compared(said, heard) {
  const costs = Array.from({ length: said.length + 1 }, (_, i) => Array.from(heard, () => i).concat(i));
  const at = (i, j) => (i < 0 || j < 0 ? Infinity : costs[i][j]);
  for (let i = 0; i <= said.length; i++)
    for (let j = 0; j <= heard.length; j++)
      if (i || j)
        costs[i][j] = Math.min(
          at(i - 1, j - 1) + (said[i - 1] === heard[j - 1] ? 0 : 1),
          at(i - 1, j) + 1,
          at(i, j - 1) + 1,
        );
  const pairs = [];
  for (let [i, j] = [said.length, heard.length]; i || j;) {
    const change = said[i - 1] === heard[j - 1] ? 0 : 1;
    if (costs[i][j] === at(i - 1, j - 1) + change) pairs.push([said[--i], heard[--j]]);
    else if (costs[i][j] === at(i - 1, j) + 1) pairs.push([said[--i], 'nothing']);
    else pairs.push(['nothing', heard[--j]]);
  }
  return pairs;
}

const texts = [...new Set([...(await demoTexts()), ...bookTexts()])];
for (const [voice, name] of Object.entries(VOICES)) {
  const clips = new Map();
  for (const text of texts) {
    const made = await clip(text, voice);
    if (made) clips.set(text, sounds.readWav(made.wav).sound);
  }
  const phones = new Map();
  for (const word of new Set(texts.flatMap(spokenWords)))
    phones.set(word, (await clip(word, voice))?.phones ?? []);
  const shares = [];
  const mistaken = new Map();
  for (const [quality, ratio] of Object.entries(RATIOS)) {
    const recogniser = await Recogniser.open();
    recogniser.listenFor(clips.keys(), phones);
    let [right, all, i] = [0, 0, 0];
    for (const [text, sound] of clips) {
      const heard = recogniser.hear(sounds.inNoise(sound, ratio, seededRandom((i += 1))).samples);
      for (const [said, taken] of compared(spokenWords(text), heard.split(' ').filter(Boolean))) {
        if (said !== 'nothing') all += 1;
        if (said === taken) right += 1;
        else mistaken.set(`${said} > ${taken}`, (mistaken.get(`${said} > ${taken}`) ?? 0) + 1);
      }
    }
    shares.push(`${quality} ${((100 * right) / all).toFixed(1)} %`);
  }
  row(`words made out, ${name}`, shares.join(', '), `${clips.size} texts`);
  const worst = [...mistaken].sort((a, b) => b[1] - a[1]).slice(0, WORST);
  row('  mistaken most', worst.map(([pair, times]) => `${pair} ×${times}`).join(', '));
}
