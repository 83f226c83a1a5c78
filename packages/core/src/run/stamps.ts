import type { Lead } from '../moves/index.ts';
import { clockText, type Seconds } from '../units/index.ts';

/** What a press says of a fighter's round. Nobody has to be pressed who finishes it. */
export const STAMPS = [
  { id: 'part', name: 'Part', key: 'p', of: 'How far' },
  { id: 'sat-out', name: 'Sat out', key: 's', of: 'How far' },
  { id: 'finished', name: 'Finished', key: 'f', of: 'How far' },
  { id: 'loose', name: 'Loose', key: 'l', of: 'How clean' },
  { id: 'wild', name: 'Wild', key: 'w', of: 'How clean' },
  { id: 'clean', name: 'Clean', key: 'c', of: 'How clean' },
  { id: 'other-lead', name: 'Other lead', key: 'o', of: 'Which lead' },
] as const;
export type StampId = (typeof STAMPS)[number]['id'];

export const STAMP_IDS = STAMPS.map(({ id }) => id);

/** Who sits a round out, or does it from the other lead, may say so before it; all else is of what was done. */
const KNOWN_AHEAD: readonly StampId[] = ['sat-out', 'other-lead'];

/**
 * Why a press says nothing of a round that nobody has begun; empty where it does.
 *
 * @example
 * tooEarly('sat-out') // ''
 * tooEarly('wild') // 'Nobody has begun this round: before its first bell only “Sat out” and “Other lead” can be said.'
 */
export const tooEarly = (stamp: StampId): string =>
  KNOWN_AHEAD.includes(stamp)
    ? ''
    : 'Nobody has begun this round: before its first bell only “Sat out” and “Other lead” can be said.';

/** What a mark says, beside whose and when. */
export interface Mark {
  readonly done: 'finished' | 'part' | 'sat-out';
  readonly quality?: 'clean' | 'loose' | 'wild' | null;
  /** Of a part: after so many seconds of work. */
  readonly seconds?: Seconds | null;
  /** Where it was another than planned. */
  readonly lead?: Lead | null;
}

export interface Pressed {
  /** How long the round was worked so far, in seconds; null where it is over and nobody knows. */
  readonly seconds: Seconds | null;
  /** The lead that is not the planned one. */
  readonly otherLead: Lead;
}

/**
 * The mark after one press more: how it was done and how clean it was are told apart, and each press changes one of them.
 *
 * @example
 * stamped(undefined, 'wild', { seconds: 12, otherLead: 'right' }) // { done: 'finished', quality: 'wild', seconds: null, lead: null }
 */
export function stamped(before: Mark | undefined, stamp: StampId, { seconds, otherLead }: Pressed): Mark {
  const { done = 'finished', quality = null, lead = null } = before ?? {};
  const kept = { quality, lead };
  switch (stamp) {
    case 'part':
      return {
        ...kept,
        done: 'part',
        seconds: seconds === null ? (before?.seconds ?? null) : Math.round(seconds),
      };
    case 'sat-out':
      return { done: 'sat-out', quality: null, seconds: null, lead: null };
    case 'finished':
      return { ...kept, done: 'finished', seconds: null };
    case 'other-lead':
      return { ...whatWasDone(done, before), quality, lead: lead === null ? otherLead : null };
    case 'loose':
    case 'wild':
    case 'clean':
      return { ...whatWasDone(done, before), quality: stamp, lead };
    default:
      return stamp satisfies never;
  }
}

/** Who is said to have done it well or badly has not sat out. */
function whatWasDone(done: Mark['done'], before: Mark | undefined): Pick<Mark, 'done' | 'seconds'> {
  return done === 'part' ? { done, seconds: before?.seconds ?? null } : { done: 'finished', seconds: null };
}

/**
 * A mark in words.
 *
 * @example
 * markText({ done: 'part', quality: 'loose', seconds: 72, lead: null }) // 'part 1:12, loose'
 */
export function markText({ done, quality, seconds = null, lead }: Mark): string {
  const what = done === 'sat-out' ? 'sat out' : done;
  const far = done === 'part' && seconds !== null ? ` ${clockText(seconds)}` : '';
  return [`${what}${far}`, ...(quality ? [quality] : []), ...(lead ? [`${lead} lead`] : [])].join(', ');
}
