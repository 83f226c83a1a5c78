import { useEffect, useMemo, useRef, useState } from 'react';
import { soundEvents } from '@eurhythm/core/rounds';
import { BURST_READY } from '@eurhythm/core/run';
import type { HeardTrial } from '@eurhythm/core/speed';
import { simulateBurst } from '@eurhythm/core/standIns';
import { doubtWeak, withoutOwnSounds } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import type { Ear, EarKind, EarStrike, KeptSound } from '../../../ears/Ear.ts';
import { openEar } from '../../../ears/openEar.ts';
import type { Player } from '../../../floor/player.ts';
import { useStable } from '../../../ui/useStable.ts';

/** A strike is known so long after it: the detector looks ahead, and pieces are on their way, in milliseconds. */
export const STILL_HEARING_MS = 200;
/** Who strikes where it is only tried. */
const NOBODY = { rate: 3.4, spread: 0.15, fading: 0.15 } as const;

type BurstStrike = Omit<EarStrike, 'at'> & { readonly at: number };

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
  readonly strikes: readonly BurstStrike[];
  /** Why it hears nothing any more, or what is to be known of it; empty while all is well. */
  readonly told: string;
  /** @throws with a sentence */
  open(kind: EarKind, keepsSound: boolean): Promise<void>;
  /** Closes it, and gives all that it heard; null where none was open. */
  close(): Promise<HeardBurst | null>;
}

/** Listens to a burst of so many seconds that `player` plays; `lateness` is that of the loudspeaker. */
export function useBurstEar(player: Player | null, lateness: () => number, seconds: number): BurstEar {
  const [all, setAll] = useState<readonly BurstStrike[]>([]);
  const [told, setTold] = useState('');
  const [latency, setLatency] = useState(0);
  const [hears, setHears] = useState(false);
  const ear = useRef<Ear | null>(null);
  /** Where the page's clock stands at the bell, as long as it is heard. */
  const bellAt = useRef<number | null>(null);
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
  const position = useStable(() => (player?.running ? player.position - lateness() : null));
  const onStrike = useStable(({ at, ...strike }: EarStrike): void => {
    // After the last bell the player stands still, and what came before it is told yet.
    const now = position();
    if (now !== null) bellAt.current = performance.now() / 1000 - (now - BURST_READY);
    if (bellAt.current === null) return;
    const inBurst = at - bellAt.current;
    setAll((before) => [...before, { ...strike, at: Math.round(inBurst * 1000) / 1000 }]);
  });
  // The bells of this device come back to its microphone.
  const own = useMemo(
    () =>
      player && hears
        ? soundEvents(player.round).flatMap(({ at, source }) =>
            source.kind === 'synth' ? [at - BURST_READY + latency] : [],
          )
        : [],
    [player, latency, hears],
  );
  const others = useMemo(() => withoutOwnSounds(all, own).strikes, [all, own]);
  const strikes = useMemo(
    () =>
      doubtWeak(
        others
          .map((strike) => ({ ...strike, at: strike.at - latency }))
          .filter(({ at }) => at >= 0 && at <= seconds),
      ),
    [others, latency, seconds],
  );
  return {
    strikes,
    told,
    open: async (kind, keepsSound) => {
      shut();
      setAll([]);
      setTold('');
      bellAt.current = null;
      const random = seededRandom(Date.now());
      const impacts = simulateBurst(NOBODY, seconds, random).map((at) => at + BURST_READY);
      const opened = await openEar(
        { kind, keepsSound, code: null, pretends: { impacts, position } },
        { onStrike, onEnd: setTold, onTold: setTold },
      );
      if (!isShown.current) return opened.close();
      ear.current = opened;
      setLatency(opened.latency);
      setHears(opened.source === 'microphone');
    },
    close: async () => {
      const open = ear.current;
      ear.current = null;
      if (!open) return null;
      const { source, device, detector, leastStrength } = open;
      const kept = await open.sound();
      open.close();
      const sound = kept && { ...kept, from: kept.from - (bellAt.current ?? kept.from) };
      if (source === null) return { heard: null, sound };
      const weak = leastStrength === null ? {} : { leastStrength };
      const heard = {
        source,
        device: device.slice(0, 120),
        latency,
        detector,
        onsets: others,
        due: null,
        own,
      };
      return { heard: { ...heard, ...weak }, sound };
    },
  };
}
