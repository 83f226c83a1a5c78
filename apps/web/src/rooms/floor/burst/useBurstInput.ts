import { useMemo, useRef, useState } from 'react';
import { BURST_READY } from '@eurhythm/core/run';
import { evaluateTake, type HeardTrial, type TakeTrial } from '@eurhythm/core/speed';
import { simulateBurst } from '@eurhythm/core/simulation';
import { validOnsets, type OnsetReport } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import { BURST_ROUND } from '@eurhythm/contract';
import type { Burst } from '../../../floor/Burst.ts';
import { referenceOf } from '../../../floor/listening/strikeResults.ts';
import { useListeningSession } from '../../../floor/listening/useListeningSession.ts';
import { heardTrial } from '../../../strikeInputs/heardTrial.ts';
import { NOBODY_IN_BURST } from '../../../strikeInputs/simulatedProfiles.ts';
import type { InputKind, KeptSound, StrikeInput } from '../../../strikeInputs/StrikeInput.ts';
import { useStable } from '../../../ui/useStable.ts';

/** What was heard of a burst. */
export interface HeardBurst {
  /** Null where nobody struck: nothing of it is kept. */
  readonly heard: HeardTrial | null;
  /** Its sound, where that is to be kept, from the bell on. */
  readonly sound: KeptSound | null;
}

/** What an input hears of a burst. */
export interface BurstInput {
  /** The strikes that count so far, in seconds from the bell. */
  readonly instants: readonly number[];
  /** Why it hears nothing any more, or what is to be known of it; empty while all is well. */
  readonly status: string;
  /** @throws with a sentence */
  open(kind: InputKind, keepsSound: boolean): Promise<void>;
  /** Closes it, and gives all that it heard; null where none was open. */
  close(): Promise<HeardBurst | null>;
}

/** Listens to a burst of so many seconds; none is played while it is null. */
export function useBurstInput(burst: Burst | null, seconds: number): BurstInput {
  const reports = useRef<readonly OnsetReport[]>([]);
  const [onsets, setOnsets] = useState<readonly OnsetReport[]>([]);
  const { session, state } = useListeningSession({
    place: () => ({ round: BURST_ROUND, at: burst?.running ? burst.at : null }),
    simulatedImpacts: () => simulateBurst(NOBODY_IN_BURST, seconds, seededRandom(Date.now())),
    onOnset: (_, report) => {
      reports.current = validOnsets([...reports.current, report]);
      setOnsets(reports.current);
    },
  });
  const { input } = state;
  const evaluate = useStable((heard: readonly OnsetReport[], source: StrikeInput['source']) =>
    burstTrial(heard, source, burst, seconds),
  );
  const instants = useMemo(
    () => evaluate(onsets, input?.source ?? null).result.instants,
    [evaluate, onsets, input],
  );
  return {
    instants,
    status: state.status,
    open: async (kind, keepsSound) => {
      reports.current = [];
      setOnsets([]);
      await session.open({ kind, keepsSound });
    },
    close: async () => {
      const open = session.snapshot().input;
      if (!open) return null;
      const { source } = open;
      const sound = await session.finish(BURST_ROUND);
      if (source === null) return { heard: null, sound };
      const { evidence } = evaluate(reports.current, source);
      return { heard: heardTrial({ ...open, source }, evidence.onsets, evidence), sound };
    },
  };
}

/** What one fighter did between the bells; the sounds of this device come back to its microphone. */
function burstTrial(
  onsets: readonly OnsetReport[],
  source: StrikeInput['source'],
  burst: Burst | null,
  seconds: number,
): TakeTrial {
  const reference = burst ? referenceOf(burst.round, BURST_READY) : [];
  const [one] = evaluateTake(
    { onsets, source, from: 0, reference },
    { strikesOf: () => [], bursts: [{ from: 0, seconds }], calls: [] },
    { fighterIds: [''], workerAt: () => '', until: seconds },
  );
  return one!.trials[0]!;
}
