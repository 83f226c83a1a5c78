import { useState, useSyncExternalStore } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import type { RunView } from '@eurhythm/contract';
import { RunListening, type ShownResults } from '../../../floor/listening/RunListening.ts';
import type { RunController } from '../../../floor/run/RunController.ts';
import type { HostDevice } from '../../../hall/HostDevice.ts';
import { newId } from '../../../server/api.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useStable } from '../../../ui/useStable.ts';
import { useOwnInput, type OwnInput } from './useOwnInput.ts';
import { useRoundWatch } from './useRoundWatch.ts';
import { burstsOf, callsOf } from './testsOfRound.ts';
import { workersIn } from './workers.ts';

interface RunListeningProps {
  readonly run: RunView;
  readonly controller: RunController;
  readonly hall: HostDevice;
  readonly book: MoveBook;
}

/** What a page of a run shows of those who listen. */
export interface RunInputs {
  readonly own: OwnInput;
  readonly heard: RunListening;
  readonly shown: ShownResults;
}

/** What listens to the run of this page, this device among it. */
export function useRunListening({ run, controller, hall, book }: RunListeningProps): RunInputs {
  const { round } = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const workersOf = useStable((of: number) => workersIn(run, of, controller.rounds[of]!, book));
  const testsOf = useStable((of: number, until: number) => ({
    bursts: burstsOf(run, of, until),
    calls: callsOf(run, of, controller.rounds[of]!, until),
  }));
  const [heard] = useState(
    () =>
      new RunListening(
        {
          id: run.id,
          lead: run.lead,
          place: () => ({
            round: controller.state.round,
            position: controller.position,
            isOver: controller.state.phase === 'over',
          }),
          compiled: (of) => controller.rounds[of],
          workersOf,
          testsOf,
        },
        {
          newId,
          put: ({ id, attempt }) =>
            void sync.put(
              putRequest(SUBJECTS.trial, `attempts/${id}`, attempt, { page: `/floor/${run.id}` }),
            ),
          takeOut: (id) => void sync.put(deleteRequest(SUBJECTS.trial, `attempts/${id}`)),
        },
        (item) => hall.landed(item),
      ),
  );
  const shown = useSyncExternalStore(heard.subscribe, heard.snapshot);
  const own = useOwnInput(heard.listening, {
    position: () => (controller.state.phase === 'running' ? controller.position : null),
    round,
    compiled: controller.rounds[round]!,
    due: (fighterIds) => {
      const { dueOf, workerAt } = workersOf(round)(fighterIds);
      return fighterIds
        .flatMap((id) => dueOf(id).filter(({ at }) => workerAt(at) === id))
        .sort((a, b) => a.at - b.at);
    },
  });
  useRoundWatch(run, controller, heard);
  return { own, heard, shown };
}
