import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { sessionSeconds, type ClassFacts, type PlannedSession } from '@eurhythm/core/plan';
import { NO_STRIKES } from '@eurhythm/core/rounds';
import { rightBlock, type FighterView, type GymView, type SaveSessionDto } from '@eurhythm/contract';
import { useBookView, useCombos, useFighters, useGym } from '../../../server/gymData.ts';
import { coreWork } from '../../../workers/coreWork.ts';

type Planned = Omit<PlannedSession, 'seconds'>;

const NOT_YET: Planned = { strikes: NO_STRIKES, phases: [], warnings: [] };

/** Adds a session up and looks for what a coach would want to hear before the class; the last answer stands meanwhile. */
export function usePlanned({ lead, rounds, groups }: SaveSessionDto): PlannedSession {
  const { items, numbers } = useBookView();
  const combos = useCombos();
  const gym = useGym();
  const fighters = useFighters();
  const [planned, setPlanned] = useState(NOT_YET);
  const ground = useMemo(
    () => ({
      book: { items, numbers },
      combos,
      retired: items.filter((move) => move.retired).map((move) => move.code),
    }),
    [items, numbers, combos],
  );
  useEffect(() => {
    let isWanted = true;
    const right = rounds.map((round) => ({ ...round, blocks: round.blocks.map(rightBlock) }));
    coreWork()
      .plan({ lead, rounds: right }, factsOf(groups ?? [], gym, fighters), ground)
      .then(
        (answer) => isWanted && setPlanned(answer),
        (error: Error) => toast.error(error.message, { id: 'not-planned' }),
      );
    return () => {
      isWanted = false;
    };
  }, [lead, rounds, groups, gym, fighters, ground]);
  return { ...planned, seconds: sessionSeconds(rounds) };
}

/** Who comes, and what the gym has. */
function factsOf(
  groups: NonNullable<SaveSessionDto['groups']>,
  { grades, school }: GymView,
  fighters: readonly FighterView[],
): ClassFacts {
  const known = groups.map(({ name, gradeIds }) => ({
    name,
    bands: grades.filter((grade) => gradeIds.includes(grade.id)).map((grade) => grade.band),
    people: fighters.filter((fighter) => fighter.fit && gradeIds.includes(fighter.gradeId)).length,
  }));
  return {
    groups: known,
    bands: known.length > 0 ? known.flatMap((group) => group.bands) : ['adults'],
    floorSteps: school.floorSteps,
    kit: school.kit,
  };
}
