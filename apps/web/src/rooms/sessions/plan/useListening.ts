import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { seedFromText, type Seconds } from '@eurhythm/core/units';
import type { CompiledRoundView, SaveSessionDto } from '@eurhythm/contract';
import { send } from '../../../app/api.ts';
import { AudioDesk } from '../../../floor/AudioDesk.ts';
import { RoundPlayer } from '../../../floor/RoundPlayer.ts';
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
  const desk = useRef<AudioDesk | null>(null);
  const player = useRef<{ player: RoundPlayer; starts: Seconds } | null>(null);
  const turn = useRef(0);
  const [state, setState] = useState<Listening['state']>('silent');
  const [at, setAt] = useState<Seconds | null>(null);

  const stop = (): void => {
    turn.current += 1;
    player.current?.player.dispose();
    player.current = null;
    setState('silent');
    setAt(null);
  };
  useEffect(
    () => () => {
      player.current?.player.dispose();
      desk.current?.close();
    },
    [],
  );
  useEffect(() => {
    if (state !== 'playing') return;
    const timer = setInterval(() => {
      if (player.current) setAt(player.current.starts + player.current.player.position);
    }, 200);
    return () => clearInterval(timer);
  }, [state]);

  const listen = async (from: Seconds): Promise<void> => {
    stop();
    const own = turn.current;
    setState('loading');
    setAt(from);
    const found = roundAt(session.rounds, from);
    if (!found) return stop();
    desk.current ??= new AudioDesk();
    const compiled = await send<CompiledRoundView>('POST', 'rounds/compile', {
      blocks: found.round.blocks,
      ...(found.round.timeCalls ? { timeCalls: found.round.timeCalls } : {}),
      lead: session.lead,
      seed: seedFromText(`${id}/${found.round.id}`),
      ...(session.word ? { word: session.word } : {}),
    });
    await desk.current.load(
      compiled.cues.flatMap((cue) => cue.clip?.id ?? []),
      () => {},
    );
    if (own !== turn.current) return;
    const next = found.starts + compiled.duration;
    player.current = {
      starts: found.starts,
      player: new RoundPlayer(desk.current, compiled, () => void listen(next)),
    };
    player.current.player.start(from - found.starts);
    setState('playing');
  };
  return {
    state,
    at,
    stop,
    listen: (from) =>
      void listen(from).catch((error: Error) => {
        stop();
        toast.error(error.message);
      }),
  };
}
