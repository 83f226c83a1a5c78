import { howMany } from '@eurhythm/core/units';
/** The head and the tracks of a MIDI file, put together as a file of nothing else; or the sentence that says what is wrong. */
export type MidiChunks =
  { readonly ok: true; readonly bytes: Uint8Array } | { readonly ok: false; readonly message: string };

/** Letters and length that stand before each chunk. */
const BEFORE = 8;
const TRACK_COUNT_AT = BEFORE + 2;
const HEAD_BYTES = 6;

/** Chunks of other kinds are left out, as the format wants it; what is cut off is reported, so that nothing is missing in silence. */
export function midiTracksOf(bytes: Uint8Array): MidiChunks {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kindAt = (at: number): string => String.fromCharCode(...bytes.subarray(at, at + 4));
  if (bytes.length < BEFORE + HEAD_BYTES || kindAt(0) !== 'MThd')
    return refused('This is no MIDI file, or it is cut off.');
  const head = bytes.slice(0, BEFORE + view.getUint32(4));
  const tracks: Uint8Array[] = [];
  let at = head.length;
  while (at + BEFORE <= bytes.length) {
    const end = at + BEFORE + view.getUint32(at + 4);
    const isTrack = kindAt(at) === 'MTrk';
    if (isTrack && end > bytes.length)
      return refused(
        `This MIDI file is cut off in its track ${tracks.length + 1}: ${end - bytes.length} bytes of it are missing.`,
      );
    if (isTrack) tracks.push(bytes.subarray(at, end));
    at = end;
  }
  const declared = view.getUint16(TRACK_COUNT_AT);
  if (tracks.length < declared)
    return refused(
      `This MIDI file is cut off: it says that it has ${howMany(declared, 'track')}, and ${tracks.length} are there.`,
    );
  const whole = new Uint8Array(tracks.reduce((sum, { length }) => sum + length, head.length));
  whole.set(head);
  new DataView(whole.buffer).setUint16(TRACK_COUNT_AT, tracks.length);
  let to = head.length;
  for (const track of tracks) {
    whole.set(track, to);
    to += track.length;
  }
  return { ok: true, bytes: whole };
}

function refused(message: string): MidiChunks {
  return { ok: false, message };
}
