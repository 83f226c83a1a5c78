import { labelledWav, onsetNotes, onsetsCsv, MIDI_TICKS, type MidiEvent } from '@eurhythm/core/formats';
import type { MidiEvent as FileEvent } from 'midi-file';
import { saveFile } from '../../../ui/saveAs.ts';
import type { FileOnset, HeardFile } from './readSound.ts';

/** A region about a strike, in seconds. */
const REGION = 0.06;

/** Saves what was heard as a file: a table, the sound with a region for each strike, or notes. */
export async function exportOnsets(
  as: 'csv' | 'wav' | 'midi',
  file: HeardFile,
  onsets: readonly FileOnset[],
): Promise<void> {
  const name = file.name.replace(/\.[^.]*$/, '') || 'strikes';
  switch (as) {
    case 'csv':
      return saveFile(`${name}-strikes.csv`, onsetsCsv(onsets), 'text/csv');
    case 'wav': {
      const labels = onsets.map(({ at, doubtful }, i) => ({
        at,
        seconds: REGION,
        name: `strike ${i + 1}${doubtful ? '?' : ''}`,
      }));
      const sound = file.sound ?? {
        sampleRate: 8000,
        samples: new Float32Array(Math.ceil(file.seconds * 8000)),
      };
      return saveFile(`${name}-strikes.wav`, labelledWav(sound, labels), 'audio/wav');
    }
    case 'midi': {
      const { writeMidi } = await import('midi-file');
      const track = withDeltas(onsetNotes(onsets));
      const bytes = writeMidi({
        header: { format: 0, numTracks: 1, ticksPerBeat: MIDI_TICKS },
        tracks: [[...track, { deltaTime: 0, meta: true, type: 'endOfTrack' }]],
      });
      return saveFile(`${name}-strikes.mid`, new Uint8Array(bytes), 'audio/midi');
    }
    default:
      return as satisfies never;
  }
}

function withDeltas(events: readonly MidiEvent[]): FileEvent[] {
  return events.map((event, i): FileEvent => {
    const deltaTime = event.tick - (events[i - 1]?.tick ?? 0);
    if (event.kind === 'tempo')
      return { deltaTime, meta: true, type: 'setTempo', microsecondsPerBeat: event.microseconds };
    if (event.kind === 'lyric') return { deltaTime, meta: true, type: 'lyrics', text: event.text };
    const velocity = event.kind === 'note-on' ? event.velocity : 0;
    const type = event.kind === 'note-on' ? 'noteOn' : 'noteOff';
    return { deltaTime, type, channel: 0, noteNumber: event.note, velocity };
  });
}
