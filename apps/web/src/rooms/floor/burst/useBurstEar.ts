import { useEffect, useMemo, useRef, useState } from 'react';
import { soundEvents } from '@eurhythm/core/rounds';
import { BURST_READY } from '@eurhythm/core/run';
import type { HeardTrial } from '@eurhythm/core/speed';
import { DETECTOR_VERSION, doubtWeak, withoutOwnSounds, type Onset } from '@eurhythm/core/strikes';
import { hearStrikes, type StrikeHeard } from '../../../floor/hearStrikes.ts';
import type { Microphone } from '../../../floor/microphone.ts';
import type { Player } from '../../../floor/player.ts';
import { useStable } from '../../../ui/useStable.ts';

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
  const shut = (): void => {
    microphone.current?.close();
    microphone.current = null;
  };
  useEffect(() => shut, []);
  const onStrike = useStable(({ at, ...onset }: StrikeHeard): void => {
    if (!player?.running) return;
    const since = performance.now() / 1000 - at;
    const inBurst = player.position - lateness() - since - BURST_READY;
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
      const opened = await hearStrikes(onStrike, () => setGone(true));
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
