import { useEffect, useState } from 'react';
import { simulateBurst } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { validOnsets, type OnsetReport } from '@eurhythm/core/strikes';
import { useListeningSession } from '../../../floor/listening/useListeningSession.ts';
import type { InputKind, StrikeInput } from '../../../strikeInputs/StrikeInput.ts';
import { useStable } from '../../../ui/useStable.ts';

/** Of the past so much is kept, in seconds. */
export const KEPT_SECONDS = 10;
/** A virtual fighter at the lab's bag goes on for so long. */
const SIMULATED_SECONDS = 600;
const NOBODY = { rate: 1.6, spread: 0.25, fading: 0 } as const;

/** What a device heard lately, by the page's clock. */
export interface Past {
  readonly levels: { readonly at: number; readonly decibels: number }[];
  readonly strikes: OnsetReport[];
}

/** Is reported every strike, and where one that was reported is none. */
export type OnStrike = (strike: OnsetReport) => void;

export interface LabInput {
  /** Null until it is open. */
  readonly input: StrikeInput | null;
  readonly status: string;
  readonly past: Past;
  /** Tells of every strike that is made from now on; gives what ends it. */
  listen(onStrike: OnStrike): () => void;
}

const pageClock = (): number => performance.now() / 1000;

/** An input that is tried out, and what it heard lately; `again` opens it anew, with what was learnt meanwhile. */
export function useLabInput(kind: InputKind | null, again: number): LabInput {
  const [past] = useState<Past>(() => ({ levels: [], strikes: [] }));
  const [listeners] = useState(() => new Set<OnStrike>());
  const { session, state } = useListeningSession({
    // Nothing is played here: the page's own clock goes on.
    place: () => ({ round: 0, at: pageClock() }),
    simulatedImpacts: () => {
      const from = pageClock();
      return simulateBurst(NOBODY, SIMULATED_SECONDS, seededRandom(1)).map((at) => at + from);
    },
    onOnset: (_, heard) => {
      const from = pageClock() - KEPT_SECONDS;
      past.strikes.splice(
        0,
        Infinity,
        ...validOnsets([...past.strikes, heard]).filter(({ at }) => at >= from),
      );
      for (const listener of listeners) listener(heard);
    },
    onLevel: (decibels) => {
      const { levels, strikes } = past;
      levels.push({ at: pageClock(), decibels });
      const from = pageClock() - KEPT_SECONDS;
      while (levels.length > 0 && levels[0]!.at < from) levels.shift();
      while (strikes.length > 0 && strikes[0]!.at < from) strikes.shift();
    },
  });
  useEffect(() => {
    if (kind === null) return;
    // Why it could not be opened stands in the state.
    session.open({ kind }).catch(() => {});
    return () => session.close();
  }, [kind, again, session]);
  const listen = useStable((onStrike: OnStrike) => {
    const from = pageClock();
    const listener: OnStrike = (heard) => heard.at >= from && onStrike(heard);
    listeners.add(listener);
    return () => void listeners.delete(listener);
  });
  const { input, failure, status } = state;
  return { input, status: failure === '' ? status : failure, past, listen };
}
