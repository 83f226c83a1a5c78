import type { Span } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { beatSeconds, subtract, toNumber, type Bpm, type Seconds } from '../../units/index.ts';
import type { ClockResult, RepeatClock } from '../limbClock.ts';
import type { ClockSettings } from '../pairGap.ts';
import type { Walk, WalkedStroke } from '../walkStance.ts';
import type { Audience } from '../audience.ts';

export const RULES = [
  'too-fast',
  'leg-in-air',
  'limb-clash',
  'both-hands-away',
  'bare-entry',
  'same-turn-twice',
  'under-arm-open',
  'no-pivot',
  'stays-in-range',
  'ends-other-lead',
  'side-untrained',
  'above-grade',
  'youth-contact',
  'needs-room',
  'side-ignored',
  'drifts',
  'risk',
] as const;
export type Rule = (typeof RULES)[number];

export type Severity = 'note' | 'caution' | 'cannot';

/** Something that a body cannot or should not do, or that a coach may want to know. */
export interface Finding extends Span {
  readonly rule: Rule;
  readonly severity: Severity;
  /** Indexes of the strokes it is about, in order. */
  readonly strokes: readonly number[];
  readonly message: string;
  /** Of a risk of the book: the move that has it, and its sentence there. */
  readonly risk?: { readonly move: string; readonly text: string };
}

/** The gym's ways, as far as they bear on findings. */
export interface School {
  /** Whether a strike stops on the target and snaps back, or drives through it. */
  readonly strikes: 'snap' | 'through';
  /** Whether a kick always turns the hips fully, or keeps them square when a punch follows at once. */
  readonly hips: 'full' | 'square';
  readonly frontHighBlock: 'allowed' | 'avoided';
  /** Steps of floor there are in each direction; null when there is plenty. */
  readonly floorSteps: number | null;
  /** Rules that the gym does not want to hear about. */
  readonly muted: readonly Rule[];
}

export const STARTER_SCHOOL: School = {
  strikes: 'snap',
  hips: 'full',
  frontHighBlock: 'allowed',
  floorSteps: null,
  muted: [],
};

/** Everything a rule may look at. */
export interface FindingContext {
  readonly walk: Walk;
  /** The fighter's own strokes. */
  readonly own: readonly WalkedStroke[];
  readonly book: MoveBook;
  readonly clock: ClockResult;
  /** How it follows itself; null when it is not repeated. */
  readonly repeat: RepeatClock | null;
  /** How often it is done in a row, for the floor that it needs; once where nobody says. */
  readonly times: number;
  readonly settings: ClockSettings;
  /** The combo's tempo; null when it has none, and then nothing is judged by time. */
  readonly bpm: Bpm | null;
  readonly audience: Audience;
  readonly school: School;
}

export type FindingRule = (context: FindingContext) => Finding[];

/** A finding about some strokes, its span reaching from the first to the last of them in the text. */
export function about(
  rule: Rule,
  severity: Severity,
  strokes: readonly WalkedStroke[],
  message: string,
): Finding {
  const spans = strokes.map(({ stroke }) => stroke);
  return {
    rule,
    severity,
    from: Math.min(...spans.map((span) => span.from)),
    to: Math.max(...spans.map((span) => span.to)),
    strokes: strokes.map((stroke) => stroke.index),
    message,
  };
}

/** Seconds from one stroke to a later one; null without a tempo, unless they land together. */
export function secondsBetween(a: WalkedStroke, b: WalkedStroke, bpm: Bpm | null): Seconds | null {
  const beats = toNumber(subtract(b.beat, a.beat));
  if (beats === 0) return 0;
  return bpm === null ? null : beats * beatSeconds(bpm);
}

export function beatsBetween(a: WalkedStroke, b: WalkedStroke): number {
  return toNumber(subtract(b.beat, a.beat));
}

export function nameOf({ move }: WalkedStroke): string {
  return move.name.toLowerCase();
}
