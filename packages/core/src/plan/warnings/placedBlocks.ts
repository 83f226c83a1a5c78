import type { CaredFor } from '../care/careNotes.ts';
import type { YouthLimits } from '../../body/index.ts';
import type { BlockKindName, MutedRule, Phase } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { titleInSeries } from '../plannedRound.ts';
import type { BlockWork, MeasuredPace, TooFastFor } from '../roundWork.ts';

export const WARNING_RULES = [
  'no-warm-up',
  'spins-early',
  'no-rest',
  'one-side',
  'small-room',
  'kit-missing',
  'empty-group',
  'gone-combo',
  'retired-move',
  'too-fast',
  'too-fast-for-some',
  'youth-limits',
  'counts-cut',
] as const;
export type WarningRule = (typeof WARNING_RULES)[number];

/** A block that may hear of a rule. */
export const hears =
  (rule: MutedRule) =>
  ({ block }: PlacedBlock): boolean =>
    !block.muted?.includes(rule);

export interface SessionWarning {
  readonly rule: WarningRule;
  readonly message: string;
  /** Where it happens: the round and block, and the instant in the session; null when it is about the whole. */
  readonly place: { readonly round: string; readonly block: string; readonly at: Seconds } | null;
}

export type Band = 'children' | 'adults';

/** A block as the warnings see it. */
export interface WarnedBlock {
  readonly id: string;
  readonly kind: BlockKindName;
  readonly seconds: Seconds;
  readonly kit?: readonly string[];
  readonly work: BlockWork;
  /** Stretches of work in it, parted by rests of its own; one of its whole length without it. */
  readonly spells?: readonly Seconds[];
  /** Seconds that its counts need at this pace; null for what goes by the clock. */
  readonly needs?: Seconds | null;
  /** What its lines name and the book no longer has, or has retired. */
  readonly gone: readonly string[];
  readonly retired: readonly string[];
  /** Names of the groups it is for; everybody without any. */
  readonly who?: readonly string[];
  /** Rules that the coach has heard and does not want to hear of it again. */
  readonly muted?: readonly MutedRule[] | undefined;
  /** What a band should not do in it, for a group or, with null, for everybody. */
  youthFaults?(limits: YouthLimits, group: string | null): readonly string[];
  /** What of it is too fast for one of those whose pace was measured. */
  tooFastFor?(person: MeasuredPace): readonly TooFastFor[];
}

/** Rounds as they are held one after the other, series written out. */
export interface WarnedRound {
  readonly id: string;
  readonly title: string;
  readonly kind: Phase;
  readonly blocks: readonly WarnedBlock[];
}

export interface ClassFacts {
  /** Groups by name, with the bands and the number of people in them. */
  readonly groups: readonly {
    readonly name: string;
    readonly bands: readonly Band[];
    readonly people: number;
    /** What the youngest of them may do to a partner; null where only adults are. */
    readonly youth?: YouthLimits | null;
  }[];
  /** The same for everybody who is in no group. */
  readonly youth?: YouthLimits | null;
  readonly bands: readonly Band[];
  /** Those who may come and whose pace was measured. */
  readonly paces?: readonly MeasuredPace[];
  /** Those who may come and take care of something. */
  readonly cared?: readonly CaredFor[];
  readonly floorSteps: number | null;
  /** What the gym has; empty when nobody wrote it down. */
  readonly kit: readonly string[];
}

/** A block of a session in its place. */
export interface PlacedBlock {
  readonly round: WarnedRound;
  readonly block: WarnedBlock;
  readonly at: Seconds;
}

export function placeBlocks(rounds: readonly WarnedRound[]): PlacedBlock[] {
  let at = 0;
  return rounds.flatMap((held) => {
    const round = { ...held, title: titleInSeries(held.title) };
    return round.blocks.map((block) => {
      const placed = { round, block, at };
      at += Number.isFinite(block.seconds) ? block.seconds : 0;
      return placed;
    });
  });
}

export const placeOfBlock = ({ round, block, at }: PlacedBlock): SessionWarning['place'] => ({
  round: round.id,
  block: block.id,
  at,
});

/** The first of all that are reported alike. */
export function firstOfEach<T>(list: readonly T[], key: (each: T) => string): T[] {
  const seen = new Map<string, T>();
  for (const each of list) if (!seen.has(key(each))) seen.set(key(each), each);
  return [...seen.values()];
}
