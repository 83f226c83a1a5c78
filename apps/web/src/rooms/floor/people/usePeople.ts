import { useMemo, useState } from 'react';
import { replanPartners, traineeOf, withPaces } from '@eurhythm/core/plan';
import { isHereNow } from '@eurhythm/core/run';
import type { FighterPaceView, FighterView, GymView, RunView } from '@eurhythm/contract';
import type { RunController } from '../../../floor/run/RunController.ts';

export interface People {
  /** Who is there now, in the order of their numbers. */
  readonly here: readonly FighterView[];
  /** Everybody who was in the run at any time. */
  readonly all: readonly FighterView[];
  /** The run as it is since somebody came or left. */
  readonly run: RunView;
  /** Somebody comes late, or leaves. */
  press(fighter: FighterView): void;
}

/** Who is in a run: those of its beginning, who came late, and without those who left. What comes is planned anew at each change. */
export function usePeople(
  run: RunView,
  controller: RunController,
  everybody: readonly FighterView[],
  grades: GymView['grades'],
  paces: readonly FighterPaceView[],
): People {
  const { presence } = controller;
  const [partners, setPartners] = useState(run.partners);
  return useMemo(() => {
    const ranks = grades.map(({ id }) => id);
    const ids = [...new Set([...run.fighterIds, ...presence.keys()])];
    const all = ids.flatMap((id) => everybody.find((fighter) => fighter.id === id) ?? []);
    const here = all.filter(({ id }) => isHereNow(presence, id));
    return {
      here,
      all,
      run: { ...run, partners },
      press: (fighter) => {
        const isHere = here.includes(fighter);
        const next = isHere ? here.filter(({ id }) => id !== fighter.id) : [...here, fighter];
        const planned = replanPartners(
          partners,
          controller.state.round,
          withPaces(next, paces).map((each) => traineeOf(each, ranks)),
        );
        setPartners(planned as RunView['partners']);
        controller.move(fighter.id, isHere ? 'leaves' : 'comes', planned);
      },
    };
  }, [presence, run, partners, everybody, grades, paces, controller]);
}
