import { ArrowDown, ArrowUp, BookMarked, Copy, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import { roundSeconds } from '@eurhythm/core/plan';
import type { ComboView, RoundDto } from '@eurhythm/contract';
import { IconButton } from '../../../ui/Button.tsx';
import { clockText } from '../../../ui/times.ts';
import { SmallStrip } from '../../combos/SmallStrip.tsx';
import { tellBlock } from './blocks/newBlock.ts';

interface RoundRowProps {
  readonly round: RoundDto;
  readonly combos: readonly ComboView[];
  readonly book: MoveBook | undefined;
  readonly isChosen: boolean;
  readonly hasFault: boolean;
  readonly onChoose: () => void;
  readonly onUp: (() => void) | null;
  readonly onDown: (() => void) | null;
  readonly onCopy: () => void;
  readonly onKeep: () => void;
  readonly onRemove: () => void;
  /** What stands below the row while it is chosen. */
  readonly children: ReactNode;
}

export function RoundRow({
  round,
  combos,
  book,
  isChosen,
  hasFault,
  onChoose,
  onUp,
  onDown,
  onCopy,
  onKeep,
  onRemove,
  children,
}: RoundRowProps) {
  const work = round.blocks.find((block) => block.kind !== 'rest');
  const first =
    work?.kind === 'combo' ? combos.find((combo) => combo.id === work.combos[0]?.comboId) : undefined;
  return (
    <div
      className={`border-b border-rule border-l-[6px] ${isChosen ? 'border-l-tape bg-paper' : 'border-l-transparent'}`}
    >
      <button
        type="button"
        onClick={onChoose}
        aria-pressed={isChosen}
        className="grid w-full grid-cols-[1fr_auto_3.5rem] items-center gap-3 py-2.5 pr-2 pl-3 text-left hover:bg-hint"
      >
        <span className="min-w-0">
          <span className="block truncate font-semibold">{round.title || 'No title yet'}</span>
          <span className="block truncate text-sm text-quiet">
            {work ? tellRound(round, (id) => comboName(id, combos)) : 'nothing yet'}
          </span>
          {hasFault && <span className="text-sm font-semibold text-caution">Something is wrong here</span>}
        </span>
        {first && book ? (
          <SmallStrip line={first.line} beatsPerBar={first.beatsPerBar} book={book} room={96} />
        ) : (
          <span />
        )}
        <span className="tabular text-right font-heading text-lg font-bold">
          {clockText(roundSeconds(round))}
        </span>
      </button>
      {isChosen && (
        <span className="flex flex-wrap items-center pb-1 pl-1">
          <IconButton label="Earlier" disabled={!onUp} onClick={onUp ?? undefined}>
            <ArrowUp size={18} />
          </IconButton>
          <IconButton label="Later" disabled={!onDown} onClick={onDown ?? undefined}>
            <ArrowDown size={18} />
          </IconButton>
          <IconButton label="Copy" onClick={onCopy}>
            <Copy size={18} />
          </IconButton>
          <IconButton label="Keep in the library" onClick={onKeep}>
            <BookMarked size={18} />
          </IconButton>
          <IconButton label="Take out" onClick={onRemove}>
            <Trash2 size={18} />
          </IconButton>
          {children}
        </span>
      )}
    </div>
  );
}

export function comboName(id: string | undefined, combos: readonly ComboView[]): string {
  const combo = combos.find((each) => each.id === id);
  return combo ? `${combo.grade} ${combo.number}` : 'a combo that is gone';
}

/** What is done in a round: its blocks of work in a few words. */
function tellRound(round: RoundDto, name: (id: string | undefined) => string): string {
  return round.blocks
    .filter((block) => block.kind !== 'rest')
    .map((block) => tellBlock(block, name))
    .join('; ');
}
