import { useEffect, useMemo, useRef, useState } from 'react';
import { soundEvents } from '@eurhythm/core/rounds';
import { BURST_READY } from '@eurhythm/core/run';
import type { HeardTrial } from '@eurhythm/core/speed';
import { DETECTOR_VERSION, doubtWeak, withoutOwnSounds, type Onset } from '@eurhythm/core/strikes';
import { hearStrikes, type StrikeHeard } from '../../../floor/hearStrikes.ts';
import type { Microphone } from '../../../floor/microphone.ts';
import type { Player } from '../../../floor/player.ts';
import { useStable } from '../../../ui/useStable.ts';

/** A strike is known so long after it: the detector looks ahead, and pieces are on their way, in milliseconds. */
export const STILL_HEARING_MS = 200;

/** What the microphone hears of a burst. */
export interface BurstEar {
  /** The strikes within the time, in seconds from the bell; those that may be somebody else's are marked. */
  readonly strikes: readonly Onset[];
  /** It was unplugged. */
  readonly isGone: boolean;
  /** @throws NoMicrophone */
  open(): Promise<void>;
  /** Closes it, and gives all that it heard; null where none was open. */
  close(): HeardTrial | null;
}

/** Listens to a burst of so many seconds that `player` plays; `lateness` is that of the loudspeaker. */
export function useBurstEar(player: Player | null, lateness: () => number, seconds: number): BurstEar {
  const [heard, setHeard] = useState<readonly Onset[]>([]);
  const [isGone, setGone] = useState(false);
  const [latency, setLatency] = useState(0);
  const microphone = useRef<Microphone | null>(null);
  /** Where the page's clock stands at the bell, as long as it is heard. */
  const bellAt = useRef<number | null>(null);
  const isShown = useRef(true);
  const shut = (): void => {
    microphone.current?.close();
    microphone.current = null;
  };
  useEffect(() => {
    isShown.current = true;
    return () => {
      isShown.current = false;
      shut();
    };
  }, []);
  const onStrike = useStable(({ at, ...onset }: StrikeHeard): void => {
    // After the last bell the player stands still, and what came before it is told yet.
    if (player?.running)
      bellAt.current = performance.now() / 1000 - (player.position - lateness() - BURST_READY);
    if (bellAt.current === null) return;
    const inBurst = at - bellAt.current;
    setHeard((before) => [...before, { ...onset, at: Math.round(inBurst * 1000) / 1000 }]);
  });
  // The bells of this device come back to it.
  const others = useMemo(() => {
    const own = player
      ? soundEvents(player.round).flatMap(({ at, source }) =>
          source.kind === 'synth' ? [at - BURST_READY + latency] : [],
        )
      : [];
    return withoutOwnSounds(heard, own).strikes;
  }, [heard, player, latency]);
  const strikes = useMemo(
    () =>
      doubtWeak(
        others
          .map((onset) => ({ ...onset, at: onset.at - latency }))
          .filter(({ at }) => at >= 0 && at <= seconds),
      ),
    [others, latency, seconds],
  );
  return {
    strikes,
    isGone,
    open: async () => {
      shut();
      setHeard([]);
      setGone(false);
      bellAt.current = null;
      const opened = await hearStrikes(onStrike, () => setGone(true));
      if (!isShown.current) return opened.close();
      microphone.current = opened;
      setLatency(opened.latency);
    },
    close: () => {
      const open = microphone.current;
      shut();
      if (!open) return null;
      const device = open.name.slice(0, 120);
      return { source: 'microphone', device, latency, detector: DETECTOR_VERSION, onsets: others, due: null };
    },
  };
}
