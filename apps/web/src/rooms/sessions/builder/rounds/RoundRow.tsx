import { tellBlock, type NameOf, isRest, kindOf } from '@eurhythm/core/rounds';
import { ArrowDown, ArrowUp, BookMarked, Copy, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { roundSeconds } from '@eurhythm/core/plan';
import type { RoundDto } from '@eurhythm/contract';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { clockText } from '@eurhythm/core/units';
import { SmallStrip } from '../../../../strip/SmallStrip.tsx';
import { roundPlace } from '../arrange.ts';
import { useComboNames, useCombosById } from '../../useComboNames.ts';
import { SeriesMark } from './SeriesMark.tsx';
import { SortableRow } from '../Sortable.tsx';

/** What can be done with a round, named by its place. */
// A type and not an interface, so that it counts as a list of functions.
export type RoundActions = {
  readonly choose: (index: number) => void;
  readonly move: (index: number, by: -1 | 1) => void;
  readonly copy: (index: number) => void;
  readonly keep: (index: number) => void;
  readonly remove: (index: number) => void;
  readonly hold: (index: number, times: number) => void;
  readonly join: (index: number) => void;
  readonly part: (index: number) => void;
};

interface RoundRowProps {
  readonly round: RoundDto;
  readonly index: number;
  readonly isLast: boolean;
  /** Whether it is held in turn with the round before it. */
  readonly isJoined: boolean;
  readonly isChosen: boolean;
  readonly hasFault: boolean;
  readonly actions: RoundActions;
}

/** A round in the list of a session: what is done, how long, and what can be done with it. */
export const RoundRow = memo(function RoundRow(props: RoundRowProps) {
  const { round, index, isLast, isJoined, isChosen, hasFault, actions } = props;
  const work = round.blocks.find((block) => !isRest(block));
  const nameOf = useComboNames();
  const byId = useCombosById();
  const first = work && byId.get(kindOf(work).named(work)[0]?.comboId ?? '');
  return (
    <SortableRow id={roundPlace(round.id)} label={`round ${round.title}`}>
      <div
        className={`border-b border-rule border-l-[6px] ${isChosen ? 'border-l-tape bg-paper' : 'border-l-transparent'}`}
      >
        <button
          type="button"
          onClick={() => actions.choose(index)}
          aria-pressed={isChosen}
          className="grid w-full grid-cols-[1fr_auto_3.5rem] items-center gap-3 py-2.5 pr-2 pl-3 text-left hover:bg-hint"
        >
          <span className="min-w-0">
            <span className="block truncate font-semibold">
              <span
                aria-hidden="true"
                data-number={index + 1}
                className="tabular mr-1.5 text-quiet before:content-[attr(data-number)]"
              />
              {round.title || 'No title yet'}
            </span>{' '}
            <span className="block truncate text-sm text-quiet">
              {work ? tellRound(round, nameOf) : 'nothing yet'}
            </span>
            {hasFault && <span className="text-sm font-semibold text-caution">Something is wrong here</span>}
          </span>
          {first ? <SmallStrip line={first.line} beatsPerBar={first.beatsPerBar} room={96} /> : <span />}
          <span className="tabular text-right font-heading text-lg font-bold">
            {clockText(roundSeconds(round))}
          </span>
        </button>
        {isChosen && (
          <span className="flex flex-wrap items-center pb-1 pl-1">
            <IconButton label="Earlier" disabled={index === 0} onClick={() => actions.move(index, -1)}>
              <ArrowUp size={18} />
            </IconButton>
            <IconButton label="Later" disabled={isLast} onClick={() => actions.move(index, 1)}>
              <ArrowDown size={18} />
            </IconButton>
            <IconButton label="Copy" onClick={() => actions.copy(index)}>
              <Copy size={18} />
            </IconButton>
            <IconButton label="Keep in the library" onClick={() => actions.keep(index)}>
              <BookMarked size={18} />
            </IconButton>
            <IconButton label="Take out" onClick={() => actions.remove(index)}>
              <Trash2 size={18} />
            </IconButton>
            <SeriesMark
              times={round.series?.times ?? 1}
              isFirst={index === 0}
              isJoined={isJoined}
              onTimes={(times) => actions.hold(index, times)}
              onJoin={() => actions.join(index)}
              onPart={() => actions.part(index)}
            />
          </span>
        )}
      </div>
    </SortableRow>
  );
});

/** What is done in a round: its blocks of work in a few words. */
function tellRound(round: RoundDto, name: NameOf): string {
  return round.blocks
    .filter((block) => !isRest(block))
    .map((block) => tellBlock(block, name))
    .join('; ');
}
