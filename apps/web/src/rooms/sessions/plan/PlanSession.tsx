import { useQuery } from '@tanstack/react-query';
import { useLayoutEffect, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { classFacts, type ClassFacts } from '@eurhythm/core/plan';
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

interface PlanSessionProps {
  /** Of a session that is kept: those on its sheet are expected. */
  readonly id?: string | undefined;
  readonly session: SaveSessionDto;
  readonly children: ReactNode;
}

/**
 * Adds a session up and looks for what a coach would want to hear before the class, in a thread of its own.
 * Only what asks for the answer with `usePlanned` is drawn anew when it comes; the last one stands meanwhile.
 */
export function PlanSession({ id, session, children }: PlanSessionProps) {
  const { lead, rounds, groups } = session;
  const book = useBookView();
  const combos = useAllCombos();
  const gym = useGym();
  const factor = PACE_FACTORS[gym.school.pace];
  const fighters = useFighters();
  const { data: paces } = useQuery(queries.paces());
  const { data: sheet } = useQuery({ ...queries.sheet(id ?? ''), enabled: id !== undefined });
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
      .then((work) =>
        work.plan(
          { lead, rounds: right },
          factsOf(
            groups ?? [],
            gym,
            fighters,
            paces ?? [],
            sheet?.present.map(({ fighterId }) => fighterId),
          ),
        ),
      )
      .then(
        (answer) => isWanted && setPlanned({ ...answer, hasGroups: (groups ?? []).length > 0 }),
        tellFailure,
      );
    return () => {
      isWanted = false;
    };
  }, [lead, rounds, groups, gym, fighters, paces, sheet, book, combos, factor]);
  return <Planned value={planned}>{children}</Planned>;
}

const tellFailure = (error: Error): unknown => toast.error(error.message, { id: 'not-planned' });

/** Who comes, and what the gym has. */
function factsOf(
  groups: NonNullable<SaveSessionDto['groups']>,
  { grades, school }: GymView,
  fighters: readonly FighterView[],
  paces: readonly FighterPaceView[],
  expected: readonly string[] | undefined,
): ClassFacts {
  const paceOf = new Map(paces.map((pace) => [pace.fighterId, ownPace(pace)]));
  return classFacts(groups, {
    ...{ grades, youth: school.youth, floorSteps: school.floorSteps, kit: school.kit, expected },
    people: fighters.map(({ id, name, gradeId, fit, lead, care }) => ({
      ...{ id, name, gradeId, fit, lead, care },
      pace: paceOf.get(id) ?? null,
    })),
  });
}
