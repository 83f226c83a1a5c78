import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { Seconds } from '@eurhythm/core/units';
import { clipIds, type RoundToPlay } from '@eurhythm/core/run';
import { useStable } from '../ui/useStable.ts';
import { NO_SOUND, makesSound } from './output/SilentOutput.ts';
import { AudioOutput } from './output/AudioOutput.ts';
import { RoundPlayer } from './RoundPlayer.ts';

export interface Playing {
  readonly state: 'silent' | 'loading' | 'playing';
  /** The round that sounds now; null while none does. */
  now(): RoundPlayer | null;
  /** Compiles a round, gets its clips and plays it from a place on; whatever sounded before is stopped. */
  play(
    compile: () => Promise<RoundToPlay>,
    ways?: { readonly from?: Seconds; readonly onEnd?: (round: RoundToPlay) => void },
  ): void;
  stop(): void;
}

/** One round at a time on an output of its own. What comes too late, after a stop or on a page that is gone, is not played. */
export function usePlaying(): Playing {
  const output = useRef<AudioOutput | null>(null);
  const player = useRef<RoundPlayer | null>(null);
  const turn = useRef(0);
  const [state, setState] = useState<Playing['state']>('silent');

  const stop = useStable((): void => {
    turn.current += 1;
    player.current?.dispose();
    player.current = null;
    setState('silent');
  });
  useEffect(
    () => () => {
      stop();
      output.current?.close();
      output.current = null;
    },
    [stop],
  );
  const play = useStable<Parameters<Playing['play']>, Promise<void>>(
    async (compile, { from = 0, onEnd } = {}) => {
      stop();
      const own = turn.current;
      setState('loading');
      if (!makesSound()) {
        toast.error(NO_SOUND);
        return stop();
      }
      // Made at the press itself, which is what lets it sound.
      const open = output.current ?? new AudioOutput();
      output.current = open;
      try {
        const round = await compile();
        await open.load(clipIds(round), () => {});
        if (own !== turn.current) return;
        player.current = new RoundPlayer(open, round, () => (onEnd ? onEnd(round) : stop()));
        player.current.start(from);
        setState('playing');
      } catch (error) {
        if (own !== turn.current) return;
        stop();
        toast.error(error instanceof Error ? error.message : String(error));
      }
    },
  );
  const now = useStable(() => player.current);
  return { state, now, play: (...wish) => void play(...wish), stop };
}
