import { soundEvents, type SoundEvent } from '@eurhythm/core/rounds';
import { synthSeconds } from '@eurhythm/core/sound';
import type { Seconds } from '@eurhythm/core/units';
import type { PlayedSession } from './playedSession.ts';

/** Rate of the files: what every player takes. */
export const FILE_RATE = 44_100;
/** The last bell rings out behind the end. */
const TAIL: Seconds = 2;

/** What sounds when in a session, sorted by time: event `i` is source `source[i]` from second `at[i]` on. */
export interface SoundPlan {
  readonly seconds: Seconds;
  readonly sources: readonly SoundEvent['source'][];
  readonly at: Float64Array;
  readonly gain: Float64Array;
  readonly source: Uint32Array;
  /** Length of the longest sound. */
  readonly longest: Seconds;
}

/** The sounds of a session in a form that goes from thread to thread as it is. */
export function soundPlan({ seconds, rounds }: PlayedSession): SoundPlan {
  const events = rounds
    .flatMap(({ at, round }) => soundEvents(round).map((event) => ({ ...event, at: at + event.at })))
    .sort((a, b) => a.at - b.at);
  const places = new Map<string, number>();
  const sources: SoundEvent['source'][] = [];
  const source = Uint32Array.from(events, (event) => {
    const key = keyOf(event.source);
    if (!places.has(key)) places.set(key, sources.push(event.source) - 1);
    return places.get(key)!;
  });
  const clips = rounds.flatMap(({ round }) => round.cues.flatMap(({ clip }) => clip?.seconds ?? []));
  const synths = sources.flatMap((each) => (each.kind === 'synth' ? synthSeconds(each.sound) : []));
  return {
    seconds: seconds + TAIL,
    sources,
    at: Float64Array.from(events, ({ at }) => at),
    gain: Float64Array.from(events, ({ gain }) => gain),
    source,
    longest: [...clips, ...synths].reduce((most, each) => Math.max(most, each), 0),
  };
}

/** The part of a plan that is heard in `seconds` from `from` on. */
export function pieceOf(plan: SoundPlan, from: Seconds, seconds: Seconds): SoundPiece {
  const first = plan.at.findIndex((at) => at >= from - plan.longest);
  const behind = plan.at.findIndex((at) => at >= from + seconds);
  const [start, end] = [first === -1 ? plan.at.length : first, behind === -1 ? plan.at.length : behind];
  const used = [...new Set(plan.source.subarray(start, end))];
  const places = new Map(used.map((place, i) => [place, i]));
  return {
    from,
    seconds,
    sources: used.map((place) => plan.sources[place]!),
    at: plan.at.slice(start, end),
    gain: plan.gain.slice(start, end),
    source: plan.source.slice(start, end).map((place) => places.get(place)!),
  };
}

/** A stretch of a plan; the instants are those of the plan. */
export interface SoundPiece extends Omit<SoundPlan, 'longest'> {
  readonly from: Seconds;
}

export function keyOf(source: SoundEvent['source']): string {
  return source.kind === 'clip' ? source.id : source.sound;
}
