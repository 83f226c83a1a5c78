import { rhythmLine, type RhythmLine } from '@eurhythm/core/formats';
import { BPM_LIMITS, fraction } from '@eurhythm/core/units';
import { parseMidi, type MidiData } from 'midi-file';

/** What a file brings, or the sentence that says why it brings nothing. */
export type ReadRhythm =
  | { readonly ok: true; readonly rhythm: RhythmLine & { readonly bpm: number } }
  | { readonly ok: false; readonly message: string };

/** Microseconds of a beat where a file names no tempo. */
const USUAL_BEAT = 500_000;

/** The rhythm of the first track that has notes, as an empty beat line with the tempo at its first note. */
export function midiRhythm(bytes: Uint8Array): ReadRhythm {
  const file = parsed(bytes);
  if (!file) return refused('This is no MIDI file, or it is cut off.');
  const { ticksPerBeat } = file.header;
  if (!ticksPerBeat)
    return refused('This MIDI file counts film frames instead of beats, so it has no rhythm to take.');
  const timed = file.tracks.map((track) => {
    let tick = 0;
    return track.map((event) => ({ event, tick: (tick += event.deltaTime) }));
  });
  const notes = timed
    .map((track) =>
      track.filter(({ event }) => event.type === 'noteOn' && event.velocity > 0).map(({ tick }) => tick),
    )
    .find((ticks) => ticks.length > 0);
  if (!notes) return refused('There are no notes in this MIDI file.');
  const first = notes[0]!;
  const tempos = timed
    .flat()
    .flatMap(({ event, tick }) =>
      event.type === 'setTempo' ? [{ tick, us: event.microsecondsPerBeat }] : [],
    );
  if (tempos.some(({ us }) => us <= 0))
    return refused('This MIDI file has a tempo of 0, so its beats have no length.');
  const tempo = tempos
    .filter(({ tick }) => tick <= first)
    .sort((a, b) => a.tick - b.tick)
    .at(-1);
  const bpm = Math.round(60e6 / (tempo?.us ?? USUAL_BEAT));
  return {
    ok: true,
    rhythm: {
      ...rhythmLine(notes.map((tick) => fraction(tick - first, ticksPerBeat))),
      bpm: Math.min(BPM_LIMITS.max, Math.max(BPM_LIMITS.min, bpm)),
    },
  };
}

function parsed(bytes: Uint8Array): MidiData | null {
  try {
    return parseMidi(bytes);
  } catch {
    // The reader throws texts of its own about chunks; a coach needs to know only that it is no such file.
    return null;
  }
}

function refused(message: string): ReadRhythm {
  return { ok: false, message };
}
