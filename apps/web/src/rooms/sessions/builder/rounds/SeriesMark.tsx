import { Button } from '../../../../ui/buttons/Button.tsx';
import { TextField } from '../../../../ui/fields/Field.tsx';

interface SeriesMarkProps {
  readonly times: number;
  readonly isFirst: boolean;
  /** Whether it is held in turn with the round before it. */
  readonly isJoined: boolean;
  onTimes(times: number): void;
  onJoin(): void;
  onPart(): void;
}

/** How often the round is held, and whether in turn with the one before it. */
export function SeriesMark({ times, isFirst, isJoined, onTimes, onJoin, onPart }: SeriesMarkProps) {
  return (
    <span className="flex flex-wrap items-center pl-2">
      <TextField
        label="Number of rounds"
        className="flex w-32 items-center gap-2 [&_label]:mb-0 [&_label]:whitespace-nowrap"
        type="number"
        min={1}
        max={20}
        value={times}
        onChange={(e) => onTimes(Math.min(20, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
      />
      {!isFirst && (
        <Button weight="bare" className="px-2!" onClick={isJoined ? onPart : onJoin}>
          {isJoined ? 'Apart from the one above' : 'In turn with the one above'}
        </Button>
      )}
    </span>
  );
}
