import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { PACE_FACTORS, strictestOf } from '@eurhythm/core/body';
import type { ClassFacts } from '@eurhythm/core/plan';
import { ownPace } from '@eurhythm/core/progress';
import {
  rightBlock,
  type FighterPaceView,
  type FighterView,
  type GymView,
  type SaveSessionDto,
} from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { useBookView, useAllCombos, useFighters, useGym } from '../../../server/gymData.ts';
import { NOT_YET, Planned } from './usePlanned.ts';
import { coreWorkWith } from '../../../workers/coreWork.ts';

/**
 * Adds a session up and looks for what a coach would want to hear before the class, in a thread of its own.
 * Only what asks for the answer with `usePlanned` is drawn anew when it comes; the last one stands meanwhile.
 */
export function PlanSession({ session, children }: { session: SaveSessionDto; children: ReactNode }) {
  const { lead, rounds, groups } = session;
  const book = useBookView();
  const combos = useAllCombos();
  const gym = useGym();
  const factor = PACE_FACTORS[gym.school.pace];
  const fighters = useFighters();
  const { data: paces } = useQuery(queries.paces());
  const [planned, setPlanned] = useState(NOT_YET);
  // Before the page is painted, so that the thread works while it is.
  useLayoutEffect(() => {
    const retired = book.items.filter((move) => move.retired).map((move) => move.code);
    coreWorkWith(book)
      .then((work) => work.ground({ combos, retired, factor }))
      .catch(tellFailure);
  }, [book, combos, factor]);
  useLayoutEffect(() => {
    let isWanted = true;
    const right = rounds.map((round) => ({ ...round, blocks: round.blocks.map(rightBlock) }));
    coreWorkWith(book)
      .then((work) => work.plan({ lead, rounds: right }, factsOf(groups ?? [], gym, fighters, paces ?? [])))
      .then(
        (answer) => isWanted && setPlanned({ ...answer, hasGroups: (groups ?? []).length > 0 }),
        tellFailure,
      );
    return () => {
      isWanted = false;
    };
  }, [lead, rounds, groups, gym, fighters, paces, book, combos, factor]);
  return <Planned value={planned}>{children}</Planned>;
}

const tellFailure = (error: Error): unknown => toast.error(error.message, { id: 'not-planned' });

/** Who comes, and what the gym has. */
function factsOf(
  groups: NonNullable<SaveSessionDto['groups']>,
  { grades, school }: GymView,
  fighters: readonly FighterView[],
  paces: readonly FighterPaceView[],
): ClassFacts {
  const known = groups.map(({ name, gradeIds }) => ({
    name,
    bands: grades.filter((grade) => gradeIds.includes(grade.id)).map((grade) => grade.band),
    people: fighters.filter((fighter) => fighter.fit && gradeIds.includes(fighter.gradeId)).length,
    youth: strictestOf(gradeIds, grades, school.youth),
  }));
  const measured = paces.flatMap((pace) => {
    const fighter = fighters.find(({ id, fit }) => fit && id === pace.fighterId);
    const group = groups.find(({ gradeIds }) => fighter && gradeIds.includes(fighter.gradeId));
    return fighter && (group || groups.length === 0)
      ? [{ name: fighter.name, group: group?.name ?? null, factor: ownPace(pace) }]
      : [];
  });
  return {
    groups: known,
    paces: measured,
    bands: known.length > 0 ? known.flatMap((group) => group.bands) : ['adults'],
    floorSteps: school.floorSteps,
    kit: school.kit,
  };
}
