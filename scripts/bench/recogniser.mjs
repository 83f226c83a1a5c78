/** An open speech recogniser (PocketSphinx, from Debian's packages) that knows only the gym's own calls. */
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../house.mjs';

const { encodeWav } = await import(join(ROOT, 'packages/core/dist/sound/index.js'));
const MODEL = '/usr/share/pocketsphinx/model/en-us/en-us';
/** The synthesiser's phones that the recogniser's dictionary writes otherwise. */
const PHONES = {
  ax: 'AH',
  ix: 'IH',
  axr: 'ER',
  el: 'AH L',
  em: 'AH M',
  en: 'AH N',
  nx: 'N',
  dx: 'D',
  hv: 'HH',
  pau: 'SIL',
};

/** Whether it is here; it is installed where that is allowed. */
export function hasRecogniser() {
  const isThere = () => existsSync('/usr/bin/pocketsphinx_batch') && existsSync(MODEL);
  if (!isThere() && process.getuid?.() === 0) {
    const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
    spawnSync('apt-get', ['update', '-qq'], { stdio: 'ignore', env });
    spawnSync('apt-get', ['install', '-y', '-qq', 'pocketsphinx', 'pocketsphinx-en-us'], {
      stdio: 'ignore',
      env,
    });
  }
  return isThere();
}

const wordOf = (text) => text.replace(/[^a-z]/g, '_').toUpperCase();

/**
 * The recogniser's model, set to carry what it has learnt of the voice and the room from one call to the next, as people do who
 * have listened for a minute; as it ships it begins anew with each half second.
 */
function usedModel(folder) {
  cpSync(MODEL, folder, { recursive: true });
  const settings = join(folder, 'feat.params');
  writeFileSync(settings, readFileSync(settings, 'utf8').replace(/^-cmn .*/m, '-cmn live'));
  return folder;
}

/** What it hears in each of `clips` (`{ text, phones, sound }`, 16 kHz), each recognised by itself among all their texts. */
export function heard(clips) {
  const folder = mkdtempSync(join(tmpdir(), 'eurhythm-heard-'));
  const file = (name) => join(folder, name);
  const dictionary = new Map();
  for (const { text, phones } of clips) {
    const said = phones.map((phone) => PHONES[phone] ?? phone.toUpperCase()).join(' ');
    dictionary.set(wordOf(text), (dictionary.get(wordOf(text)) ?? new Set()).add(said));
  }
  const lines = [...dictionary].flatMap(([word, ways]) =>
    [...ways].map((way, i) => `${word}${i === 0 ? '' : `(${i + 1})`} ${way}`),
  );
  writeFileSync(file('words.dict'), `${lines.join('\n')}\n`);
  writeFileSync(
    file('calls.gram'),
    `#JSGF V1.0;\ngrammar calls;\npublic <call> = ${[...dictionary.keys()].join(' | ')};\n`,
  );
  clips.forEach(({ sound }, i) => writeFileSync(file(`${i}.wav`), encodeWav(sound)));
  writeFileSync(file('list'), `${clips.map((_, i) => i).join('\n')}\n`);
  const given = {
    hmm: usedModel(file('model')),
    dict: file('words.dict'),
    jsgf: file('calls.gram'),
    ctl: file('list'),
  };
  const read = { cepdir: folder, cepext: '.wav', adcin: 'yes', adchdr: '44', samprate: '16000' };
  const output = { hyp: file('heard'), logfn: '/dev/null' };
  const options = Object.entries({ ...given, ...read, ...output }).flatMap(([name, value]) => [
    `-${name}`,
    value,
  ]);
  execFileSync('pocketsphinx_batch', options, { stdio: 'ignore' });
  const words = new Map(
    readFileSync(file('heard'), 'utf8')
      .split('\n')
      .flatMap((line) => {
        const [, word, i] = /^(\S*) ?\((\d+) /.exec(line) ?? [];
        return i === undefined ? [] : [[Number(i), word]];
      }),
  );
  rmSync(folder, { recursive: true, force: true });
  return clips.map(({ text }, i) => words.get(i) === wordOf(text));
}
