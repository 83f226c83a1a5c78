import { MIDI_TICKS, midiTracks, type MidiEvent } from '@eurhythm/core/formats';
import { writeMidi, type MidiEvent as FileEvent } from 'midi-file';

/** Rounds that follow each other, under one title. */
export interface RoundsToWrite {
  readonly title: string;
  readonly rounds: Parameters<typeof midiTracks>[0];
}

/** A Standard MIDI File of format 1: the tempo map with the calls as lyrics, and a track of strikes. */
export function midiFile({ title, rounds }: RoundsToWrite): Buffer {
  const { tempo, strikes } = midiTracks(rounds);
  const named = (name: string, events: readonly MidiEvent[]): FileEvent[] => [
    { deltaTime: 0, meta: true, type: 'trackName', text: ascii(name) },
    ...withDeltas(events),
    { deltaTime: 0, meta: true, type: 'endOfTrack' },
  ];
  const head = Buffer.from(writeMidi({ header: { ...HEADER, numTracks: 2 }, tracks: [] }));
  // The package writes how many tracks it is given; there are two.
  head.writeUInt16BE(2, TRACK_COUNT_AT);
  return Buffer.concat([head, track(named(title, tempo)), track(named('Strikes', strikes))]);
}

const HEADER = { format: 1, ticksPerBeat: MIDI_TICKS } as const;
/** Lengths of the header of a file and of that of a track, and where a file says how many tracks it has. */
const FILE_HEAD = 14;
const TRACK_HEAD = 8;
const TRACK_COUNT_AT = 10;
/** The package takes a time that grows with the square of what it writes at once. */
const AT_ONCE = 400;

/** The bytes of a track, written piece by piece and put together under one header. */
function track(events: readonly FileEvent[]): Buffer {
  const pieces = Array.from({ length: Math.ceil(events.length / AT_ONCE) }, (_, i) => {
    const piece = events.slice(i * AT_ONCE, (i + 1) * AT_ONCE);
    const file = writeMidi({ header: { ...HEADER, numTracks: 1 }, tracks: [piece] });
    return Buffer.from(file).subarray(FILE_HEAD + TRACK_HEAD);
  });
  const body = Buffer.concat(pieces);
  const head = Buffer.from('MTrk\0\0\0\0', 'latin1');
  head.writeUInt32BE(body.length, 4);
  return Buffer.concat([head, body]);
}

/** The texts of MIDI files are plain letters; signs are dropped from those that have them. */
function ascii(text: string): string {
  return text.normalize('NFD').replace(/[^\x20-\x7e]/g, '');
}

function withDeltas(events: readonly MidiEvent[]): FileEvent[] {
  let last = 0;
  return events.map((event) => {
    const deltaTime = event.tick - last;
    last = event.tick;
    switch (event.kind) {
      case 'tempo':
        return { deltaTime, meta: true, type: 'setTempo', microsecondsPerBeat: event.microseconds };
      case 'lyric':
        return { deltaTime, meta: true, type: 'lyrics', text: ascii(event.text) };
      case 'note-on':
        return { deltaTime, type: 'noteOn', channel: 0, noteNumber: event.note, velocity: event.velocity };
      case 'note-off':
        return { deltaTime, type: 'noteOff', channel: 0, noteNumber: event.note, velocity: 0 };
      default:
        return event satisfies never;
    }
  });
}
