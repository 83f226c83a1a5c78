import type { RhythmQuery, RhythmView } from '@eurhythm/contract';
import { beatsAsOne, rhythmLine } from '@eurhythm/core/formats';
import { BPM_LIMITS, fraction, type Bpm } from '@eurhythm/core/units';
import { parseMidi, type MidiData, type MidiEvent } from 'midi-file';
import { midiTracksOf } from './midiChunks.ts';

/** What a file brings, or the sentence that says why it brings nothing. */
export type ReadRhythm =
  { readonly ok: true; readonly rhythm: RhythmView } | { readonly ok: false; readonly message: string };

/** Microseconds of a beat where a file names no tempo. */
const USUAL_BEAT = 500_000;
/** So many tracks with notes are reported. */
const MOST_TRACKS = 200;

interface Timed {
  readonly event: MidiEvent;
  readonly tick: number;
}

/** The rhythm of a track as an empty beat line, with the tempo at its first note. */
export function midiRhythm(
  bytes: Uint8Array,
  { track: wanted, grid, tempo = 'as-fast' }: RhythmQuery,
): ReadRhythm {
  const chunks = midiTracksOf(bytes);
  if (!chunks.ok) return chunks;
  const file = parsed(chunks.bytes);
  if (!file) return refused('This is no MIDI file, or it is cut off.');
  const { ticksPerBeat } = file.header;
  if (!ticksPerBeat)
    return refused('This MIDI file counts film frames instead of beats, so it has no rhythm to take.');
  const timed = file.tracks.map(withTicks);
  const tracks = timed
    .map((events, i) => ({ track: i + 1, name: nameOf(events), notes: notesOf(events).length }))
    .filter(({ notes }) => notes > 0)
    .slice(0, MOST_TRACKS);
  if (tracks.length === 0) return refused('There are no notes in this MIDI file.');
  const { track } = tracks.find((each) => each.track === (wanted ?? tracks[0]!.track)) ?? {};
  if (track === undefined) return refused(`Track ${wanted} of this file has no notes. Choose another one.`);
  const ticks = notesOf(timed[track - 1]!);
  const beat = tempoAt(timed, ticks[0]!);
  if (beat === null) return refused('This MIDI file has a tempo of 0, so its beats have no length.');
  const fileBpm = Math.round(60e6 / beat);
  const asOne = tempo === 'as-fast' ? beatsAsOne(fileBpm) : 1;
  const bpm = within(fileBpm / asOne);
  const [n, d] = asOne >= 1 ? [1, asOne] : [1 / asOne, 1];
  const beats = ticks.map((tick) => fraction((tick - ticks[0]!) * n, ticksPerBeat * d));
  const line = rhythmLine(beats, grid);
  return { ok: true, rhythm: { ...line, bpm, fileBpm, beatsAsOne: asOne, track, tracks } };
}

function withTicks(events: readonly MidiEvent[]): Timed[] {
  let tick = 0;
  return events.map((event) => ({ event, tick: (tick += event.deltaTime) }));
}

function notesOf(events: readonly Timed[]): number[] {
  return events.flatMap(({ event, tick }) => (event.type === 'noteOn' && event.velocity > 0 ? tick : []));
}

/** The name of a track without control signs. */
function nameOf(events: readonly Timed[]): string {
  const named = events.find(({ event }) => event.type === 'trackName')?.event;
  return named?.type === 'trackName' ? named.text.replace(/[\p{Cc}<>]/gu, '').slice(0, 60) : '';
}

/** Microseconds of a beat at a tick; null where some tempo of the file is none. */
function tempoAt(tracks: readonly (readonly Timed[])[], at: number): number | null {
  const tempos = tracks
    .flat()
    .flatMap(({ event, tick }) => (event.type === 'setTempo' ? { tick, us: event.microsecondsPerBeat } : []));
  if (tempos.some(({ us }) => us <= 0)) return null;
  const last = tempos
    .filter(({ tick }) => tick <= at)
    .sort((a, b) => a.tick - b.tick)
    .at(-1);
  return last?.us ?? USUAL_BEAT;
}

function within(bpm: Bpm): Bpm {
  return Math.min(BPM_LIMITS.max, Math.max(BPM_LIMITS.min, Math.round(bpm)));
}

function parsed(bytes: Uint8Array): MidiData | null {
  try {
    return parseMidi(bytes);
  } catch {
    // The reader throws texts of its own about events; a coach needs to know only that it is no such file.
    return null;
  }
}

function refused(message: string): ReadRhythm {
  return { ok: false, message };
}
