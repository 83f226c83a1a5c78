import { useMemo } from 'react';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import {
  retiredIn,
  sessionSeconds,
  sessionTotals,
  sessionWarnings,
  unrollRounds,
  workOf,
  type BlockWork,
  type SessionTotals,
  type SessionWarning,
  type WarnedBlock,
} from '@eurhythm/core/plan';
import type { Seconds } from '@eurhythm/core/units';
import {
  comboRefs,
  plannedBlock,
  rightBlock,
  type AnyBlockDto,
  type ComboView,
  type FighterView,
  type GymView,
  type RoundDto,
  type SaveSessionDto,
} from '@eurhythm/contract';

/** What the book, the gym and its people say about a session. */
export interface PlanGround {
  readonly book: MoveBook;
  readonly retired: ReadonlySet<string>;
  readonly combos: readonly ComboView[];
  /** What a new round begins with: the first combo of the adults, where there is one. */
  readonly firstCombo: string | null;
  readonly gym: GymView;
  readonly fighters: readonly FighterView[];
}

export interface PlannedSession extends SessionTotals {
  readonly seconds: Seconds;
  readonly warnings: readonly SessionWarning[];
}

/** What a block is for the planner, worked out once for as long as the block stays as it is. */
interface KnownBlock {
  readonly work: BlockWork;
  readonly gone: readonly string[];
  readonly retired: readonly string[];
}

/** Adds a session up and looks for what a coach would want to hear before the class. Only changed blocks are worked out anew. */
export function usePlanned(session: SaveSessionDto, ground: PlanGround): PlannedSession {
  const { book, retired, combos } = ground;
  const knownOf = useMemo(() => {
    const byId = new Map(combos.map((combo) => [combo.id, combo]));
    const known: Readonly<Record<Lead, WeakMap<AnyBlockDto, KnownBlock>>> = {
      left: new WeakMap(),
      right: new WeakMap(),
    };
    return (block: AnyBlockDto, lead: Lead): KnownBlock => {
      let found = known[lead].get(block);
      if (!found) known[lead].set(block, (found = workedOut(block, lead, byId, book, retired)));
      return found;
    };
  }, [book, retired, combos]);
  return useMemo(() => plan(session, ground, knownOf), [session, ground, knownOf]);
}

function workedOut(
  block: AnyBlockDto,
  lead: Lead,
  combos: ReadonlyMap<string, ComboView>,
  book: MoveBook,
  retired: ReadonlySet<string>,
): KnownBlock {
  const planned = plannedBlock(rightBlock(block), combos);
  const refs = block.kind === 'combo' ? comboRefs(block) : [];
  return {
    work: workOf(planned, book, lead),
    gone: refs.flatMap(({ comboId }) => (comboId !== undefined && !combos.has(comboId) ? [comboId] : [])),
    retired: retiredIn(planned, book, retired),
  };
}

function plan(
  session: SaveSessionDto,
  { gym, fighters }: PlanGround,
  knownOf: (block: AnyBlockDto, lead: Lead) => KnownBlock,
): PlannedSession {
  const held = unrollRounds(session.rounds);
  const warned = held.map((round) => ({
    ...round,
    blocks: round.blocks.map((block) => warnedBlock(block, knownOf(block, session.lead))),
  }));
  const groups = (session.groups ?? []).map(({ name, gradeIds }) => ({
    name,
    bands: gym.grades.filter((grade) => gradeIds.includes(grade.id)).map((grade) => grade.band),
    people: fighters.filter((fighter) => fighter.fit && gradeIds.includes(fighter.gradeId)).length,
  }));
  return {
    seconds: sessionSeconds(session.rounds),
    ...sessionTotals(warned),
    warnings: sessionWarnings(warned, {
      groups,
      bands: groups.length > 0 ? groups.flatMap((group) => group.bands) : ['adults'],
      floorSteps: gym.school.floorSteps,
      kit: gym.school.kit,
    }),
  };
}

function warnedBlock({ id, kind, kit }: AnyBlockDto, known: KnownBlock): WarnedBlock {
  return { id, kind, seconds: known.work.seconds, kit: kit ?? [], ...known };
}

/** The round of the session that a held round stands for. */
export function sourceOf(heldId: string, rounds: readonly RoundDto[]): number {
  const exact = rounds.findIndex((round) => round.id === heldId);
  return exact === -1 ? rounds.findIndex((round) => heldId.startsWith(`${round.id}.`)) : exact;
}
