import { useEffect, useRef, useSyncExternalStore } from 'react';
import { otherLead, type MoveBook } from '@eurhythm/core/moves';
import { workUntil } from '@eurhythm/core/rounds';
import { calledCombo, combosInRound, tooEarly, type Pressed, type StampId } from '@eurhythm/core/run';
import type { FighterPaceView, FighterView, GymView, RunPlanView, RunView } from '@eurhythm/contract';
import { Toasts } from '../../ui/panels/Toasts.tsx';
import { Mixer } from '../../floor/output/Mixer.tsx';
import type { RunController } from '../../floor/run/RunController.ts';
import { NO_SOUND, makesSound, type FloorOutput } from '../../floor/output/SilentOutput.ts';
import type { HostDevice } from '../../hall/HostDevice.ts';
import { AfterRun } from './after/AfterRun.tsx';
import { Board } from './board/Board.tsx';
import { LandedArea } from './board/LandedArea.tsx';
import { BurstPane } from './burst/BurstPane.tsx';
import { OpenNumbers } from './burst/numbers/OpenNumbers.tsx';
import { usePlannedBursts } from './burst/numbers/usePlannedBursts.ts';
import { FloorKeys } from './FloorKeys.tsx';
import { FloorNote } from './FloorNote.tsx';
import { TapPad } from '../../strikeInputs/TapPad.tsx';
import { DevicesPanel } from './hall/DevicesPanel.tsx';
import { useHostTasks } from './hall/useHostTasks.ts';
import { HandsFields } from './HandsFields.tsx';
import { HoldBar } from './HoldBar.tsx';
import { TempoLadder } from './ladder/TempoLadder.tsx';
import { InputsPanel } from './listening/InputsPanel.tsx';
import { useRunListening } from './listening/useRunListening.ts';
import { MarkBar } from './marks/MarkBar.tsx';
import { useMarks } from './marks/useMarks.ts';
import { PeoplePanel } from './people/PeoplePanel.tsx';
import { isResting } from './board/whatComes.ts';
import { groupIn } from './groupIn.ts';
import { usePeople } from './people/usePeople.ts';
import { YouthNotice } from './YouthNotice.tsx';
import { useFloorControls } from './useFloorControls.ts';

interface PlayedRunProps {
  readonly run: RunView;
  readonly everybody: readonly FighterView[];
  readonly gym: GymView;
  /** The rounds with their combos in their places. */
  readonly planned: RunPlanView['rounds'];
  readonly book: MoveBook;
  readonly controller: RunController<FloorOutput>;
  readonly hall: HostDevice;
  /** Pace of the gym. */
  readonly factor: number;
  /** Of those whose own pace was measured. */
  readonly paces: readonly FighterPaceView[];
}

/** A run that is played here: before, while and after it goes on, and bursts in between. */
export function PlayedRun(props: PlayedRunProps) {
  const { run: begun, everybody, gym, book, controller, hall, paces } = props;
  const state = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const people = usePeople(begun, controller, everybody, gym.grades, paces);
  const { run, here: fighters } = people;
  const marks = useMarks(run, controller);
  const worked = () => workUntil(run.rounds[controller.state.round]?.blocks ?? [], controller.position);
  const pressed = (fighterId: string): Pressed => {
    const { round } = controller.state;
    const { blocks } = run.rounds[round]!;
    const group = groupIn(run, fighterId);
    const isWork = state.phase !== 'over' && !isResting(blocks, controller.position);
    const called = calledCombo(controller.rounds[round]?.cycles ?? [], controller.position, group);
    const combos = combosInRound(blocks, group);
    // Of a round with one combo nothing more has to be said; what is pressed in the rest is about the whole.
    const comboId = isWork && called !== null && combos.length > 1 && combos.includes(called) ? called : null;
    return { seconds: worked(), otherLead: otherLead(run.lead), comboId };
  };
  const whyNot = (stamp: StampId) => (state.phase !== 'over' && worked() === null ? tooEarly(stamp) : '');
  const inputs = useRunListening({ run, controller, hall, book });
  useHostTasks({
    run,
    fighters,
    controller,
    hall,
    marks,
    pressed,
    whyNot,
    hear: (report) => inputs.heard.hear(report),
  });
  usePlannedBursts({
    run,
    controller,
    fighters,
    book,
    heard: inputs.heard,
  });
  const controls = useFloorControls(controller, marks.undo);

  if (state.phase === 'failed') return <FloorNote title={state.failure} isFailure />;
  if (state.phase === 'loading')
    return <FloorNote title="Loading the voice" share={state.share} starts={state.startsSoon} />;
  if (controls.isBurst)
    return (
      <BurstPane
        run={run}
        fighters={fighters}
        controller={controller}
        listening={inputs.heard.listening}
        onClose={controls.closeBurst}
      />
    );
  const landed = inputs.shown.items;
  if (state.phase === 'over')
    return (
      <AfterRun
        run={run}
        marks={marks}
        endedRounds={controller.endedRounds}
        fighters={people.all}
        heard={
          landed.length > 0 && (
            <LandedArea
              landed={landed}
              combos={controller.rounds[landed[0]!.round]!.combos}
              fighters={people.all}
              book={book}
            />
          )
        }
        onBurst={controls.openBurst}
      />
    );
  return (
    <RunGoingOn {...props} {...{ run, fighters, state, people, marks, pressed, whyNot, inputs, controls }} />
  );
}

