import type { CallWords } from '@eurhythm/core/calls';
import { momentOfRound, type CallStyle } from '@eurhythm/core/rounds';
import { excerpt } from '@eurhythm/core/run';
import type { AnyBlockDto } from '@eurhythm/contract';
import { compileHere } from '../run/compileHere.ts';
import { useFrame } from '../useFrame.ts';
import { usePlaying } from '../usePlaying.ts';

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
  const beat = useFrame(() => {
    const { position = 0, round } = now() ?? {};
    const moment = round && momentOfRound(round, position);
    return moment?.cycle ? moment.beat : null;
  }, state === 'playing');
  const hear = (wish: HearingWish): void =>
    play(async () => {
      const blocks = [blockOf(wish)];
      const round = await compileHere({ seedKey: 'hear', id: 'hear', blocks, lead: wish.lead });
      return excerpt(round, CYCLES[wish.times ?? 'once']);
    });
  return { state, beat: state === 'playing' ? beat : null, stop, hear };
}

function blockOf({
  line,
  bpm,
  calls = 'on-beat',
  words = 'numbers',
  times = 'once',
}: HearingWish): AnyBlockDto {
  return {
    kind: 'combo',
    id: 'hear',
    seconds: times === 'loop' ? 1200 : 600,
    combos: [{ line }],
    bpm,
    calls,
    words,
    leadPlan: 'as-set',
    cyclesEach: CYCLES[times],
  };
}
