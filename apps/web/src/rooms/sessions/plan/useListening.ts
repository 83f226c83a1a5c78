import { useEffect, useState } from 'react';
import { roundAt } from '@eurhythm/core/plan';
import type { Seconds } from '@eurhythm/core/units';
import type { SaveSessionDto } from '@eurhythm/contract';
import { compileHere } from '../../../floor/run/compileHere.ts';
import { usePlaying } from '../../../floor/usePlaying.ts';
import { useStable } from '../../../ui/useStable.ts';

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
  const [wanted, setWanted] = useState<{ readonly from: Seconds } | null>(null);
  const listen = useStable((from: Seconds): void => {
    const found = roundAt(session.rounds, from);
    if (!found) return stop();
    const { round, starts } = found;
    setPlace({ starts, at: from });
    const { blocks, timeCalls } = round;
    const { lead, word } = session;
    play(() => compileHere({ seedKey: id, id: round.id, blocks, timeCalls, lead, word }), {
      from: from - starts,
      onEnd: ({ duration }) => setWanted({ from: starts + duration }),
    });
  });
  // One round follows the other.
  useEffect(() => {
    if (wanted) listen(wanted.from);
  }, [wanted, listen]);
  return { state, at: state === 'silent' ? null : place.at, stop, listen };
}
