import { useEffect, useSyncExternalStore } from 'react';
import { STAMPS, markText, stamped, type Pressed, type StampId } from '@eurhythm/core/run';
import type { FighterView, PulseDto, RunView, WishAnswerView, WishDto } from '@eurhythm/contract';
import type { RunController } from '../../../floor/run/RunController.ts';
import type { HostTasks, HostDevice } from '../../../hall/HostDevice.ts';
import { useStable } from '../../../ui/useStable.ts';
import { burstNow } from '../burst/burstNow.ts';
import { openNumbers, tellNumber, useKeptBurst } from '../burst/numbers/keptBurst.ts';
import type { Marks } from '../marks/useMarks.ts';

interface HostTasksProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly controller: RunController;
  readonly hall: HostDevice;
  readonly marks: Marks;
  pressed(fighterId: string): Pressed;
  /** Why a press says nothing of the round now; empty where it does. */
  whyNot(stamp: StampId): string;
  hear: HostTasks['hear'];
}

/** What this page does for the other devices of the class: it tells where the run stands, and does what a remote asks. */
export function useHostTasks(props: HostTasksProps): void {
  const { run, fighters, controller, hall, marks, pressed, whyNot, hear } = props;
  const state = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const burst = useKeptBurst(run.id);
  const place = useStable((): Omit<PulseDto, 'at'> => {
    const { phase, round } = controller.state;
    const shown = phase === 'running' || phase === 'held' || phase === 'over' ? phase : 'ready';
    return {
      phase: shown,
      round,
      position: controller.position,
      counting: openNumbers(run.id),
      burst: burstNow(hall.clock.now()),
    };
  });
  const grant = useStable((wish: WishDto): Omit<WishAnswerView, 'id'> => {
    const name = fighters.find(({ id }) => id === wish.fighterId)?.name;
    const { phase, round } = controller.state;
    if (phase === 'loading' || phase === 'failed') return not('The coach’s device is not ready yet.');
    if (phase === 'over' && ['hold', 'next', 'again'].includes(wish.kind)) return not('The class is over.');
    switch (wish.kind) {
      case 'hold':
        controller.toggle();
        return done(controller.state.phase === 'running' ? 'It runs.' : 'Held.');
      case 'next':
        controller.goTo(round + 1);
        return done('On to the next round.');
      case 'again':
        controller.goTo(round);
        return done('This round again.');
      case 'mark': {
        if (name === undefined || !wish.fighterId || !STAMPS.some(({ id }) => id === wish.stamp))
          return not('Whom this is about is not in the class.');
        const why = whyNot(wish.stamp!);
        if (why !== '') return not(why);
        const said = stamped(marks.of(round, wish.fighterId), wish.stamp!, pressed(wish.fighterId));
        marks.press(round, wish.fighterId, wish.stamp!, pressed(wish.fighterId));
        return done(`${name}: ${markText(said)}.`);
      }
      case 'undo': {
        const whose = marks.undo();
        const who = run.fighterIds.includes(whose ?? '') && fighters.find(({ id }) => id === whose)?.name;
        return whose === null
          ? not('There is no mark to take back.')
          : done(`Taken back: ${who || 'a mark'}.`);
      }
      case 'count': {
        if (wish.said === undefined || !wish.fighterId || !tellNumber(run.id, wish.fighterId, wish.said))
          return not('No number of this fighter is asked for now.');
        return done(`${name ?? 'Somebody who left'}: ${wish.said}.`);
      }
      default:
        return wish.kind satisfies never;
    }
  });
  const take = useStable(hear);
  useEffect(() => {
    hall.serve({ place, grant, hear: take });
    return () => hall.serve(null);
  }, [hall, place, grant, take]);
  // What changes is seen at once everywhere.
  useEffect(() => hall.pulse(), [hall, state.phase, state.round, burst]);
}

const done = (message: string): Omit<WishAnswerView, 'id'> => ({ isDone: true, message });
const not = (message: string): Omit<WishAnswerView, 'id'> => ({ isDone: false, message });
