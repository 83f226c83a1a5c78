import { encodeWav, type Sound } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';

/** A stretch of a sound with a name. */
export interface SoundLabel {
  readonly at: Seconds;
  readonly seconds: Seconds;
  readonly name: string;
}

/** Names are no longer than this; what follows is left out. */
const LONGEST_NAME = 256;

/**
 * A mono 16-bit WAV file with labelled regions, as editors of sound show them: a `cue ` chunk with their beginnings and a `LIST` of
 * type `adtl` with their lengths (`ltxt`, purpose `rgn `) and names (`labl`), after the RIFF specification.
 *
 * @example
 * labelledWav({ sampleRate: 8000, samples: new Float32Array(8) }, []).length // 60
 */
export function labelledWav(sound: Sound, labels: readonly SoundLabel[]): Uint8Array<ArrayBuffer> {
  const wav = encodeWav(sound);
  if (labels.length === 0) return wav;
  const frames = labels.map(({ at }) =>
    Math.max(0, Math.min(sound.samples.length - 1, Math.round(at * sound.sampleRate))),
  );
  const cues = new Chunk('cue ');
  cues.number(labels.length);
  for (const [i, frame] of frames.entries()) {
    cues.number(i + 1);
    cues.number(frame);
    cues.text('data');
    cues.number(0);
    cues.number(0);
    cues.number(frame);
  }
  const list = new Chunk('LIST');
  list.text('adtl');
  for (const [i, { seconds, name }] of labels.entries()) {
    const named = new Chunk('labl');
    named.number(i + 1);
    named.text(`${plain(name)}\0`);
    list.chunk(named);
    const region = new Chunk('ltxt');
    region.number(i + 1);
    region.number(Math.max(1, Math.round(seconds * sound.sampleRate)));
    region.text('rgn ');
    region.number(0);
    region.number(0);
    list.chunk(region);
  }
  const more = [...cues.bytes, ...list.bytes];
  const file = new Uint8Array(wav.length + more.length);
  file.set(wav);
  file.set(more, wav.length);
  new DataView(file.buffer).setUint32(4, file.length - 8, true);
  return file;
}

/**
 * The labelled regions of a WAV file, in the order of their beginnings; those of other files, and of broken ones, are none.
 *
 * @example
 * labelsOf(labelledWav({ sampleRate: 10, samples: new Float32Array(10) }, [{ at: 0.5, seconds: 0.2, name: 'x' }]))
 * // [{ at: 0.5, seconds: 0.2, name: 'x' }]
 */
export function labelsOf(wav: Uint8Array): SoundLabel[] {
  const view = new DataView(wav.buffer, wav.byteOffset, wav.byteLength);
  const cues = new Map<number, { frame: number; frames: number; name: string }>();
  let sampleRate = 0;
  const read = (from: number, to: number): void => {
    for (const { name, at, size } of chunksIn(view, from, to)) {
      if (name === 'fmt ' && size >= 16) sampleRate = view.getUint32(at + 4, true);
      if (name === 'LIST' && textAt(view, at, 4) === 'adtl') read(at + 4, at + size);
      if (name === 'cue ')
        for (let cue = at + 4; cue + 24 <= at + size; cue += 24)
          cues.set(view.getUint32(cue, true), {
            frame: view.getUint32(cue + 20, true),
            frames: 0,
            name: '',
          });
      const cue = size >= 4 ? cues.get(view.getUint32(at, true)) : undefined;
      if (cue && name === 'ltxt' && size >= 8) cue.frames = view.getUint32(at + 4, true);
      if (cue && name === 'labl') cue.name = textAt(view, at + 4, size - 4).replace(/\0.*$/s, '');
    }
  };
  if (textAt(view, 0, 4) === 'RIFF' && textAt(view, 8, 4) === 'WAVE') read(12, wav.length);
  if (sampleRate === 0) return [];
  return [...cues.values()]
    .sort((a, b) => a.frame - b.frame)
    .map(({ frame, frames, name }) => ({ at: frame / sampleRate, seconds: frames / sampleRate, name }));
}

/** The chunks between two places of a RIFF file, as far as they are whole; `at` is where the body of one begins. */
function* chunksIn(
  view: DataView,
  from: number,
  to: number,
): Generator<{ readonly name: string; readonly at: number; readonly size: number }> {
  for (let at = from; at + 8 <= to;) {
    const size = view.getUint32(at + 4, true);
    if (at + 8 + size > to) return;
    yield { name: textAt(view, at, 4), at: at + 8, size };
    at += 8 + size + (size % 2);
  }
}

function textAt(view: DataView, at: number, length: number): string {
  const letters = Math.max(0, Math.min(length, LONGEST_NAME, view.byteLength - at));
  return String.fromCharCode(...new Uint8Array(view.buffer, view.byteOffset + at, letters));
}

/** Names in RIFF files are plain letters. */
const plain = (text: string): string => text.normalize('NFD').replace(/[^\x20-\x7e]/g, '');

/** A chunk of a RIFF file: its name, its length, its bytes, and one more where these are odd. */
class Chunk {
  private readonly name: string;
  private readonly body: number[] = [];

  constructor(name: string) {
    this.name = name;
  }

  number(value: number): void {
    for (let shift = 0; shift < 32; shift += 8) this.body.push((value >>> shift) & 255);
  }

  text(letters: string): void {
    for (const letter of letters) this.body.push(letter.charCodeAt(0));
  }

  chunk(other: Chunk): void {
    for (const byte of other.bytes) this.body.push(byte);
  }

  get bytes(): number[] {
    const head = new Chunk('');
    head.text(this.name);
    head.number(this.body.length);
    return [...head.body, ...this.body, ...(this.body.length % 2 === 1 ? [0] : [])];
  }
}
