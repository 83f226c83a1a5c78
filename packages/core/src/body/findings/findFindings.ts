import type { MoveBook } from '../../moves/index.ts';
import type { Bpm } from '../../units/index.ts';
import { limbClock, repeatClock, type ClockResult, type RepeatClock } from '../limbClock.ts';
import type { ClockSettings } from '../pairGap.ts';
import { ANYBODY, type Audience } from '../audience.ts';
import type { Walk } from '../walkStance.ts';
import { bothHandsAway, legInAir, limbClash, noPivot, sameTurnTwice, tooFast } from './bodyRules.ts';
import {
  RULES,
  STARTER_SCHOOL,
  type Finding,
  type FindingContext,
  type FindingRule,
  type Rule,
  type School,
} from './finding.ts';
import {
  aboveGrade,
  bareEntry,
  drifts,
  endsOtherLead,
  needsRoom,
  risks,
  sideIgnored,
  sideUntrained,
  staysInRange,
  underArmOpen,
  youthContact,
} from './tacticRules.ts';

const RULE_OF: Readonly<Record<Rule, FindingRule>> = {
  'too-fast': tooFast,
  'leg-in-air': legInAir,
  'limb-clash': limbClash,
  'both-hands-away': bothHandsAway,
  'bare-entry': bareEntry,
  'same-turn-twice': sameTurnTwice,
  'under-arm-open': underArmOpen,
  'no-pivot': noPivot,
  'stays-in-range': staysInRange,
  'ends-other-lead': endsOtherLead,
  'side-untrained': sideUntrained,
  'above-grade': aboveGrade,
  'youth-contact': youthContact,
  'needs-room': needsRoom,
  'side-ignored': sideIgnored,
  drifts,
  risk: risks,
};

const WEIGHT = { cannot: 0, caution: 1, note: 2 } as const;

/** How a line is looked at: how quick the body is, at which tempo, for whom, and by whose ways. */
export interface FindingSettings {
  /** Pace factor, 1 for sharp, or a fighter's own pace. */
  readonly factor: ClockSettings['factor'];
  readonly bpm: Bpm | null;
  /** From the start of one time through to the next, in beats; without it the line is done once. */
  readonly cycleBeats?: number;
  /** How often it is done in a row, for the floor that it needs. */
  readonly times?: number;
  readonly audience?: Audience;
  readonly school?: School;
}

export interface BodyReport extends ClockResult {
  readonly repeat: RepeatClock | null;
  /** The heaviest first, then in the order of the text. */
  readonly findings: readonly Finding[];
}

/**
 * The limb clock and every finding about a walked line. Strokes of repeated groups are reported once.
 *
 * @example
 * findFindings(walk('1-1-1-1'), book, { factor: 1.25, bpm: 300 }).findings.map(({ severity }) => severity)[0] // 'caution'
 */
export function findFindings(walk: Walk, book: MoveBook, settings: FindingSettings): BodyReport {
  const school = settings.school ?? STARTER_SCHOOL;
  const clockSettings = {
    factor: settings.factor,
    drivesThrough: school.strikes === 'through',
    squareHips: school.hips === 'square',
  };
  const clock = limbClock(walk, clockSettings);
  const repeat =
    settings.cycleBeats === undefined ? null : repeatClock(walk, settings.cycleBeats, clockSettings);
  const context: FindingContext = {
    walk,
    own: walk.strokes.filter((stroke) => stroke.stroke.by === 'fighter'),
    book,
    clock,
    repeat,
    times: settings.times ?? 1,
    settings: clockSettings,
    bpm: settings.bpm,
    audience: settings.audience ?? ANYBODY,
    school,
  };
  const found = RULES.filter((rule) => !school.muted.includes(rule)).flatMap((rule) =>
    RULE_OF[rule](context),
  );
  const byKey = new Map(
    found
      .toReversed()
      .map((finding) => [`${finding.rule} ${finding.from} ${finding.to} ${finding.message}`, finding]),
  );
  const findings = [...byKey.values()].sort(
    (a, b) => WEIGHT[a.severity] - WEIGHT[b.severity] || a.from - b.from,
  );
  return { ...clock, repeat, findings };
}
