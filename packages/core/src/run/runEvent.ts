import type { Bpm, Seconds } from '../units/index.ts';

/** An instant by the clock of a device: milliseconds since 1970, UTC. */
export type EpochMs = number;

/** What can be done to a run, or happens in it. Marks and bursts stand in its log too, but do not move it. */
export const RUN_EVENT_KINDS = [
  'start',
  'hold',
  'go-on',
  'skip',
  'again',
  'tempo',
  'bell',
  'all-clean',
  'comes',
  'leaves',
  'end',
] as const;
export type RunEventKind = (typeof RUN_EVENT_KINDS)[number];

/** Something done to a run, in the order in which it was done. */
export type RunEvent =
  /** It begins, held or running, at a place. */
  | {
      readonly kind: 'start' | 'hold' | 'go-on';
      readonly at: EpochMs;
      readonly round: number;
      readonly position: Seconds;
    }
  /** To another round, or to the start of this one; it runs on if it ran. */
  | {
      readonly kind: 'skip' | 'again';
      readonly at: EpochMs;
      readonly round: number;
      readonly running: boolean;
    }
  /** From `position` of the round on, so much faster. */
  | {
      readonly kind: 'tempo';
      readonly at: EpochMs;
      readonly round: number;
      readonly position: Seconds;
      readonly by: Bpm;
    }
  /** The end bell of a round has rung: whoever has no other mark has finished it; or all of those were clean. */
  | { readonly kind: 'bell' | 'all-clean'; readonly at: EpochMs; readonly round: number }
  /** Somebody comes late or leaves early, in this round. */
  | {
      readonly kind: 'comes' | 'leaves';
      readonly at: EpochMs;
      readonly round: number;
      readonly fighterId: string;
    }
  | { readonly kind: 'end'; readonly at: EpochMs };

/** An event as it is kept: fields that its kind does not need may be missing. */
export interface KeptRunEvent {
  readonly kind: string;
  readonly at: string;
  readonly round?: number;
  readonly position?: Seconds;
  readonly running?: boolean;
  readonly by?: Bpm;
  readonly fighterId?: string;
}

/**
 * Reads an event from its log; null for one that does not move the run, such as a mark.
 *
 * @example
 * readRunEvent({ kind: 'end', at: '1970-01-01T00:00:01Z' }) // { kind: 'end', at: 1000 }
 */
export function readRunEvent(kept: KeptRunEvent): RunEvent | null {
  const { round = 0, position = 0, running = false, by = 0, fighterId = '' } = kept;
  const at = Date.parse(kept.at);
  switch (kept.kind) {
    case 'start':
    case 'hold':
    case 'go-on':
      return { kind: kept.kind, at, round, position };
    case 'skip':
    case 'again':
      return { kind: kept.kind, at, round, running };
    case 'tempo':
      return { kind: 'tempo', at, round, position, by };
    case 'bell':
    case 'all-clean':
      return { kind: kept.kind, at, round };
    case 'comes':
    case 'leaves':
      return { kind: kept.kind, at, round, fighterId };
    case 'end':
      return { kind: 'end', at };
    default:
      return null;
  }
}

/**
 * The event as it is sent and kept.
 *
 * @example
 * keptRunEvent({ kind: 'end', at: 0 }) // { kind: 'end', at: '1970-01-01T00:00:00.000Z' }
 */
export function keptRunEvent(event: RunEvent): KeptRunEvent {
  return { ...event, at: new Date(event.at).toISOString() };
}

type NeededField = 'round' | 'position' | 'by' | 'fighterId';

/**
 * The fields that an event of a kind cannot do without and does not have.
 *
 * @example
 * missingFields({ kind: 'start', at: '2026-03-05T18:30:00Z', round: 0 }) // ['position']
 */
export function missingFields(event: KeptRunEvent): NeededField[] {
  const needed: Readonly<Record<string, readonly NeededField[]>> = {
    start: ['round', 'position'],
    hold: ['round', 'position'],
    'go-on': ['round', 'position'],
    skip: ['round'],
    again: ['round'],
    tempo: ['round', 'position', 'by'],
    bell: ['round'],
    'all-clean': ['round'],
    comes: ['round', 'fighterId'],
    leaves: ['round', 'fighterId'],
  };
  return (needed[event.kind] ?? []).filter((field) => event[field] === undefined);
}
