import { useMemo } from 'react';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import {
  NO_STRIKES,
  addStrikes,
  linesOf,
  sessionSeconds,
  sessionWarnings,
  unrollRounds,
  workOf,
  type BlockWork,
  type SessionWarning,
  type StrikeCount,
  type WarnedBlock,
} from '@eurhythm/core/plan';
import { parseLine } from '@eurhythm/core/line';
import { walkStance } from '@eurhythm/core/body';
import { PHASES, type Phase } from '@eurhythm/core/rounds';
import type { Seconds } from '@eurhythm/core/units';
import {
  plannedBlock,
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

export interface PlannedSession {
  readonly seconds: Seconds;
  readonly phases: readonly { readonly phase: Phase; readonly seconds: Seconds }[];
  readonly strikes: StrikeCount;
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
  const planned = plannedBlock(block, combos);
  const refs =
    block.kind === 'combo' ? [...block.combos, ...(block.lanes ?? []).flatMap((lane) => lane.combos)] : [];
  const isWhole = Number.isFinite(block.seconds) && (block.kind !== 'combo' || Number.isFinite(block.bpm));
  return {
    work: isWhole
      ? workOf(planned, book, lead)
      : { strikes: NO_STRIKES, demands: { highKick: false, spin: false, floor: 0 }, seconds: 0 },
    gone: refs.flatMap(({ comboId }) => (comboId !== undefined && !combos.has(comboId) ? [comboId] : [])),
    retired:
      retired.size === 0
        ? []
        : [...new Set(linesOf(planned, book).flatMap((line) => retiredIn(line, book, retired)))],
  };
}

function retiredIn(line: string, book: MoveBook, retired: ReadonlySet<string>): string[] {
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  return walkStance(parsed.line, book, 'left').strokes.flatMap(({ move }) =>
    retired.has(move.code) ? [move.name.toLowerCase()] : [],
  );
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
  const byPhase = new Map<Phase, Seconds>();
  let strikes = NO_STRIKES;
  for (const { kind, blocks } of warned) {
    byPhase.set(kind, (byPhase.get(kind) ?? 0) + blocks.reduce((sum, { seconds }) => sum + seconds, 0));
    for (const { work } of blocks) strikes = addStrikes(strikes, work.strikes);
  }
  const groups = (session.groups ?? []).map(({ name, gradeIds }) => ({
    name,
    bands: gym.grades.filter((grade) => gradeIds.includes(grade.id)).map((grade) => grade.band),
    people: fighters.filter((fighter) => fighter.fit && gradeIds.includes(fighter.gradeId)).length,
  }));
  return {
    seconds: sessionSeconds(session.rounds),
    phases: PHASES.flatMap((phase) => (byPhase.has(phase) ? [{ phase, seconds: byPhase.get(phase)! }] : [])),
    strikes,
    warnings: sessionWarnings(warned, {
      groups,
      bands: groups.length > 0 ? groups.flatMap((group) => group.bands) : ['adults'],
      floorSteps: gym.school.floorSteps,
      kit: gym.school.kit,
    }),
  };
}

function warnedBlock({ id, kind, seconds, kit }: AnyBlockDto, known: KnownBlock): WarnedBlock {
  return { id, kind, seconds: Number.isFinite(seconds) ? seconds : 0, kit: kit ?? [], ...known };
}

/** The round of the session that a held round stands for. */
export function sourceOf(heldId: string, rounds: readonly RoundDto[]): number {
  const exact = rounds.findIndex((round) => round.id === heldId);
  return exact === -1 ? rounds.findIndex((round) => heldId.startsWith(`${round.id}.`)) : exact;
}
