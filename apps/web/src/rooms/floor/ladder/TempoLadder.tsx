import { useMemo } from 'react';
import { toast } from 'sonner';
import type { MoveBook } from '@eurhythm/core/moves';
import { ladderAdvice } from '@eurhythm/core/speed';
import type { FighterView, RunView } from '@eurhythm/contract';
import type { DeckState, RunDeck } from '../../../floor/RunDeck.ts';
import { useFrame } from '../../../floor/useFrame.ts';
import { Key } from '../../../ui/Button.tsx';
import { useShortcut } from '../../../ui/useShortcut.ts';
import { blockAt } from '../board/whatComes.ts';
import type { Marks } from '../marks/useMarks.ts';

interface TempoLadderProps {
  readonly run: RunView;
  readonly deck: RunDeck;
  readonly state: DeckState;
  readonly fighters: readonly FighterView[];
  readonly marks: Marks;
  readonly book: MoveBook;
  readonly factor: number;
}

/** In the rest after a set: what the marks say about the next one's tempo, and the key that takes it. */
export function TempoLadder({ run, deck, state, fighters, marks, book, factor }: TempoLadderProps) {
  const { round } = state;
  const { blocks } = run.rounds[round]!;
  const isRest = useFrame(
    () => deck.position > 0 && blockAt(blocks, deck.position).block?.kind === 'rest',
    state.phase === 'running',
  );
  const worked = blockAt(blocks, deck.position).block !== blocks[0];
  const advice = useMemo(
    () =>
      isRest && worked
        ? ladderAdvice({
            rounds: deck.rounds,
            round,
            book,
            factor,
            qualities: (of) => fighters.map(({ id }) => marks.of(of, id)?.quality ?? null),
          })
        : null,
    [isRest, worked, deck.rounds, round, book, factor, fighters, marks],
  );
  const by = advice?.by ?? null;
  const take = (): void => {
    if (by === null) return;
    void deck.advance(by).then(
      (told) => toast(told ?? `The next round goes at ${advice!.bpm} a minute.`),
      (error: Error) => toast.error(error.message),
    );
  };
  useShortcut('n', take);
  if (!advice) return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-4 px-8 text-xl phone:px-4 phone:text-base">
      {advice.sentence}
      {by !== null && (
        <button
          type="button"
          className="flex min-h-[44px] items-center gap-2 font-bold pointer-coarse:min-h-[64px]"
          onClick={take}
        >
          <Key>N</Key> next round at {advice.bpm}
        </button>
      )}
    </p>
  );
}
