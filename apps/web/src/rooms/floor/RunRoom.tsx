import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import { Toaster, toast } from 'sonner';
import { moveBook, otherLead, type MoveBook } from '@eurhythm/core/moves';
import { soundsAt } from '@eurhythm/core/run';
import type { FighterPaceView, FighterView, GymView, RunPlanView, RunView } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { useStable } from '../../ui/useStable.ts';
import { useShortcut } from '../../ui/useShortcut.ts';
import { NO_SOUND, makesSound, type FloorOutput } from '../../floor/SilentOutput.ts';
import { openRunController } from '../../floor/openRunController.ts';
import type { RunController } from '../../floor/RunController.ts';
import { withKept } from '../../floor/keptRun.ts';
import { Button, ButtonLink } from '../../ui/Button.tsx';
import type { HostDevice } from '../../hall/HostDevice.ts';
import { deskId, useHostDevice } from '../../hall/useHostDevice.ts';
import { AfterRun } from './after/AfterRun.tsx';
import { Board } from './board/Board.tsx';
import { LandedArea } from './board/LandedArea.tsx';
import { BurstPane } from './burst/BurstPane.tsx';
import { useClaps } from '../../floor/hands/useClaps.ts';
import { useHands } from '../../floor/hands/useHands.ts';
import { DevicesPanel } from './hall/DevicesPanel.tsx';
import { useHostTasks } from './hall/useHostTasks.ts';
import { FloorKeys } from './FloorKeys.tsx';
import { HandsFields } from './HandsFields.tsx';
import { HoldBar } from './HoldBar.tsx';
import { Mixer } from '../../floor/Mixer.tsx';
import { TempoLadder } from './ladder/TempoLadder.tsx';
import { MarkBar } from './marks/MarkBar.tsx';
import { PeoplePanel } from './people/PeoplePanel.tsx';
import { usePeople } from './people/usePeople.ts';
import { InputsPanel } from './listening/InputsPanel.tsx';
import { useRunListening } from './listening/useRunListening.ts';
import { useMarks } from './marks/useMarks.ts';

/** A run on the Floor. */
export function RunRoom() {
  const { runId = '' } = useParams();
  return <RunOf key={runId} runId={runId} />;
}

function RunOf({ runId }: { runId: string }) {
  // Who plays it is asked while the run is fetched.
  const [hall, deskState] = useHostDevice(runId);
  const { data: told, error } = useQuery({
    ...queries.run(runId),
    refetchOnMount: 'always' as const,
    refetchOnWindowFocus: false,
  });
  // What was done here and has not arrived, or was told before it did, is part of it.
  const run = useMemo(() => told && withKept(told), [told]);
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
  return <RunHere {...{ run, plan, fighters, starts, hall }} grades={gym.grades} />;
}

interface RunProps {
  readonly run: RunView;
  readonly plan: RunPlanView;
  /** Everybody of the gym. */
  readonly fighters: readonly FighterView[];
  readonly grades: GymView['grades'];
  /** A start was pressed before all of this was there. */
  readonly starts: boolean;
  readonly hall: HostDevice;
}

function RunHere({ run, plan, fighters, grades, starts, hall }: RunProps) {
  const controller = useController(run, plan, starts);
  const book = useMemo(() => moveBook(plan.book.items, plan.book.numbers), [plan]);
  if (!controller) return <FloorNote title="Making room for sound" starts={starts} />;
  return (
    <PlayedRun
      {...{ run, book, controller, hall, grades }}
      everybody={fighters}
      factor={plan.factor}
      paces={plan.paces ?? NOBODY}
    />
  );
}

const NOBODY: readonly FighterPaceView[] = [];

