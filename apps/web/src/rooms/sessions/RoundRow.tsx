import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';
import type { MoveBook } from '@eurhythm/core/moves';
import type { ComboView, RoundDto } from '@eurhythm/contract';
import { IconButton } from '../../ui/Button.tsx';
import { clockText } from '../../ui/times.ts';
import { SmallStrip } from '../combos/SmallStrip.tsx';
import { tellBlock } from './blocks/newBlock.ts';
import { roundSeconds } from './newRound.ts';

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
  readonly onRemove: () => void;
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
  onRemove,
}: RoundRowProps) {
  const work = round.blocks.find((block) => block.kind !== 'rest');
  const first =
    work?.kind === 'combo' ? combos.find((combo) => combo.id === work.combos[0]?.comboId) : undefined;
  return (
    <li
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
        <span className="flex pb-1 pl-1">
          <IconButton label="Earlier" disabled={!onUp} onClick={onUp ?? undefined}>
            <ArrowUp size={18} />
          </IconButton>
          <IconButton label="Later" disabled={!onDown} onClick={onDown ?? undefined}>
            <ArrowDown size={18} />
          </IconButton>
          <IconButton label="Copy" onClick={onCopy}>
            <Copy size={18} />
          </IconButton>
          <IconButton label="Take out" onClick={onRemove}>
            <Trash2 size={18} />
          </IconButton>
        </span>
      )}
    </li>
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
