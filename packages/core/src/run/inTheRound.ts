import type { CompiledRound, Cycle, SoundEvent } from '../rounds/index.ts';
import { synthSeconds } from '../sound/index.ts';
import type { Seconds } from '../units/index.ts';

/** A change of tempo begins with a time through that is at least this far ahead, so that its sounds can be placed by then. */
const CHANGE_AHEAD: Seconds = 1.5;
/** A round that is held outside of a time through goes on after two beats of this length. */
const PLAIN_BEAT: Seconds = 0.6;
/** A splice lies this little before the time through that it begins with, so that its first sounds belong to it. */
const SPLICE_AHEAD: Seconds = 0.001;

type Cycles = Pick<CompiledRound, 'cycles' | 'duration'>;

function cycleAt({ cycles }: Cycles, position: Seconds): Cycle | undefined {
  return cycles.findLast((each) => each.at <= position);
}

/**
 * Where the combo that is being done at a position is over; null when none is.
 *
 * @example
 * endOfCombo({ cycles: [{ at: 28, beats: 4, beatSeconds: 1 }], duration: 60 }, 30) // 32
 */
export function endOfCombo(round: Cycles, position: Seconds): Seconds | null {
  const cycle = cycleAt(round, position);
  const end = cycle ? cycle.at + cycle.beats * cycle.beatSeconds : position;
  return end <= position ? null : Math.min(end, round.duration);
}

/**
 * Length of the beats that are counted before a held round goes on; 0 at its start, where it counts itself in.
 *
 * @example
 * beatToGoOn({ cycles: [], duration: 60 }, 0) // 0
 */
export function beatToGoOn(round: Cycles, position: Seconds): Seconds {
  if (position === 0) return 0;
  return (cycleAt(round, position) ?? round.cycles[0])?.beatSeconds ?? PLAIN_BEAT;
}

/**
 * The next time through that can still be changed from a position on; null when there is none.
 *
 * @example
 * nextToChange({ cycles: [{ at: 28 }, { at: 40 }], duration: 60 }, 30) // { at: 40 }
 */
export function nextToChange(round: Cycles, position: Seconds): Cycle | null {
  return round.cycles.find((cycle) => cycle.at > position + CHANGE_AHEAD) ?? null;
}

/**
 * Where another compile of the same round takes over that was changed from the time through at `from` on.
 *
 * @example
 * spliceAt(12, 5) // 11.999
 */
export function spliceAt(from: Seconds, position: Seconds): Seconds {
  return Math.max(from - SPLICE_AHEAD, position + 0.05);
}

/**
 * A round that goes on with another compile of it from an instant on; what is before stays as it was.
 *
 * @example
 * spliced(round, round, 30).duration === round.duration // true
 */
export function spliced<R extends CompiledRound>(before: R, after: R, from: Seconds): R {
  const joined = <T extends { readonly at: Seconds }>(a: readonly T[], b: readonly T[]): T[] => [
    ...a.filter((item) => item.at < from),
    ...b.filter((item) => item.at >= from),
  ];
  return {
    ...after,
    cues: joined(before.cues, after.cues),
    cycles: joined(before.cycles, after.cycles),
    findings: joined(before.findings, after.findings),
  };
}

/**
 * What sounds from one position on, up to another one: `events` are in order of time.
 *
 * @example
 * soundsBetween([{ at: 1 }, { at: 2 }, { at: 3 }], 2, 3) // [{ at: 2 }]
 */
export function soundsBetween(events: readonly SoundEvent[], from: Seconds, to: Seconds): SoundEvent[] {
  const first = firstSoundFrom(events, from);
  let end = first;
  while (end < events.length && events[end]!.at < to) end += 1;
  return events.slice(first, end);
}

/**
 * Place of the first sound that is not before a position; the length of the list when there is none.
 *
 * @example
 * firstSoundFrom([], 12) // 0
 */
export function firstSoundFrom(events: readonly SoundEvent[], position: Seconds): number {
  let [low, high] = [0, events.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (events[middle]!.at < position) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * The count-in and the first times through alone, moved to the start: how a line is heard by itself.
 *
 * @param cycles times through, 1 or more
 *
 * @example
 * excerpt(round, 2).cycles.length // 2
 */
export function excerpt<R extends CompiledRound>(round: R, cycles: number): R {
  const [first] = round.cycles;
  const last = round.cycles[cycles - 1] ?? round.cycles.at(-1);
  if (!first || !last) return { ...round, cues: [], cycles: [], duration: 0 };
  const from = round.cues.find((cue) => cue.kind === 'count')?.at ?? first.at;
  const end = last.at + last.beats * last.beatSeconds;
  const kept = round.cues.filter(
    (cue) => cue.at >= from - 1e-6 && cue.at < end && cue.kind !== 'time' && cue.kind !== 'bell',
  );
  return {
    ...round,
    duration: end - from,
    cues: kept.map((cue) => ({
      ...cue,
      at: cue.at - from,
      ...(cue.clip ? { clip: { ...cue.clip, start: cue.clip.start - from } } : {}),
    })),
    cycles: round.cycles.slice(0, cycles).map((cycle) => ({ ...cycle, at: cycle.at - from })),
  };
}

/** Loudspeaker and hall ring on for so long. */
const RINGS_ON: Seconds = 0.15;

/**
 * Whether a call or a bell sounds at an instant of a round, or rings on; ticks are no matter.
 *
 * @example
 * soundsAt({ cues: [{ at: 1, kind: 'bell', text: '', block: 'b', sound: 'bell-start' }] }, 1.2) // true
 */
export function soundsAt({ cues }: Pick<CompiledRound, 'cues'>, at: Seconds): boolean {
  return cues.some(({ at: rings, clip, sound }) => {
    if (clip && at >= clip.start - RINGS_ON && at < clip.start + clip.seconds + RINGS_ON) return true;
    return (
      sound !== undefined &&
      sound.startsWith('bell') &&
      at >= rings - RINGS_ON &&
      at < rings + synthSeconds(sound) + RINGS_ON
    );
  });
}
