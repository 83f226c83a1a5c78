import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { toast } from 'sonner';
import type { MoveBook } from '@eurhythm/core/moves';
import { ownPace } from '@eurhythm/core/progress';
import { ladderAdvice, type LadderAdvice } from '@eurhythm/core/speed';
import type { FighterPaceView, FighterView, RunView } from '@eurhythm/contract';
import type { ControllerState, RunController } from '../../../floor/run/RunController.ts';
import { queries } from '../../../server/queries.ts';
import { useFrame } from '../../../floor/useFrame.ts';
import { Key } from '../../../ui/buttons/Button.tsx';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import { blockAt, isResting } from '../board/whatComes.ts';
import { groupIn } from '../groupIn.ts';
import type { Marks } from '../marks/useMarks.ts';

interface TempoLadderProps {
  readonly run: RunView;
  readonly controller: RunController;
  readonly state: ControllerState;
  readonly fighters: readonly FighterView[];
  readonly marks: Marks;
  readonly book: MoveBook;
  /** Pace of the gym, and of those whose own was measured. */
  readonly factor: number;
  readonly paces: readonly FighterPaceView[];
}

/** So many are named, so that the line stays one. */
const NAMED = 4;

/** In the rest after a set: what the marks say about the next one's tempo, and the key that takes it. */
export function TempoLadder({
  run,
  controller,
  state,
  fighters,
  marks,
  book,
  factor,
  paces,
}: TempoLadderProps) {
  const { round } = state;
  const { data: tempos } = useQuery(queries.tempos(run.fighterIds));
  const { blocks } = run.rounds[round]!;
  const isRest = useFrame(
    () => controller.position > 0 && isResting(blocks, controller.position),
    state.phase === 'running',
  );
  const worked = blockAt(blocks, controller.position).block !== blocks[0];
  const advice = useMemo(
    () =>
      isRest && worked
        ? ladderAdvice({
            rounds: controller.rounds,
            round,
            book,
            people: fighters.map(({ id, name }) => {
              const own = paces.find(({ fighterId }) => fighterId === id);
              return {
                id,
                name,
                pace: own ? ownPace(own) : factor,
                group: groupIn(run, id),
              };
            }),
            before: (id, comboId) =>
              tempos
                ?.find((each) => each.fighterId === id && each.comboId === comboId)
                ?.sets.filter(({ runId }) => runId !== run.id) ?? [],
            quality: (of, id) => marks.of(of, id)?.quality ?? null,
          })
        : null,
    [isRest, worked, controller.rounds, round, book, factor, paces, fighters, marks, run, tempos],
  );
  const by = advice?.by ?? null;
  const take = (): void => {
    if (by === null) return;
    void controller.advance(by).then(
      (message) => toast(message ?? `The next round goes at ${advice!.bpm} a minute.`),
      (error: Error) => toast.error(error.message),
    );
  };
  useShortcut('n', take);
  if (!advice) return null;
  return (
    <p role="status" className="flex flex-wrap items-center gap-x-4 px-8 text-xl phone:px-4 phone:text-base">
      {advice.sentence}
      {advice.others.length > 0 && <span className="text-quiet">By themselves: {othersText(advice)}.</span>}
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

function othersText({ others }: LadderAdvice): string {
  const named = others.slice(0, NAMED).map(({ name, bpm }) => `${name} ${bpm}`);
  return [...named, ...(others.length > NAMED ? [`${others.length - NAMED} more`] : [])].join(', ');
}
