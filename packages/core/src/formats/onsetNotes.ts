import type { Seconds } from '../units/index.ts';
import { MIDI_TICKS, midiNote, type MidiEvent } from './midiTrack.ts';

/** Ticks of a file of strikes are those of 120 beats a minute. */
const BEAT_MICROSECONDS = 500_000;
/** Decibels of full scale of the softest and the loudest note. */
const SOFT = -50;
const LOUD = -6;

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
