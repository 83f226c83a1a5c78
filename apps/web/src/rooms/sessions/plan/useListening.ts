import { useEffect, useState } from 'react';
import { seedFromText, type Seconds } from '@eurhythm/core/units';
import type { CompiledRoundView, SaveSessionDto } from '@eurhythm/contract';
import { send } from '../../../app/api.ts';
import { usePlaying } from '../../../floor/usePlaying.ts';
import { roundAt } from './roundAt.ts';

export interface Listening {
  readonly state: 'silent' | 'loading' | 'playing';
  /** Where it sounds, in seconds from the first bell; null while nothing does. */
  readonly at: Seconds | null;
  listen(from: Seconds): void;
  stop(): void;
}

/** Lets a session be heard from any place on, as it will sound on the Floor, round after round. */
export function useListening(id: string, session: SaveSessionDto): Listening {
  const { state, now, play, stop } = usePlaying();
  const [place, setPlace] = useState<{ readonly starts: Seconds; readonly at: Seconds }>({
    starts: 0,
    at: 0,
  });
  useEffect(() => {
    if (state !== 'playing') return;
    const timer = setInterval(() => {
      const position = now()?.position;
      if (position !== undefined) setPlace(({ starts }) => ({ starts, at: starts + position }));
    }, 200);
    return () => clearInterval(timer);
  }, [state, now]);
  const listen = (from: Seconds): void => {
    const found = roundAt(session.rounds, from);
    if (!found) return stop();
    const { round, starts } = found;
    setPlace({ starts, at: from });
    const compile = (): Promise<CompiledRoundView> =>
      send('POST', 'rounds/compile', {
        blocks: round.blocks,
        ...(round.timeCalls ? { timeCalls: round.timeCalls } : {}),
        lead: session.lead,
        seed: seedFromText(`${id}/${round.id}`),
        ...(session.word ? { word: session.word } : {}),
      });
    play(compile, { from: from - starts, onEnd: ({ duration }) => listen(starts + duration) });
  };
  return { state, at: state === 'silent' ? null : place.at, stop, listen };
}
