import { useEffect, useState } from 'react';
import { simulateBurst } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { standing } from '@eurhythm/core/strikes';
import type { Ear, EarKind, EarStrike } from '../../../ears/Ear.ts';
import { openEar } from '../../../ears/openEar.ts';
import { useStable } from '../../../ui/useStable.ts';

/** Of the past so much is kept, in seconds. */
export const KEPT_SECONDS = 10;
/** A virtual fighter at the lab's bag goes on for so long. */
const PRETEND_SECONDS = 600;
const NOBODY = { rate: 1.6, spread: 0.25, fading: 0 } as const;

/** What a device heard lately, by the page's clock. */
export interface Past {
  readonly levels: { readonly at: number; readonly decibels: number }[];
  readonly strikes: EarStrike[];
}

/** Is told every strike, and where one that was told is none. */
export type OnStrike = (strike: EarStrike) => void;

export interface LabEar {
  /** Null until it is open. */
  readonly ear: Ear | null;
  readonly told: string;
  readonly past: Past;
  /** Tells of every strike that is made from now on; gives what ends it. */
  listen(onStrike: OnStrike): () => void;
}

/** An ear that is tried out, and what it heard lately; `again` opens it anew, with what was learnt meanwhile. */
export function useEar(kind: EarKind | null, again: number): LabEar {
  const [ear, setEar] = useState<Ear | null>(null);
  const [told, setTold] = useState('');
  const [past] = useState<Past>(() => ({ levels: [], strikes: [] }));
  const [listeners] = useState(() => new Set<OnStrike>());
  const strike = useStable((heard: EarStrike): void => {
    const from = performance.now() / 1000 - KEPT_SECONDS;
    const stand = standing([...past.strikes, heard]).filter(({ at }) => at >= from);
    past.strikes.splice(0, Infinity, ...stand);
    for (const listener of listeners) listener(heard);
  });
  useEffect(() => {
    if (kind === null) return;
    let isGone = false;
    let opened: Ear | null = null;
    const { levels, strikes } = past;
    const started = performance.now() / 1000;
    const impacts = simulateBurst(NOBODY, PRETEND_SECONDS, seededRandom(1));
    const forget = (): void => {
      const from = performance.now() / 1000 - KEPT_SECONDS;
      while (levels.length > 0 && levels[0]!.at < from) levels.shift();
      while (strikes.length > 0 && strikes[0]!.at < from) strikes.shift();
    };
    openEar(
      {
        kind,
        keepsSound: false,
        code: null,
        pretends: { impacts, position: () => performance.now() / 1000 - started },
      },
      {
        onStrike: strike,
        onEnd: setTold,
        onTold: setTold,
        onLevel: (decibels) => {
          levels.push({ at: performance.now() / 1000, decibels });
          forget();
        },
      },
    ).then(
      (there) => {
        if (isGone) return there.close();
        opened = there;
        setEar(there);
        setTold('');
      },
      (error: Error) => !isGone && setTold(error.message),
    );
    return () => {
      isGone = true;
      opened?.close();
      setEar(null);
      setTold('');
    };
  }, [kind, again, strike, past]);
  const listen = useStable((onStrike: OnStrike) => {
    const from = performance.now() / 1000;
    const listener: OnStrike = (heard) => heard.at >= from && onStrike(heard);
    listeners.add(listener);
    return () => void listeners.delete(listener);
  });
  return { ear, told, past, listen };
}
