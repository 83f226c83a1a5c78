import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { CompiledRoundView, CompileRoundDto } from '@eurhythm/contract';
import { send } from '../app/api.ts';
import { AudioDesk } from './AudioDesk.ts';
import { RoundPlayer } from './RoundPlayer.ts';

/** Times through that are heard. */
const CYCLES = 2;

export interface Hearing {
  readonly state: 'silent' | 'loading' | 'playing';
  /** Beat in the cycle that sounds now. */
  readonly beat: number | null;
  hear(line: string, lead: 'left' | 'right', bpm: number): void;
  stop(): void;
}

/** Lets a line be heard as on the Floor: announced, counted in, and twice through with calls and ticks. */
export function useHearing(): Hearing {
  const desk = useRef<AudioDesk | null>(null);
  const player = useRef<RoundPlayer | null>(null);
  const [state, setState] = useState<Hearing['state']>('silent');
  const [beat, setBeat] = useState<number | null>(null);

  const stop = (): void => {
    player.current?.dispose();
    player.current = null;
    setState('silent');
    setBeat(null);
  };
  useEffect(
    () => () => {
      player.current?.dispose();
      desk.current?.close();
    },
    [],
  );
  useEffect(() => {
    if (state !== 'playing') return;
    let frame = requestAnimationFrame(function look() {
      const { position = 0, round } = player.current ?? {};
      const cycle = round?.cycles.findLast((each) => each.at <= position);
      setBeat(cycle ? Math.min(cycle.beats, (position - cycle.at) / cycle.beatSeconds) : null);
      frame = requestAnimationFrame(look);
    });
    return () => cancelAnimationFrame(frame);
  }, [state]);

  const hear = async (line: string, lead: 'left' | 'right', bpm: number): Promise<void> => {
    stop();
    setState('loading');
    desk.current ??= new AudioDesk();
    const round = excerpt(
      await send<CompiledRoundView>('POST', 'rounds/compile', hearingRequest(line, lead, bpm)),
    );
    await desk.current.load(
      round.cues.flatMap((cue) => cue.clip?.id ?? []),
      () => {},
    );
    player.current = new RoundPlayer(desk.current, round, stop);
    player.current.start(0);
    setState('playing');
  };
  return {
    state,
    beat,
    stop,
    hear: (line, lead, bpm) =>
      void hear(line, lead, bpm).catch((error: Error) => {
        stop();
        toast.error(error.message);
      }),
  };
}

function hearingRequest(line: string, lead: 'left' | 'right', bpm: number): CompileRoundDto {
  const seconds = 600;
  return {
    lead,
    seed: 0,
    blocks: [
      {
        kind: 'combo',
        id: 'hear',
        seconds,
        combos: [{ line }],
        bpm,
        calls: 'on-beat',
        words: 'numbers',
        leadPlan: 'as-set',
        cyclesEach: CYCLES,
      },
    ],
  };
}

/** The count-in and the first cycles alone, moved to the start. */
function excerpt(round: CompiledRoundView): CompiledRoundView {
  const [first] = round.cycles;
  const last = round.cycles[CYCLES - 1] ?? first;
  if (!first || !last) return { ...round, cues: [], cycles: [], duration: 0 };
  const countIn = round.cues.find((cue) => cue.kind === 'count')?.at ?? first.at;
  const end = last.at + last.beats * last.beatSeconds;
  const kept = round.cues.filter(
    (cue) => cue.at >= countIn - 1e-6 && cue.at < end && cue.kind !== 'time' && cue.kind !== 'bell',
  );
  return {
    ...round,
    duration: end - countIn,
    cues: kept.map((cue) => ({
      ...cue,
      at: cue.at - countIn,
      ...(cue.clip ? { clip: { ...cue.clip, start: cue.clip.start - countIn } } : {}),
    })),
    cycles: round.cycles.slice(0, CYCLES).map((cycle) => ({ ...cycle, at: cycle.at - countIn })),
  };
}
