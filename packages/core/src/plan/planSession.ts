import { PACE_FACTORS, type YouthLimits } from '../body/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import {
  countedLength,
  fillBlock,
  kindOf,
  type BlockCombo,
  type Phase,
  type WrittenBlock,
} from '../rounds/index.ts';
import type { Seconds } from '../units/index.ts';
import { sessionSeconds, unrollRounds, type Series } from './plannedRound.ts';
import {
  retiredIn,
  sessionTotals,
  tooFastFor,
  workOf,
  youthFaultsIn,
  type MeasuredPace,
  type SessionTotals,
} from './roundWork.ts';
import type { ClassFacts, SessionWarning, WarnedBlock } from './warnings/placedBlocks.ts';
import { careNotes, type CareNote } from './care/careNotes.ts';
import { sessionWarnings } from './warnings/sessionWarnings.ts';

/** A session as it is written. */
export interface WrittenSession {
  readonly lead: Lead;
  readonly rounds: readonly {
    readonly id: string;
    readonly title: string;
    readonly kind: Phase;
    readonly blocks: readonly WrittenBlock[];
    readonly series?: Series | null | undefined;
  }[];
}

/** What a session is planned from. */
export interface PlanGround {
  readonly book: MoveBook;
  /** Codes of moves that the gym has retired. */
  readonly retired: readonly string[];
  readonly combos: readonly BlockCombo[];
  /** Pace of the gym, as a factor on the times of the book; club pace without it. */
  readonly factor?: number;
}

/** A session added up, and what a coach would want to hear before the class. */
export interface PlannedSession extends SessionTotals {
  readonly seconds: Seconds;
  readonly warnings: readonly SessionWarning[];
  /** What somebody does otherwise, round by round. */
  readonly care: readonly CareNote[];
  /** How often lines are gone through from each lead, by "round/block"; only blocks that have lines on a beat. */
  readonly times: Readonly<Record<string, Readonly<Record<Lead, number>>>>;
}

/** What a block asks for, worked out once for as long as it is written the same. */
type KnownBlock = Pick<
  WarnedBlock,
  'work' | 'gone' | 'retired' | 'youthFaults' | 'needs' | 'spells' | 'tooFastFor'
>;

/** So many blocks are remembered: several long sessions with all their changes. */
const MOST_KNOWN = 2000;

/**
 * Plans sessions from one ground; only blocks that it has not seen yet are worked out anew.
 *
 * @example
 * sessionPlanner({ book, retired: [], combos: [] })({ lead: 'left', rounds: [] }, { groups: [], bands: ['adults'], floorSteps: null, kit: [] }).seconds // 0
 */
export function sessionPlanner({ book, retired, combos, factor }: PlanGround) {
  const byId = new Map(combos.map((combo) => [combo.id, combo]));
  const retiredCodes = new Set(retired);
  const known = new Map<string, KnownBlock>();
  const workedOut = (block: WrittenBlock, lead: Lead): KnownBlock => {
    const filled = fillBlock(block, byId);
    const named = kindOf(block).named(block);
    const work = workOf(filled, book, lead, factor);
    return {
      work,
      tooFastFor: remembered((person: MeasuredPace) =>
        tooFastFor(work.asked, person, factor ?? PACE_FACTORS.club),
      ),
      spells: kindOf(block).spells(block),
      needs: countedLength(block, book, factor ?? PACE_FACTORS.club, byId),
      gone: named.flatMap(({ comboId }) => (byId.has(comboId) ? [] : [comboId])),
      retired: retiredIn(filled, book, retiredCodes),
      youthFaults: remembered((limits: YouthLimits, group: string | null) =>
        youthFaultsIn(filled, book, limits, group),
      ),
    };
  };
  const knownOf = (block: WrittenBlock, lead: Lead): KnownBlock => {
    const { muted: _, ...asked } = block;
    const key = `${lead} ${JSON.stringify(asked)}`;
    let found = known.get(key);
    if (!found) {
      if (known.size >= MOST_KNOWN) known.clear();
      known.set(key, (found = workedOut(block, lead)));
    }
    return found;
  };
  const careOf = (rounds: WrittenSession['rounds'], { cared = [] }: ClassFacts): CareNote[] =>
    cared.length === 0
      ? []
      : careNotes(
          rounds.map((round) => ({
            ...round,
            blocks: round.blocks.map((block) => fillBlock(block, byId)),
          })),
          cared,
          book,
        );
  return ({ lead, rounds }: WrittenSession, facts: ClassFacts): PlannedSession => {
    const held = unrollRounds(rounds).map((round) => ({
      ...round,
      blocks: round.blocks.map((block) => {
        const { id, kind, kit = [], who = [], muted = [] } = block;
        const own = knownOf(block, lead);
        return { id, kind, kit, who, muted, seconds: own.work.seconds, ...own };
      }),
    }));
    return {
      seconds: sessionSeconds(rounds),
      ...sessionTotals(held),
      warnings: sessionWarnings(held, facts),
      care: careOf(rounds, facts),
      times: Object.fromEntries(
        rounds.flatMap((round) =>
          round.blocks.flatMap((block) => {
            const { times } = knownOf(block, lead).work;
            return times ? [[`${round.id}/${block.id}`, times] as const] : [];
          }),
        ),
      ),
    };
  };
}

/** Looks once for the same question, however often a session is planned. */
function remembered<Q extends readonly unknown[], A>(look: (...asked: Q) => A): (...asked: Q) => A {
  const known = new Map<string, A>();
  return (...asked) => {
    const key = JSON.stringify(asked);
    if (!known.has(key)) known.set(key, look(...asked));
    return known.get(key)!;
  };
}
