import { isAboutCall, type PlacedScene, type RoundMoment } from '@eurhythm/core/rounds';
import { clockText, howMany } from '@eurhythm/core/units';
import type { ControllerState } from '../../../floor/run/RunController.ts';
import type { bigText } from './bigText.ts';
import { Fitted } from './Fitted.tsx';
import type { ShownController, ShownRun } from './shown.ts';

interface CallAreaProps {
  readonly state: ControllerState;
  readonly controller: ShownController;
  readonly run: ShownRun;
  readonly moment: RoundMoment;
  readonly scene: PlacedScene | null;
  readonly big: ReturnType<typeof bigText>;
  /** What comes after a rest; null in work. */
  readonly restText: string | null;
}

/** The largest thing on the board: what is called, the number that is counted, or the seconds that are left. */
export function CallArea({ state, controller, run, moment, scene, big, restText }: CallAreaProps) {
  const isRunning = state.phase === 'running';
  const { text, said } = big;
  const offer = scene?.isSurprise ? null : moment.offer;
  return (
    <div className="relative flex min-h-[9rem] flex-1 items-stretch gap-6 px-10 phone:min-h-[12.5rem] phone:flex-col phone:px-4">
      {isRunning && restText === null && moment.before && !scene && (
        <SideWord over="just called" word={moment.before.text} tone="text-quiet phone:hidden" />
      )}
      <Fitted text={text} />
      {said !== null && <SideWord over="said" word={said} tone="text-ink" />}
      {isRunning && offer && restText === null && !scene && (
        <SideWord over="holder shows next" word={offer.text} tone="text-holder" isEnd />
      )}
      {restText !== null && <SideWord over="then" word={restText} tone="text-ink" isEnd />}
      {state.phase === 'ready' && <DroppedCalls controller={controller} run={run} />}
      {state.cameBackAt !== null && (
        <p
          role="status"
          className="absolute top-1 left-1/2 -translate-x-1/2 rounded bg-tape px-4 py-1 text-lg font-semibold text-on-tape"
        >
          Came back at {clockText(state.cameBackAt.position)} of round {state.cameBackAt.round + 1}.{' '}
          {controller.audible ? '' : 'Press any key for sound.'}
        </p>
      )}
    </div>
  );
}

function SideWord({
  over,
  word,
  tone,
  isEnd = false,
}: {
  over: string;
  word: string;
  tone: string;
  isEnd?: boolean;
}) {
  return (
    <div
      className={`flex max-w-[20%] shrink-0 flex-col justify-end pb-2 phone:max-w-none phone:text-center flat:flex-row flat:items-baseline flat:gap-3 ${isEnd ? 'text-right' : ''} ${tone}`}
    >
      <p className="text-[1.75rem] leading-tight text-quiet phone:text-base">{over}</p>
      <p className="board text-5xl leading-none break-words phone:text-3xl">{word}</p>
    </div>
  );
}

/** Reported before the run: the calls that will not be heard, or not whole, round by round. */
function DroppedCalls({ controller, run }: { controller: ShownController; run: ShownRun }) {
  const dropped = controller.rounds.map((round) => round.findings.filter(isAboutCall).length);
  const all = dropped.reduce((sum, n) => sum + n, 0);
  if (all === 0) return null;
  const where = dropped.flatMap((n, i) => (n === 0 ? [] : [`${run.rounds[i]!.title} ${n}`]));
  return (
    <p className="max-w-[24%] shrink-0 self-end pb-2 text-xl text-quiet phone:max-w-none phone:text-base">
      {howMany(all, 'call')} did not fit: {where.join(', ')}
    </p>
  );
}
