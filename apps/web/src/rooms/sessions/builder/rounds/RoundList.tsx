import { howMany } from '@eurhythm/core/units';
import { memo } from 'react';
import { seriesOf } from '@eurhythm/core/plan';
import type { RoundDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { toastWithUndo } from '../../../../ui/toastWithUndo.ts';
import { useStable, useStableActions } from '../../../../ui/useStable.ts';
import { joinedWithBefore, partedFromBefore, roundPlace, withTimes } from '../arrange.ts';
import { copyRound, freeRoundId } from '../newRound.ts';
import { RoundRow, type RoundActions } from './RoundRow.tsx';
import { SortableList } from '../Sortable.tsx';

interface RoundListProps {
  readonly rounds: readonly RoundDto[];
  readonly chosen: number;
  readonly errors: FieldErrors;
  onChoose(index: number): void;
  onChange(rounds: RoundDto[]): void;
  onKeep(round: RoundDto): void;
}

/** The rounds in order; those of a series stand under one mark that says how often they are held. */
export const RoundList = memo(function RoundList(props: RoundListProps) {
  const { rounds, chosen, errors, onChoose, onChange, onKeep } = props;
  const putBack = useStable((gone: RoundDto, at: number): void => {
    if (!rounds.some((round) => round.id === gone.id)) onChange(rounds.toSpliced(at, 0, gone));
  });
  const actions = useStableActions<RoundActions>({
    choose: onChoose,
    move: (i, by) => {
      onChange(rounds.toSpliced(i, 1).toSpliced(i + by, 0, rounds[i]!));
      onChoose(i + by);
    },
    copy: (i) => {
      onChange(rounds.toSpliced(i + 1, 0, copyRound(rounds[i]!, freeRoundId(rounds))));
      onChoose(i + 1);
    },
    keep: (i) => onKeep(rounds[i]!),
    remove: (i) => {
      const gone = rounds[i]!;
      onChange(rounds.toSpliced(i, 1));
      toastWithUndo(`“${gone.title}” is taken out.`, () => putBack(gone, i));
    },
    hold: (i, times) => onChange(withTimes(rounds, i, times)),
    join: (i) => onChange(joinedWithBefore(rounds, i)),
    part: (i) => onChange(partedFromBefore(rounds, i)),
  });
  const row = (round: RoundDto, i: number) => (
    <RoundRow
      key={round.id}
      round={round}
      index={i}
      isLast={i === rounds.length - 1}
      isJoined={i > 0 && Boolean(round.series) && rounds[i - 1]?.series?.id === round.series?.id}
      isChosen={i === chosen}
      hasFault={errors.under(`rounds.${i}`).length > 0}
      actions={actions}
    />
  );
  return (
    <SortableList ids={rounds.map((round) => roundPlace(round.id))}>
      <ol aria-label="Rounds of the session" className="border-t-[1.5px] border-ink">
        {seriesOf(rounds).map(({ rounds: own, from, times }) =>
          times === 1 ? (
            own.map((round, i) => row(round, from + i))
          ) : (
            <li key={`series ${own[0]!.id}`} className="flex border-b border-rule">
              <span className="flex w-9 shrink-0 items-center justify-center border-y-2 border-l-2 border-ink font-heading text-lg font-bold">
                {times}×
              </span>
              <ol aria-label={`Held ${howMany(times, 'time')}`} className="min-w-0 flex-1">
                {own.map((round, i) => row(round, from + i))}
              </ol>
            </li>
          ),
        )}
      </ol>
    </SortableList>
  );
});
