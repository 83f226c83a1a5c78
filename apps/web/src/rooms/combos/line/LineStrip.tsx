import type { BodyReport } from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';
import { Strip } from '../../../strip/Strip.tsx';
import type { OnStripEdit } from '../../../strip/stripEdits.ts';
import type { Pin } from '../../../strip/stripPicture.ts';
import { useWidth } from '../../../strip/useWidth.ts';
import type { DrawnLine } from './useDrawnLine.ts';

interface LineStripProps {
  readonly drawn: DrawnLine | null;
  /** The text has a fault, so this is the strip of the last good line. */
  readonly isStale: boolean;
  readonly report: BodyReport | null;
  readonly lead: Lead;
  readonly beat: number | null;
  readonly chosen: number | null;
  onChoose(pin: Pin): void;
  readonly onEdit: OnStripEdit;
}

/** The strip under the line; long lines scroll sideways. */
export function LineStrip({ drawn, isStale, report, lead, beat, chosen, onChoose, onEdit }: LineStripProps) {
  const [ref, width] = useWidth<HTMLDivElement>(900);
  return (
    <div ref={ref} className={`mt-2 min-h-[312px] overflow-x-auto pt-1 ${isStale ? 'opacity-40' : ''}`}>
      {drawn && (
        <Strip
          walk={drawn.walk}
          beats={drawn.beats}
          lead={lead}
          size="bench"
          room={width - 4}
          chosen={chosen}
          onChoose={onChoose}
          onEdit={isStale ? undefined : onEdit}
          now={beat}
          limit={isStale ? null : (report?.limit ?? null)}
          findings={isStale ? [] : (report?.findings ?? [])}
        />
      )}
    </div>
  );
}
