import { measuredBy } from '@eurhythm/core/rounds';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { BURST_READY } from '@eurhythm/core/run';
import { thousandths } from '@eurhythm/core/units';
import { summariseBurst, summariseCount, evaluateTrial } from '@eurhythm/core/speed';
import { BURST_ROUND, type FighterView, type RunView, type SaveAttemptDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { BURST_SLEPT, type Burst, type BurstEnd } from '../../../floor/Burst.ts';
import type { Listening } from '../../../floor/listening/Listening.ts';
import type { RunController } from '../../../floor/RunController.ts';
import { USUAL_BURSTS } from '../../../floor/usualBursts.ts';
import type { InputKind } from '../../../strikeInputs/StrikeInput.ts';
import { keepSound } from '../../../server/keepSound.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useStable } from '../../../ui/useStable.ts';
import { Button } from '../../../ui/Button.tsx';
import { TapeClock } from '../board/TapeClock.tsx';
import { BurstChoice, EVERYBODY, type BurstWish, type Timed } from './BurstChoice.tsx';
import { BurstCount } from './BurstCount.tsx';
import { ClassNumbers } from './ClassNumbers.tsx';
import { Outcome, type OutcomeSummary } from './Outcome.tsx';
import { playBurst } from './burstNow.ts';
import { classBurst } from './classBurst.ts';
import { heardByStations } from './heardByStations.ts';
import { useBurstInput } from './useBurstInput.ts';
import { keepBurst, takeHeard, tellNumber, useKeptBurst } from './keptBurst.ts';

/** What is reported while one counts, and before. */
const COUNTS: Readonly<Record<InputKind, string>> = {
  microphone: 'the microphone counts',
  motion: 'the motion of this phone counts',
  sensor: 'the sensor counts',
  pretend: 'nobody strikes: this is only tried',
};
const HOW: Readonly<Record<InputKind, string>> = {
  microphone:
    'The microphone of this device counts: lay it within two steps of the bag. Nothing ticks meanwhile.',
  motion: 'The motion of this phone counts: tape it to the bag, or put it into the pouch of the pad.',
  sensor: 'The strike sensor counts, the one that is switched on first.',
  pretend: 'A virtual fighter strikes, so that you see what comes of it. Nothing is kept.',
};

/** What stations heard last has come by then. */
const STATIONS_TOLD_MS = 1500;

type Phase =
  | { readonly kind: 'choose' }
  | { readonly kind: 'running'; readonly burst: Burst }
  | {
      readonly kind: 'done';
      readonly summary: OutcomeSummary;
      readonly doubtful: number;
      readonly kept: KeptTrial | null;
    };

/** A trial that was sent, so that it can be counted again by hand. */
interface KeptTrial {
  readonly id: string;
  readonly attempt: SaveAttemptDto;
}

interface BurstPaneProps {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly controller: RunController;
  /** What stations hear. */
  readonly listening: Listening;
  onClose(): void;
}

/** As many as fit: of one fighter, whose strikes are tapped along, or of the whole class, whose numbers are reported after the bell. */
export function BurstPane({ run, fighters, controller, listening, onClose }: BurstPaneProps) {
  useSyncExternalStore(listening.subscribe, listening.snapshot);
  const timed = useTimed(run);
  const [wish, setWish] = useState<BurstWish>({
    who: fighters[0]?.id ?? '',
    title: timed[0]!.title,
    lead: 'own',
    by: 'taps',
    keepsSound: false,
  });
  const [phase, setPhase] = useState<Phase>({ kind: 'choose' });
  const ofClass = useKeptBurst(run.id);
  const [failure, setFailure] = useState('');
  const [taps, setTaps] = useState<readonly number[]>([]);
  const burst = phase.kind === 'running' ? phase.burst : null;
  const fighter = fighters.find((each) => each.id === wish.who);
  const isClass = wish.who === EVERYBODY;
  const what = timed.find((each) => each.title === wish.title) ?? timed[0]!;
  const { seconds } = what;
  const lead = wish.lead === 'own' ? (fighter?.lead ?? 'left') : wish.lead;
  const page = `/floor/${run.id}`;
  useEffect(() => () => burst?.dispose(), [burst]);
  useEffect(() => () => playBurst(null), []);
  const input = useBurstInput(burst, seconds);
  const by = isClass ? 'taps' : wish.by;
  const isHeard = by !== 'taps';
  const counted = isHeard ? input.instants : taps;

  const tellFailure = (error: unknown): void =>
    setFailure(error instanceof Error ? error.message : String(error));
  const send = (id: string, attempt: SaveAttemptDto): void =>
    void sync.put(putRequest(SUBJECTS.trial, `attempts/${id}`, attempt, { page }));
  const finish = useStable(async (end: BurstEnd): Promise<void> => {
    const at = new Date().toISOString();
    const listened = isHeard ? await input.close() : null;
    if (end === 'slept') {
      playBurst(null);
      setPhase({ kind: 'choose' });
      return setFailure(BURST_SLEPT);
    }
    const heard = listened?.heard ?? null;
    if (isClass) {
      setPhase({ kind: 'done', summary: summariseCount(0, seconds), doubtful: 0, kept: null });
      playBurst(null);
      setTimeout(() => takeHeard(run.id, heardByStations(listening, seconds)), STATIONS_TOLD_MS);
      return keepBurst(run.id, classBurst(fighters, what, wish.lead, at, newId));
    }
    const test = what.id === undefined ? { title: what.title, seconds } : { testId: what.id };
    // What was heard is whole only now, the last strikes too.
    const instants = [...(heard ? evaluateTrial({ kind: 'burst', seconds }, heard).instants : counted)];
    const attempt: SaveAttemptDto = {
      fighterId: wish.who,
      runId: run.id,
      ...test,
      lead,
      instants,
      at,
      ...(heard ? { measured: heard.source, heard } : { measured: 'taps' }),
    };
    const isTried = isHeard && !heard;
    const kept = isTried ? null : { id: newId(), attempt };
    if (kept) send(kept.id, attempt);
    if (kept && listened?.sound) void keepSound(kept.id, listened.sound).catch(tellFailure);
    const doubtful = heard?.onsets.filter((onset) => onset.doubtful).length;
    setPhase({ kind: 'done', summary: summariseBurst(instants, seconds), doubtful: doubtful ?? 0, kept });
  });
  const countAgain = (said: number): void => {
    if (phase.kind !== 'done' || !phase.kept) return;
    const { heard: _, ...attempt } = phase.kept.attempt;
    send(phase.kept.id, { ...attempt, instants: [], said, measured: 'by-hand' });
    setPhase({ ...phase, summary: summariseCount(said, seconds), doubtful: 0 });
  };
  const start = async (): Promise<void> => {
    try {
      if (by !== 'taps') await input.open(by, wish.keepsSound);
      // A tick sounds like a mitt to a microphone alone.
      const isQuiet =
        by === 'microphone' || (isClass && listening.listeners.some(({ source }) => source === 'microphone'));
      const next = await controller.burst(seconds, (end) => void finish(end), isQuiet);
      setTaps([]);
      next.start();
      if (isClass) {
        listening.again(BURST_ROUND);
        playBurst({ seconds, bellIn: () => -next.at });
      }
      setFailure('');
      setPhase({ kind: 'running', burst: next });
    } catch (error) {
      void input.close();
      tellFailure(error);
    }
  };
  const tap = (at: number): void => {
    if (!isClass && !isHeard) setTaps((before) => [...before, thousandths(at)]);
  };
  const tell = (place: number, count: number): void =>
    void tellNumber(run.id, ofClass!.trials[place]!.fighterId, count);
  const closeClass = (): void => {
    if (ofClass?.trials.every(({ count }) => count !== null)) keepBurst(run.id, null);
    onClose();
  };

  return (
    <main className="mat hall flex h-dvh flex-col phone:h-auto phone:min-h-dvh">
      <h1 className="sr-only">{what.title}</h1>
      {burst === null && !ofClass && <TapeClock left={BURST_READY} of={BURST_READY} isRest />}
      {burst ? (
        <BurstCount
          burst={burst}
          seconds={seconds}
          name={isClass ? 'Everybody' : (fighter?.name ?? '')}
          what={isClass ? what.title : `${what.title}, ${lead} lead`}
          count={isClass ? null : counted.length}
          hint={
            isClass
              ? 'partners count aloud'
              : by !== 'taps'
                ? input.status || COUNTS[by]
                : 'tap anywhere or press any key for each clean one'
          }
          onTap={tap}
        />
      ) : ofClass ? (
        <ClassNumbers burst={ofClass} fighters={fighters} onStatus={tell} onClose={closeClass} />
      ) : (
        <div className="flex flex-1 flex-col items-center justify-center gap-6 p-8 phone:gap-3 phone:p-4">
          {phase.kind === 'done' && (
            <Outcome
              summary={phase.summary}
              name={fighter?.name ?? ''}
              title={what.title}
              lead={lead}
              doubtful={phase.doubtful}
              isKept={phase.kept !== null || isClass}
              onCount={phase.kept && isHeard ? countAgain : null}
            />
          )}
          <BurstChoice fighters={fighters} timed={timed} value={wish} onChange={setWish} />
          {failure !== '' && (
            <p role="alert" className="text-xl font-semibold text-caution">
              {failure}
            </p>
          )}
          {fighters.length === 0 && (
            <p className="text-xl">Nobody is in this run, so there is nobody to time.</p>
          )}
          <div className="flex flex-wrap justify-center gap-4">
            <Button
              weight="main"
              className="min-h-[64px] px-8 text-2xl"
              onClick={() => void start()}
              disabled={!fighter && !isClass}
            >
              {phase.kind === 'done' ? 'Again' : 'Start'}
            </Button>
            <Button className="min-h-[64px] px-6 text-xl" onClick={onClose}>
              Back to the round
            </Button>
          </div>
          <p className="text-quiet">
            Get ready for {BURST_READY} seconds, then the bell, {seconds} seconds, and the bell again.{' '}
            {isClass
              ? listening.listeners.length > 0
                ? 'Stations that listen tell their numbers; partners count for all others, and are asked after the bell.'
                : 'Partners count, clean ones only; the numbers are asked for after the bell.'
              : by !== 'taps'
                ? HOW[by]
                : 'Count with taps or any key; clean ones only.'}
          </p>
        </div>
      )}
    </main>
  );
}

/** What may be timed: the bursts of the session, the gym's tests, and what a gym that has none may begin with. */
function useTimed(run: RunView): readonly Timed[] {
  const { data: tests = [] } = useQuery(queries.tests());
  const known: readonly Timed[] = tests.filter(({ kind }) => kind === 'burst');
  const own = run.rounds.flatMap(({ blocks }) =>
    blocks.flatMap((block) => {
      const measured = measuredBy(block);
      return measured?.kind === 'burst' ? [measured] : [];
    }),
  );
  const all = [...own.map((each) => known.find(isSame(each)) ?? each), ...known, ...USUAL_BURSTS];
  return all.filter((each, i) => all.findIndex((other) => other.title === each.title) === i);
}

const isSame =
  (one: Timed) =>
  (other: Timed): boolean =>
    one.title === other.title && one.seconds === other.seconds;
