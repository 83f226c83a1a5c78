import { toast } from 'sonner';
import type { MoveBook } from '@eurhythm/core/moves';
import { seriesOf } from '@eurhythm/core/plan';
import type { ComboView, RoundDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../../app/useFieldErrors.ts';
import { joinedWithBefore, partedFromBefore, roundPlace, withTimes } from './arrange.ts';
import { copyRound, freeRoundId } from './newRound.ts';
import { RoundRow } from './RoundRow.tsx';
import { SeriesMark } from './SeriesMark.tsx';
import { SortableList, SortableRow } from './Sortable.tsx';

interface RoundListProps {
  readonly rounds: readonly RoundDto[];
  readonly combos: readonly ComboView[];
  readonly book: MoveBook;
  readonly chosen: number;
  readonly errors: FieldErrors;
  onChoose(index: number): void;
  onChange(rounds: RoundDto[]): void;
  onKeep(round: RoundDto): void;
}

/** The rounds in order; those of a series stand under one mark that says how often they are held. */
export function RoundList({
  rounds,
  combos,
  book,
  chosen,
  errors,
  onChoose,
  onChange,
  onKeep,
}: RoundListProps) {
  const move = (from: number, by: -1 | 1): void => {
    onChange(rounds.toSpliced(from, 1).toSpliced(from + by, 0, rounds[from]!));
    onChoose(from + by);
  };
  const row = (round: RoundDto, i: number) => (
    <SortableRow key={round.id} id={roundPlace(round.id)} label={`round ${round.title}`}>
      <RoundRow
        round={round}
        combos={combos}
        book={book}
        isChosen={i === chosen}
        hasFault={errors.under(`rounds.${i}`).length > 0}
        onChoose={() => onChoose(i)}
        onUp={i > 0 ? () => move(i, -1) : null}
        onDown={i < rounds.length - 1 ? () => move(i, 1) : null}
        onCopy={() => {
          onChange(rounds.toSpliced(i + 1, 0, copyRound(round, freeRoundId(rounds))));
          onChoose(i + 1);
        }}
        onKeep={() => onKeep(round)}
        onRemove={() => {
          onChange(rounds.toSpliced(i, 1));
          toast(`“${round.title}” is taken out.`, {
            duration: 10_000,
            action: { label: 'Undo', onClick: () => onChange([...rounds]) },
          });
        }}
      >
        <SeriesMark
          round={round}
          isFirst={i === 0}
          isJoined={i > 0 && Boolean(round.series) && rounds[i - 1]?.series?.id === round.series?.id}
          error={errors.of(`rounds.${i}.series.times`)}
          onTimes={(times) => onChange(withTimes(rounds, i, times))}
          onJoin={() => onChange(joinedWithBefore(rounds, i))}
          onPart={() => onChange(partedFromBefore(rounds, i))}
        />
      </RoundRow>
    </SortableRow>
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
              <ol aria-label={`Held ${times} times`} className="min-w-0 flex-1">
                {own.map((round, i) => row(round, from + i))}
              </ol>
            </li>
          ),
        )}
      </ol>
    </SortableList>
  );
}
