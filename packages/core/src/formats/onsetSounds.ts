import { encodeWav, type Sound } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';
import { MIDI_TICKS, midiNote, type MidiEvent } from './midiTrack.ts';

/** A stretch of a sound with a name. */
export interface SoundLabel {
  readonly at: Seconds;
  readonly seconds: Seconds;
  readonly name: string;
}

/** Ticks of a file of strikes are those of 120 beats a minute. */
const BEAT_MICROSECONDS = 500_000;
/** Decibels of full scale of the softest and the loudest note. */
const SOFT = -50;
const LOUD = -6;

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

/**
 * Strikes as the notes of a Standard MIDI File, at 120 beats a minute so that a tick is about a millisecond; louder strikes are
 * stronger notes.
 *
 * @example
 * onsetNotes([{ at: 0.5, strength: -6 }]).length // 3
 */
export function onsetNotes(
  onsets: readonly { readonly at: Seconds; readonly strength?: number }[],
): MidiEvent[] {
  const note = midiNote('both-hands', null);
  const tickOf = (at: Seconds): number =>
    Math.max(0, Math.round((at * 1e6 * MIDI_TICKS) / BEAT_MICROSECONDS));
  const strikes = onsets.flatMap(({ at, strength = LOUD }): MidiEvent[] => {
    const share = Math.max(0, Math.min(1, (strength - SOFT) / (LOUD - SOFT)));
    const velocity = Math.round(20 + 107 * share);
    return [
      { kind: 'note-on', tick: tickOf(at), note, velocity },
      { kind: 'note-off', tick: tickOf(at) + MIDI_TICKS / 16, note },
    ];
  });
  return [
    { kind: 'tempo', tick: 0, microseconds: BEAT_MICROSECONDS },
    ...strikes.sort((a, b) => a.tick - b.tick || Number(a.kind === 'note-on') - Number(b.kind === 'note-on')),
  ];
}
