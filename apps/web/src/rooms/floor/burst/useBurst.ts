import { useEffect, useState } from 'react';
import { thousandths } from '@eurhythm/core/units';
import { evaluateTrial, summariseBurst, summariseCount, type HeardTrial } from '@eurhythm/core/speed';
import { BURST_ROUND, type FighterView, type RunView, type SaveAttemptDto } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { keepSound } from '../../../server/keepSound.ts';
import { BURST_SLEPT, type Burst, type BurstEnd } from '../../../floor/Burst.ts';
import type { Listening } from '../../../floor/listening/Listening.ts';
import type { RunController } from '../../../floor/run/RunController.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { sync } from '../../../sync/opened.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useStable } from '../../../ui/useStable.ts';
import { EVERYBODY, type BurstWish, type Timed } from './BurstChoice.tsx';
import type { OutcomeSummary } from './Outcome.tsx';
import { playBurst } from './burstNow.ts';
import { askedOf, classBurst } from './numbers/classBurst.ts';
import { heardByStations } from './numbers/heardByStations.ts';
import { keepBurst, takeHeard } from './numbers/keptBurst.ts';
import { useBurstInput } from './useBurstInput.ts';

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

export interface BurstPlace {
  readonly run: RunView;
  readonly fighters: readonly FighterView[];
  readonly controller: RunController;
  /** What stations hear. */
  readonly listening: Listening;
}

/** A burst that is played as it is wished: how far it is, what has been counted, and the trial that becomes of it. */
export function useBurst(place: BurstPlace, wish: BurstWish, what: Timed) {
  const { run, fighters, controller, listening } = place;
  const [phase, setPhase] = useState<Phase>({ kind: 'choose' });
  const [failure, setFailure] = useState('');
  const [taps, setTaps] = useState<readonly number[]>([]);
  const burst = phase.kind === 'running' ? phase.burst : null;
  const isClass = wish.who === EVERYBODY;
  const { seconds } = what;
  const by = isClass ? 'taps' : wish.by;
  const isHeard = by !== 'taps';
  useEffect(() => () => burst?.dispose(), [burst]);
  useEffect(() => () => playBurst(null), []);
  const input = useBurstInput(burst, seconds);
  const counted = isHeard ? input.instants : taps;
  const lead = leadOf(wish, fighters);

  const tellFailure = (error: unknown): void =>
    setFailure(error instanceof Error ? error.message : String(error));
  const finishClass = (at: string): void => {
    setPhase({ kind: 'done', summary: summariseCount(0, seconds), doubtful: 0, kept: null });
    playBurst(null);
    setTimeout(() => takeHeard(run.id, heardByStations(listening, seconds)), STATIONS_TOLD_MS);
    keepBurst(run.id, classBurst(askedOf(fighters, what, wish.lead), at, newId));
  };
  const finish = useStable(async (end: BurstEnd): Promise<void> => {
    const at = new Date().toISOString();
    const listened = isHeard ? await input.close() : null;
    if (end === 'slept') {
      playBurst(null);
      setPhase({ kind: 'choose' });
      return setFailure(BURST_SLEPT);
    }
    if (isClass) return finishClass(at);
    const heard = listened?.heard ?? null;
    const taken = { ...{ fighterId: wish.who, runId: run.id, lead, at }, ...testOf(what) };
    const done = finished(taken, seconds, heard, isHeard ? null : counted);
    if (done.kept) sendTrial(done.kept);
    if (done.kept && listened?.sound) void keepSound(done.kept.id, listened.sound).catch(tellFailure);
    setPhase(done);
  });
  const begin = async (): Promise<void> => {
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
  };
  return {
    ...{ phase, burst, failure, lead, isClass, by },
    counted: counted.length,
    inputStatus: input.status,
    start: (): Promise<void> =>
      begin().catch((error: unknown) => {
        void input.close();
        tellFailure(error);
      }),
    tap: (at: number): void => {
      if (!isClass && !isHeard) setTaps((before) => [...before, thousandths(at)]);
    },
    /** What a person counted stands in place of what was heard. */
    countAgain: (said: number): void => {
      if (phase.kind !== 'done' || !phase.kept) return;
      const { heard: _, ...attempt } = phase.kept.attempt;
      sendTrial({ id: phase.kept.id, attempt: { ...attempt, instants: [], said, measured: 'by-hand' } });
      setPhase({ ...phase, summary: summariseCount(said, seconds), doubtful: 0 });
    },
  };
}

type Taken = Omit<SaveAttemptDto, 'instants'>;

/** What a burst of one fighter came to: by what was heard, whole only now with the last strikes too, or by taps, null where it was heard. */
function finished(
  taken: Taken,
  seconds: number,
  heard: HeardTrial | null,
  taps: readonly number[] | null,
): Phase & { readonly kind: 'done' } {
  const instants = heard ? [...evaluateTrial({ kind: 'burst', seconds }, heard).instants] : [...(taps ?? [])];
  // Where nobody struck it was only tried.
  const isTried = !heard && taps === null;
  return {
    kind: 'done',
    summary: summariseBurst(instants, seconds),
    doubtful: heard?.onsets.filter((onset) => onset.doubtful).length ?? 0,
    kept: isTried ? null : { id: newId(), attempt: { ...taken, instants, ...meansOf(heard) } },
  };
}

const testOf = ({ id, title, seconds }: Timed): Pick<SaveAttemptDto, 'testId' | 'title' | 'seconds'> =>
  id === undefined ? { title, seconds } : { testId: id };

const meansOf = (heard: HeardTrial | null): Pick<SaveAttemptDto, 'measured' | 'heard'> =>
  heard ? { measured: heard.source, heard } : { measured: 'taps' };

const leadOf = ({ lead, who }: BurstWish, fighters: readonly FighterView[]): 'left' | 'right' =>
  lead === 'own' ? (fighters.find(({ id }) => id === who)?.lead ?? 'left') : lead;

const sendTrial = ({ id, attempt }: KeptTrial): void =>
  void sync.put(putRequest(SUBJECTS.trial, `attempts/${id}`, attempt, { page: `/floor/${attempt.runId!}` }));
