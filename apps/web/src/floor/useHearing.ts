import { useEffect, useState } from 'react';
import type { CallWords } from '@eurhythm/core/calls';
import type { CallStyle } from '@eurhythm/core/rounds';
import type { CompiledRoundView, CompileRoundDto } from '@eurhythm/contract';
import { send } from '../app/api.ts';
import { usePlaying } from './usePlaying.ts';

/** Times through that are heard once, and in a loop until it is stopped. */
const CYCLES = { once: 2, loop: 50 } as const;

/** What is to be heard, and how. */
export interface HearingWish {
  readonly line: string;
  readonly lead: 'left' | 'right';
  readonly bpm: number;
  readonly calls?: CallStyle;
  readonly words?: CallWords;
  readonly times?: keyof typeof CYCLES;
}

export interface Hearing {
  readonly state: 'silent' | 'loading' | 'playing';
  /** Beat in the cycle that sounds now. */
  readonly beat: number | null;
  hear(wish: HearingWish): void;
  stop(): void;
}

/** Lets a line be heard as on the Floor: announced, counted in, and twice through with calls and ticks. */
export function useHearing(): Hearing {
  const { state, now, play, stop } = usePlaying();
  const [beat, setBeat] = useState<number | null>(null);
  useEffect(() => {
    if (state !== 'playing') return setBeat(null);
    let frame = requestAnimationFrame(function look() {
      const { position = 0, round } = now() ?? {};
      const cycle = round?.cycles.findLast((each) => each.at <= position);
      setBeat(cycle ? Math.min(cycle.beats, (position - cycle.at) / cycle.beatSeconds) : null);
      frame = requestAnimationFrame(look);
    });
    return () => cancelAnimationFrame(frame);
  }, [state, now]);
  const hear = (wish: HearingWish): void =>
    play(async () =>
      excerpt(
        await send<CompiledRoundView>('POST', 'rounds/compile', hearingRequest(wish)),
        CYCLES[wish.times ?? 'once'],
      ),
    );
  return { state, beat, stop, hear };
}

function hearingRequest({ line, lead, bpm, calls, words, times }: HearingWish): CompileRoundDto {
  const seconds = times === 'loop' ? 1200 : 600;
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
        calls: calls ?? 'on-beat',
        words: words ?? 'numbers',
        leadPlan: 'as-set',
        cyclesEach: CYCLES[times ?? 'once'],
      },
    ],
  };
}

/** The count-in and the first cycles alone, moved to the start. */
function excerpt(round: CompiledRoundView, cycles: number): CompiledRoundView {
  const [first] = round.cycles;
  const last = round.cycles[cycles - 1] ?? round.cycles.at(-1);
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
    cycles: round.cycles.slice(0, cycles).map((cycle) => ({ ...cycle, at: cycle.at - countIn })),
  };
}
