import type { Limb } from '../body/index.ts';
import type { Level } from '../moves/index.ts';
import type { CompiledRound, Cue } from '../rounds/index.ts';
import type { Bpm, Seconds } from '../units/index.ts';

/** Ticks in a quarter note, which is one beat. */
export const MIDI_TICKS = 480;

/** An event of a Standard MIDI File at its tick, before it is written as bytes. */
export type MidiEvent =
  | { readonly kind: 'tempo'; readonly tick: number; readonly microseconds: number }
  | { readonly kind: 'lyric'; readonly tick: number; readonly text: string }
  | { readonly kind: 'note-on'; readonly tick: number; readonly note: number; readonly velocity: number }
  | { readonly kind: 'note-off'; readonly tick: number; readonly note: number };

export interface MidiTracks {
  /** The tempo map with the calls as lyrics. */
  readonly tempo: readonly MidiEvent[];
  readonly strikes: readonly MidiEvent[];
}

/** Lowest note of a limb; body and low targets lie one and two notes under the head's. */
const NOTE_OF_LIMB: Readonly<Record<Limb, number>> = {
  'left-hand': 60,
  'right-hand': 64,
  'both-hands': 68,
  'left-leg': 48,
  'right-leg': 52,
  feet: 40,
  body: 44,
  holder: 72,
};
const NOTE_OF_LEVEL: Readonly<Record<Level, number>> = { low: 0, body: 1, head: 2 };
const VELOCITY = { touch: 50, normal: 90, full: 120 } as const;
/** A strike sounds for a sixteenth. */
const NOTE_TICKS = MIDI_TICKS / 4;
const START_BPM: Bpm = 120;

/**
 * @example
 * midiNote('left-arm', 'head') === midiNote('right-arm', 'head') // false
 */
export function midiNote(limb: Limb, level: Level | null): number {
  return NOTE_OF_LIMB[limb] + (level === null ? 1 : NOTE_OF_LEVEL[level]);
}

/**
 * The strikes and calls of rounds that follow each other on one clock of ticks. Each cycle sets its own tempo, so that
 * its beats are whole quarter notes; the instants of the ticks come within half a tick of those of the cues, however
 * long the file is, because each change of tempo is reckoned from the true instant of its own tick.
 *
 * @example
 * midiTracks([{ at: 0, round }]).strikes.length > 0 // true
 */
export function midiTracks(
  rounds: readonly { readonly at: Seconds; readonly round: Pick<CompiledRound, 'cues' | 'cycles'> }[],
): MidiTracks {
  const clock = tempoClock(
    rounds.flatMap(({ at, round }) =>
      round.cycles.map((cycle) => ({ at: at + cycle.at, bpm: 60 / cycle.beatSeconds })),
    ),
  );
  const cues = rounds.flatMap(({ at, round }) => round.cues.map((cue) => ({ at: at + cue.at, cue })));
  const lyrics = cues.flatMap(({ at, cue }): MidiEvent[] =>
    cue.clip ? [{ kind: 'lyric', tick: clock.tickAt(at), text: cue.text }] : [],
  );
  const strikes = cues.flatMap(({ at, cue }) => strikeEvents(cue, clock.tickAt(at)));
  return { tempo: inOrder([...clock.events, ...lyrics]), strikes: inOrder(strikes) };
}

function strikeEvents(cue: Cue, tick: number): MidiEvent[] {
  if (cue.kind !== 'strike' || cue.limb === undefined) return [];
  const note = midiNote(cue.limb, cue.level ?? null);
  return [
    { kind: 'note-on', tick, note, velocity: VELOCITY[cue.power ?? 'normal'] },
    { kind: 'note-off', tick: tick + NOTE_TICKS, note },
  ];
}

const ORDER: Readonly<Record<MidiEvent['kind'], number>> = {
  tempo: 0,
  'note-off': 1,
  lyric: 2,
  'note-on': 3,
};

function inOrder(events: readonly MidiEvent[]): MidiEvent[] {
  return [...events].sort((a, b) => a.tick - b.tick || ORDER[a.kind] - ORDER[b.kind]);
}

interface TempoStretch {
  readonly at: Seconds;
  readonly tick: number;
  readonly microseconds: number;
}

function tempoClock(changes: readonly { readonly at: Seconds; readonly bpm: Bpm }[]) {
  const stretches: TempoStretch[] = [{ at: 0, tick: 0, microseconds: Math.round(60e6 / START_BPM) }];
  const secondsOf = (ticks: number, microseconds: number): Seconds =>
    (ticks * microseconds) / 1e6 / MIDI_TICKS;
  const ticksFrom = (stretch: TempoStretch, at: Seconds): number =>
    Math.round(((at - stretch.at) * 1e6 * MIDI_TICKS) / stretch.microseconds);
  for (const { at, bpm } of changes) {
    const last = stretches.at(-1)!;
    const microseconds = Math.round(60e6 / bpm);
    if (microseconds === last.microseconds) continue;
    const ticks = ticksFrom(last, at);
    const stretch = {
      at: last.at + secondsOf(ticks, last.microseconds),
      tick: last.tick + ticks,
      microseconds,
    };
    if (ticks <= 0) stretches[stretches.length - 1] = { ...last, microseconds };
    else stretches.push(stretch);
  }
  let near = 0;
  return {
    events: stretches.map(({ tick, microseconds }): MidiEvent => ({ kind: 'tempo', tick, microseconds })),
    tickAt: (at: Seconds): number => {
      if (stretches[near]!.at > at) near = 0;
      while (near + 1 < stretches.length && stretches[near + 1]!.at <= at) near += 1;
      const stretch = stretches[near]!;
      return Math.max(0, stretch.tick + ticksFrom(stretch, at));
    },
  };
}