/** Two devices that play one class would be heard twice. */
function PlayedElsewhere({ hall }: { hall: HostDevice }) {
  return (
    <main className="mat flex h-screen flex-col items-center justify-center gap-6 p-6 text-center">
      <h1 className="board text-5xl phone:text-3xl">This class is played elsewhere</h1>
      <p className="text-2xl phone:text-lg">
        Another tab or another device plays it and takes the presses. If you take it over, that one falls
        silent.
      </p>
      <Button
        weight="main"
        className="min-h-[64px] px-8 text-2xl"
        onClick={() => void hall.takeOver(deskId()).then(() => window.location.reload())}
      >
        Play it here
      </Button>
      <ButtonLink weight="bare" to="/floor">
        Leave the Floor
      </ButtonLink>
    </main>
  );
}

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

interface PlayedRunProps {
  readonly run: RunView;
  readonly everybody: readonly FighterView[];
  readonly grades: GymView['grades'];
  readonly book: MoveBook;
  readonly controller: RunController<FloorOutput>;
  readonly hall: HostDevice;
  /** Pace of the gym. */
  readonly factor: number;
  /** Of those whose own pace was measured. */
  readonly paces: readonly FighterPaceView[];
}

function PlayedRun({ run: begun, everybody, grades, book, controller, hall, factor, paces }: PlayedRunProps) {
  const state = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const people = usePeople(begun, controller, everybody, grades, paces);
  const { run, here: fighters } = people;
  const marks = useMarks(run, controller);
  const markBar = {
    marks,
    pressed: () => ({ seconds: controller.position, otherLead: otherLead(run.lead) }),
    onAllClean: (round: number) => controller.allClean(round),
  };
  const inputs = useRunListening({ run, controller, hall, book });
  useHostTasks({
    run,
    fighters,
    controller,
    hall,
    marks,
    pressed: markBar.pressed,
    hear: (report) => inputs.heard.hear(report),
  });
  const [isBurst, setBurst] = useState(false);
  const [panel, setPanel] = useState<'devices' | 'people' | 'inputs' | null>(null);
  const toggle = (which: 'devices' | 'people' | 'inputs') => () => setPanel(panel === which ? null : which);
  const [isMixer, setMixer] = useState(false);
  useEffect(() => {
    const touch = (): void => controller.touch();
    window.addEventListener('keydown', touch);
    window.addEventListener('pointerdown', touch);
    return () => {
      window.removeEventListener('keydown', touch);
      window.removeEventListener('pointerdown', touch);
    };
  }, [controller]);
  const openBurst = (): void => {
    controller.hold();
    setBurst(true);
  };
  const free = (action: () => void) => () => !isBurst && action();
  const hands = useHands(
    {
      hold: () => controller.toggle(),
      next: () => controller.goTo(state.round + 1),
      again: () => controller.goTo(state.round),
    },
    isBurst,
  );
  // What comes out of the loudspeaker is no clap.
  const claps = useClaps(
    free(() => controller.toggle()),
    () => {
      const { phase, round } = controller.state;
      return phase === 'running' && soundsAt(controller.rounds[round]!, controller.position);
    },
  );
  const changeTempo = (by: number) => () =>
    void controller.changeTempo(by).then(
      (told) => told && toast(told),
      (error: Error) => toast.error(error.message),
    );
  useShortcut(
    'e',
    free(() => controller.holdAfterCombo()),
  );
  useShortcut('+', free(changeTempo(2)));
  useShortcut('-', free(changeTempo(-2)));
  useShortcut(
    'v',
    free(() => setMixer(!isMixer)),
  );
  useShortcut('d', free(toggle('devices')));
  useShortcut('h', free(toggle('people')));
  useShortcut('i', free(toggle('inputs')));
  useShortcut('u', free(marks.undo));
  useShortcut('t', free(openBurst));

  if (state.phase === 'failed') return <FloorNote title={state.failure} isFailure />;
  if (state.phase === 'loading')
    return <FloorNote title="Loading the voice" share={state.share} starts={state.startsSoon} />;
  if (isBurst)
    return (
      <BurstPane
        run={run}
        fighters={fighters}
        controller={controller}
        listening={inputs.heard.listening}
        onClose={() => setBurst(false)}
      />
    );
  if (state.phase === 'over')
    return (
      <AfterRun
        run={run}
        marks={marks}
        endedRounds={controller.endedRounds}
        fighters={people.all}
        heard={
          inputs.shown.items.length > 0 && (
            <LandedArea
              landed={inputs.shown.items}
              combos={controller.rounds[inputs.shown.items[0]!.round]!.combos}
              fighters={people.all}
              book={book}
            />
          )
        }
        onBurst={openBurst}
      />
    );
  return (
    <main className="mat hall flex h-dvh flex-col overflow-hidden phone:h-auto phone:min-h-0 phone:overflow-visible">
      <div className="flex min-h-0 flex-1 flex-col overflow-clip phone:h-dvh phone:flex-none">
        <Board
          run={run}
          fighters={fighters}
          controller={controller}
          state={state}
          book={book}
          landed={inputs.shown.items}
        />
        {!makesSound() && (
          <p role="status" className="px-10 font-semibold text-caution phone:px-4">
            {NO_SOUND}
          </p>
        )}
        {state.lacksFrom !== null && (
          <p role="status" className="px-10 font-semibold text-caution phone:px-4">
            The calls from round {state.lacksFrom + 1} on are not here yet; they are fetched as soon as the
            server answers.
          </p>
        )}
        <HoldBar state={state} controller={controller} />
      </div>
      <TempoLadder {...{ run, controller, state, fighters, marks, book, factor, paces }} />
      {panel === 'devices' ? (
        <DevicesPanel hall={hall} />
      ) : panel === 'people' ? (
        <PeoplePanel people={people} everybody={everybody} />
      ) : panel === 'inputs' ? (
        <InputsPanel inputs={inputs} fighters={fighters} round={state.round} />
      ) : (
        <MarkBar fighters={fighters} round={state.round} {...markBar} />
      )}
      {isMixer && (
        <div className="px-8">
          <Mixer output={controller.output} />
          <HandsFields {...hands} claps={claps} />
        </div>
      )}
      <FloorKeys
        state={state}
        controller={controller}
        canUndo={marks.canUndo}
        fighters={fighters.length}
        onUndo={marks.undo}
        onBurst={openBurst}
        onTempo={(by) => changeTempo(by)()}
        onMixer={() => setMixer(!isMixer)}
        onDevices={toggle('devices')}
        onPeople={toggle('people')}
        onInputs={toggle('inputs')}
      />
      <Toaster position="top-right" />
    </main>
  );
}

interface FloorNoteProps {
  readonly title: string;
  /** How much of it is there, 0 to 1. */
  readonly share?: number;
  readonly starts?: boolean;
  readonly isFailure?: boolean;
}

function FloorNote({ title, share, starts = false, isFailure = false }: FloorNoteProps) {
  return (
    <main className="mat flex h-screen flex-col items-center justify-center gap-6 p-6 text-center">
      <h1 className="board text-5xl phone:text-3xl">
        <span role="status">{title}</span>
      </h1>
      {starts && (
        <p role="status" className="text-2xl">
          Starts when the voice is there. Space takes it back.
        </p>
      )}
      {share !== undefined && (
        <div
          className="h-5 w-96 max-w-full bg-paper"
          role="progressbar"
          aria-label={title}
          aria-valuenow={Math.round(share * 100)}
          aria-valuemin={0}
          aria-valuemax={100}
        >
          <div className="h-full bg-tape" style={{ width: `${share * 100}%` }} />
        </div>
      )}
      {isFailure && (
        <Button weight="main" onClick={() => window.location.reload()}>
          Try again
        </Button>
      )}
      <ButtonLink weight="bare" to="/floor">
        Leave the Floor
      </ButtonLink>
    </main>
  );
}
