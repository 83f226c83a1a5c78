import { useEffect, useMemo, useRef, useState } from 'react';
import { median } from 'simple-statistics';
import { soundEvents } from '@eurhythm/core/rounds';
import { BURST_READY } from '@eurhythm/core/run';
import type { HeardTrial } from '@eurhythm/core/speed';
import { simulateBurst } from '@eurhythm/core/simulation';
import { doubtWeak, standing, withoutOwnSounds } from '@eurhythm/core/strikes';
import { seededRandom, thousandths } from '@eurhythm/core/units';
import type { Ear, EarKind, EarStrike, KeptSound } from '../../../ears/Ear.ts';
import { heardTrial } from '../../../ears/heardTrial.ts';
import { NOBODY_IN_BURST } from '../../../ears/nobody.ts';
import { openEar } from '../../../ears/openEar.ts';
import type { Burst } from '../../../floor/Burst.ts';
import { useStable } from '../../../ui/useStable.ts';

/** What was heard of a burst. */
export interface HeardBurst {
  /** Null where nobody struck: nothing of it is kept. */
  readonly heard: HeardTrial | null;
  /** Its sound, where that is to be kept, and when its first sample was heard, from the bell on. */
  readonly sound: KeptSound | null;
}

/** What an ear hears of a burst. */
export interface BurstEar {
  /** The strikes within the time, in seconds from the bell; those that may be somebody else's are marked. */
  readonly strikes: readonly EarStrike[];
  /** Why it hears nothing any more, or what is to be known of it; empty while all is well. */
  readonly told: string;
  /** @throws with a sentence */
  open(kind: EarKind, keepsSound: boolean): Promise<void>;
  /** Closes it, and gives all that it heard; null where none was open. */
  close(): Promise<HeardBurst | null>;
}

/** Listens to a burst of so many seconds; none is played while it is null. */
export function useBurstEar(burst: Burst | null, seconds: number): BurstEar {
  /** All of them, by the page's clock. */
  const struck = useRef<readonly EarStrike[]>([]);
  const [all, setAll] = useState<readonly EarStrike[]>([]);
  const [told, setTold] = useState('');
  const [latency, setLatency] = useState(0);
  const [source, setSource] = useState<Ear['source']>(null);
  const hears = source === 'microphone';
  const ear = useRef<Ear | null>(null);
  /** Where the page's clock stands at the bell, as each strike saw it: the one in the middle is believed. */
  const bells = useRef<number[]>([]);
  const isShown = useRef(true);
  const shut = (): void => {
    ear.current?.close();
    ear.current = null;
  };
  useEffect(() => {
    isShown.current = true;
    return () => {
      isShown.current = false;
      shut();
    };
  }, []);
  const position = useStable(() => (burst?.running ? burst.at : null));
  const onStrike = useStable((strike: EarStrike): void => {
    // After the last bell the player stands still, and what came before it is told yet.
    const now = position();
    if (now !== null) bells.current.push(performance.now() / 1000 - now);
    if (bells.current.length === 0) return;
    struck.current = standing([...struck.current, strike]);
    setAll(struck.current);
  });
  // The bells of this device come back to its microphone.
  const own = useMemo(
    () =>
      burst && hears
        ? soundEvents(burst.round).flatMap(({ at, source }) =>
            source.kind === 'synth' ? [at - BURST_READY + latency] : [],
          )
        : [],
    [burst, latency, hears],
  );
  /** What is not this device itself, from the bell on. */
  const othersOf = useStable((strikes: readonly EarStrike[]): EarStrike[] => {
    const bell = strikes.length > 0 ? median(bells.current) : 0;
    const inBurst = strikes.map((strike) => ({ ...strike, at: thousandths(strike.at - bell) }));
    return [...doubtWeak(withoutOwnSounds(inBurst, own).strikes, source ?? '')];
  });
  const strikes = useMemo(
    () =>
      othersOf(all)
        .map((strike) => ({ ...strike, at: strike.at - latency }))
        .filter(({ at }) => at >= 0 && at <= seconds),
    [othersOf, all, latency, seconds],
  );
  return {
    strikes,
    told,
    open: async (kind, keepsSound) => {
      shut();
      struck.current = [];
      bells.current = [];
      setAll([]);
      setTold('');
      const random = seededRandom(Date.now());
      const impacts = simulateBurst(NOBODY_IN_BURST, seconds, random);
      const opened = await openEar(
        { kind, keepsSound, code: null, pretends: { impacts, position } },
        { onStrike, onEnd: setTold, onTold: setTold },
      );
      if (!isShown.current) return opened.close();
      ear.current = opened;
      setLatency(opened.latency);
      setSource(opened.source);
    },
    close: async () => {
      const open = ear.current;
      ear.current = null;
      if (!open) return null;
      const { source: heardBy } = open;
      await open.settled();
      const kept = await open.sound();
      open.close();
      const bell = bells.current.length > 0 ? median(bells.current) : kept?.from;
      const sound = kept && { ...kept, from: kept.from - (bell ?? 0) };
      const heard =
        heardBy &&
        heardTrial({ ...open, source: heardBy, latency }, othersOf(struck.current), { due: null, own });
      return { heard, sound };
    },
  };
}
