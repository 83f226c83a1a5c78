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
  /** The combo that the quality is about, where the round has several; all of them without it. */
  readonly comboId?: string | null;
}

export interface Pressed {
  /** How long the round was worked so far, in seconds; null where it is over and nobody knows. */
  readonly seconds: Seconds | null;
  /** The lead that is not the planned one. */
  readonly otherLead: Lead;
  /** The combo that is called just now; null or missing where the whole round is meant. */
  readonly comboId?: string | null;
  /** The combos of the round: where the whole is meant, the same press again goes through them. */
  readonly combos?: readonly string[];
}

/**
 * The mark after one press more: how it was done and how clean it was are told apart, and each press changes one of them.
 *
 * @example
 * stamped(undefined, 'wild', { seconds: 12, otherLead: 'right' }) // { done: 'finished', quality: 'wild', seconds: null, lead: null }
 */
export function stamped(before: Mark | undefined, stamp: StampId, pressed: Pressed): Mark {
  const { seconds, otherLead } = pressed;
  const { done = 'finished', quality = null, lead = null, comboId = null } = before ?? {};
  const about = comboId === null ? {} : { comboId };
  const kept = { quality, lead, ...about };
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
      return { ...whatWasDone(done, before), ...kept, lead: lead === null ? otherLead : null };
    case 'loose':
    case 'wild':
    case 'clean':
      return { ...whatWasDone(done, before), quality: stamp, lead, ...aboutWhat(before, stamp, pressed) };
    default:
      return stamp satisfies never;
  }
}

/** Which combo a quality is about: the one that is called; after the class the whole round first, then each in turn. */
function aboutWhat(
  before: Mark | undefined,
  stamp: Mark['quality'],
  { comboId = null, combos = [] }: Pressed,
): Pick<Mark, 'comboId'> {
  if (comboId !== null) return { comboId };
  if (combos.length < 2 || before?.quality !== stamp) return {};
  const next = combos[before?.comboId ? combos.indexOf(before.comboId) + 1 : 0];
  return next === undefined ? {} : { comboId: next };
}

/** Who is said to have done it well or badly has not sat out. */
function whatWasDone(done: Mark['done'], before: Mark | undefined): Pick<Mark, 'done' | 'seconds'> {
  return done === 'part' ? { done, seconds: before?.seconds ?? null } : { done: 'finished', seconds: null };
}

/**
 * A mark in words, with the combo that its quality is about where there is one.
 *
 * @example
 * markText({ done: 'part', quality: 'loose', seconds: 72, lead: null }) // 'part 1:12, loose'
 */
export function markText(
  { done, quality, seconds = null, lead, comboId = null }: Mark,
  nameOf: (comboId: string) => string = () => 'one combo',
): string {
  const what = done === 'sat-out' ? 'sat out' : done;
  const far = done === 'part' && seconds !== null ? ` ${clockText(seconds)}` : '';
  return [
    `${what}${far}`,
    ...(quality ? [comboId === null ? quality : `${quality} in ${nameOf(comboId)}`] : []),
    ...(lead ? [`${lead} lead`] : []),
  ].join(', ');
}
