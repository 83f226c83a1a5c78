import { ArrowDown, ArrowUp, BookMarked, Copy, X } from 'lucide-react';
import { fillBlock, isCounted, kindOf, tellBlock } from '@eurhythm/core/rounds';
import { rightBlock, type AnyBlockDto } from '@eurhythm/contract';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { clockText, howMany } from '@eurhythm/core/units';
import { SmallStrip } from '../../../../strip/SmallStrip.tsx';
import { useBook } from '../../../../server/gymData.ts';
import { useComboNames, useCombosById } from '../../useComboNames.ts';
import { pageOf } from '../../kinds/kinds.ts';
import { TimeField } from './TimeField.tsx';

interface BlockRowProps {
  readonly block: AnyBlockDto;
  /** About how often its lines are gone through from each lead; nothing while that is not known. */
  readonly times: Readonly<Record<'left' | 'right', number>> | undefined;
  readonly isOpen: boolean;
  readonly error: string | undefined;
  onOpen(): void;
  onSeconds(seconds: number): void;
  readonly onUp: (() => void) | null;
  readonly onDown: (() => void) | null;
  onCopy(): void;
  onKeep(): void;
  onRemove(): void;
}

/** A block in its round: what it is, how long, and where it stands. */
export function BlockRow(props: BlockRowProps) {
  const { block, times, isOpen, error, onOpen, onSeconds, onUp, onDown, onCopy, onKeep, onRemove } = props;
  const book = useBook();
  const comboName = useComboNames();
  const byId = useCombosById();
  const { name } = kindOf(block);
  const { timeName = 'Work' } = pageOf(block);
  const right = rightBlock(block);
  /** The line that the block begins with. */
  const line = kindOf(right).done(fillBlock(right, byId), book)[0] ?? null;
  return (
    <div
      className={`grid grid-cols-[1fr_6.5rem_auto] items-start gap-2 border-b border-l-[6px] border-b-rule py-1.5 pl-2 ${isOpen ? 'border-l-tape bg-paper' : 'border-l-transparent'}`}
    >
      <button type="button" aria-expanded={isOpen} onClick={onOpen} className="min-h-11 min-w-0 text-left">
        <strong className="block leading-tight">{name}</strong>
        <span className="flex items-center gap-3">
          <span className="min-w-0 truncate text-sm text-quiet">{tellBlock(block, comboName)}</span>
          {line !== null && <SmallStrip line={line} beatsPerBar={4} room={84} />}
        </span>
        {times && (
          <span className="text-sm text-quiet">
            {howMany(times.left, 'time')} through from the left lead, {times.right} from the right
          </span>
        )}
      </button>
      {isCounted(block) ? (
        <span className="tabular pt-2.5 text-right font-heading text-lg font-bold">
          {clockText(block.seconds)}
        </span>
      ) : (
        <TimeField
          label={timeName}
          className="[&>label]:sr-only"
          seconds={block.seconds}
          error={error}
          onChange={onSeconds}
        />
      )}
      <span className="flex">
        <IconButton label={`${name} earlier`} className="w-8!" disabled={!onUp} onClick={() => onUp?.()}>
          <ArrowUp size={16} />
        </IconButton>
        <IconButton label={`${name} later`} className="w-8!" disabled={!onDown} onClick={() => onDown?.()}>
          <ArrowDown size={16} />
        </IconButton>
        <IconButton label={`Copy ${name}`} className="w-8!" onClick={onCopy}>
          <Copy size={16} />
        </IconButton>
        <IconButton label={`Keep ${name} in the library`} className="w-8!" onClick={onKeep}>
          <BookMarked size={16} />
        </IconButton>
        <IconButton label={`Take ${name} out`} className="w-8!" onClick={onRemove}>
          <X size={16} />
        </IconButton>
      </span>
    </div>
  );
}