interface RunGoingOnProps extends PlayedRunProps {
  readonly fighters: readonly FighterView[];
  readonly state: RunController['state'];
  readonly people: ReturnType<typeof usePeople>;
  readonly marks: ReturnType<typeof useMarks>;
  readonly pressed: (fighterId: string) => Pressed;
  readonly whyNot: (stamp: StampId) => string;
  readonly inputs: ReturnType<typeof useRunListening>;
  readonly controls: ReturnType<typeof useFloorControls>;
}

/** The board, and below it the marks or what was opened in their place. */
function RunGoingOn(props: RunGoingOnProps) {
  const { run, fighters, controller, state, book, marks, inputs, controls, factor, paces } = props;
  // Before the bell nothing is cut off: what does not fit is scrolled to.
  const isReady = state.phase === 'ready';
  const screen = useRef<HTMLElement>(null);
  // Who scrolled down to Start sees the clock when it runs.
  useEffect(() => {
    if (!isReady) screen.current?.scrollIntoView();
  }, [isReady]);
  return (
    <main
      ref={screen}
      className={`mat hall flex h-dvh flex-col phone:h-auto phone:min-h-0 phone:overflow-visible ${isReady ? 'overflow-y-auto' : 'overflow-hidden'}`}
    >
      <div
        className={`flex flex-col overflow-clip phone:flex-none ${isReady ? 'flex-[1_0_auto] phone:min-h-dvh' : 'min-h-0 flex-1 phone:h-dvh'}`}
      >
        <Board
          run={run}
          fighters={fighters}
          controller={controller}
          state={state}
          book={book}
          landed={inputs.shown.items}
        />
        {!makesSound() && <Notice text={NO_SOUND} />}
        {state.lacksFrom !== null && (
          <Notice
            text={`The calls from round ${state.lacksFrom + 1} on are not here yet; they are fetched as soon as the server answers.`}
          />
        )}
        {isReady && <YouthNotice {...{ run, fighters, book }} gym={props.gym} rounds={props.planned} />}
        <HoldBar state={state} controller={controller} />
      </div>
      <TempoLadder {...{ run, controller, state, fighters, marks, book, factor, paces }} />
      {inputs.own.isOpen && inputs.own.wish.kind === 'taps' && (
        <TapPad
          who={fighters.find(({ id }) => inputs.own.wish.fighterIds.includes(id))?.name ?? 'nobody yet'}
        />
      )}
      <BelowBoard {...props} />
      {controls.isMixer && (
        <div className="px-8">
          <Mixer output={controller.output} />
          <HandsFields {...controls.hands} claps={controls.claps} />
        </div>
      )}
      <FloorKeys
        state={state}
        controller={controller}
        canUndo={marks.canUndo}
        fighters={fighters.length}
        onUndo={marks.undo}
        onBurst={controls.openBurst}
        onTempo={controls.changeTempo}
        onMixer={controls.toggleMixer}
        onDevices={controls.toggle('devices')}
        onPeople={controls.toggle('people')}
        onInputs={controls.toggle('inputs')}
      />
      <Toasts position="top-right" />
    </main>
  );
}

function BelowBoard(props: RunGoingOnProps) {
  const { hall, people, everybody, inputs, fighters, state, marks, pressed, whyNot, controller, controls } =
    props;
  switch (controls.panel) {
    case 'devices':
      return <DevicesPanel hall={hall} />;
    case 'people':
      return <PeoplePanel people={people} everybody={everybody} />;
    case 'inputs':
      return <InputsPanel inputs={inputs} fighters={fighters} round={state.round} />;
    default:
      return (
        <OpenNumbers runId={props.run.id} fighters={people.all} onSpace={() => controller.toggle()}>
          <MarkBar
            {...{ fighters, marks, pressed, whyNot }}
            round={state.round}
            onAllClean={(round) => controller.allClean(round)}
          />
        </OpenNumbers>
      );
  }
}

function Notice({ text }: { text: string }) {
  return (
    <p role="status" className="px-10 font-semibold text-caution phone:px-4">
      {text}
    </p>
  );
}
