import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { moveBook } from '@eurhythm/core/moves';
import type { FighterPaceView, FighterView, GymView, RunPlanView, RunView } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { useStable } from '../../ui/useStable.ts';
import { useShortcut } from '../../ui/focus/useShortcut.ts';
import { type FloorOutput } from '../../floor/output/SilentOutput.ts';
import { openRunController } from '../../floor/run/openRunController.ts';
import type { RunController } from '../../floor/run/RunController.ts';
import { withKept } from '../../floor/run/keptRun.ts';
import type { HostDevice } from '../../hall/HostDevice.ts';
import { useHostDevice } from '../../hall/useHostDevice.ts';
import { FloorNote, PlayedElsewhere } from './FloorNote.tsx';
import { PlayedRun } from './PlayedRun.tsx';

/** A run on the Floor. */
export function RunRoom() {
  const { runId = '' } = useParams();
  return <RunOf key={runId} runId={runId} />;
}

function RunOf({ runId }: { runId: string }) {
  // Who plays it is asked while the run is fetched.
  const [hall, deskState] = useHostDevice(runId);
  const { data: stored, error } = useQuery({
    ...queries.run(runId),
    refetchOnMount: 'always' as const,
    refetchOnWindowFocus: false,
  });
  // What was done here and has not arrived, or was reported before it did, is part of it.
  const run = useMemo(() => stored && withKept(stored), [stored]);
  const { data: plan, error: noPlan } = useQuery({ ...queries.runPlan(runId), enabled: run !== undefined });
  const { data: fighters } = useQuery(queries.fighters());
  // Whoever starts before there is anything to start with is heard all the same.
  const [starts, setStarts] = useState(false);
  const { data: gym } = useQuery(queries.gym());
  const isThere = run !== undefined && plan !== undefined && fighters !== undefined && gym !== undefined;
  useShortcut(' ', () => isThere || setStarts(!starts));
  useShortcut('b', () => isThere || setStarts(!starts));
  // A server that is away takes nothing from what is here already.
  const failure = (run ? null : error) ?? (plan ? null : noPlan);
  if (failure) return <FloorNote title={failure.message} isFailure />;
  if (!run || !plan || !fighters || !gym) return <FloorNote title="Fetching the session" starts={starts} />;
  if (deskState.isElsewhere) return <PlayedElsewhere hall={hall} />;
  if (!deskState.isDecided) return <FloorNote title="Fetching the session" starts={starts} />;
  return <RunHere {...{ run, plan, fighters, starts, hall, gym }} />;
}

interface RunProps {
  readonly run: RunView;
  readonly plan: RunPlanView;
  /** Everybody of the gym. */
  readonly fighters: readonly FighterView[];
  readonly gym: GymView;
  /** A start was pressed before all of this was there. */
  readonly starts: boolean;
  readonly hall: HostDevice;
}

function RunHere({ run, plan, fighters, gym, starts, hall }: RunProps) {
  const controller = useController(run, plan, starts);
  const book = useMemo(() => moveBook(plan.book.items, plan.book.numbers, plan.book.sides), [plan]);
  if (!controller) return <FloorNote title="Making room for sound" starts={starts} />;
  return (
    <PlayedRun
      {...{ run, book, controller, hall, gym }}
      planned={plan.rounds}
      everybody={fighters}
      factor={plan.factor}
      paces={plan.paces ?? NOBODY}
    />
  );
}

const NOBODY: readonly FighterPaceView[] = [];

/** A controller for the time that the page shows the run: from then on it knows better than the server where the run stands. */
function useController(run: RunView, plan: RunPlanView, starts: boolean): RunController<FloorOutput> | null {
  const [controller, setController] = useState<RunController<FloorOutput> | null>(null);
  const open = useStable(() => {
    const made = openRunController(run, plan);
    if (starts) made.toggle();
    return made;
  });
  useEffect(() => {
    const made = open();
    void made.load();
    // Shown once the browser has made room for it.
    const shown = requestAnimationFrame(() => setController(made));
    return () => {
      cancelAnimationFrame(shown);
      made.dispose();
    };
  }, [open]);
  return controller;
}
