import { useEffect, useMemo } from 'react';
import { analyseCombo, type Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import type { BlockCombo, Cycle } from '@eurhythm/core/rounds';
import { Strip } from '../../../strip/Strip.tsx';
import { useWidth } from '../../../strip/useWidth.ts';
import { FloorPath } from './FloorPath.tsx';
import { useHallScale } from './useHallScale.ts';

export interface ShownLine {
  readonly cycle: Cycle | undefined;
  readonly combo: BlockCombo | undefined;
  readonly book: MoveBook;
  /** Whether its strokes are called by numbers. */
  readonly isNumbered: boolean;
  /** Beat in the time through; null before it begins. */
  readonly now: number | null;
  /** The last stroke that is over. */
  readonly done: number | null;
}

/** Below this the strip is drawn as on the wall, where less room is enough. */
const NARROW = 640;

/** The line that is really done, with its moving notch; and for footwork the floor with the way of the feet. */
export function StripArea({
  cycle,
  combo,
  book,
  isNumbered,
  now,
  done,
  isFootwork,
}: ShownLine & { isFootwork: boolean }) {
  const [ref, width] = useWidth<HTMLDivElement>(1200);
  const scale = useHallScale();
  // A line that is wider than the screen goes along with its notch.
  useEffect(() => {
    const drawn = ref.current?.querySelector('svg');
    if (!ref.current || !drawn || !cycle) return;
    const { clientWidth } = ref.current;
    const { width: wide } = drawn.getBoundingClientRect();
    ref.current.scrollLeft = ((now ?? 0) / cycle.beats) * wide - clientWidth / 2;
  }, [ref, now, cycle]);
  const walk = useWalk(cycle?.line ?? combo?.line, cycle?.lead ?? 'left', book);
  const room = width / scale - 50;
  return (
    <div className="flex min-h-[15.9rem] shrink-0 items-start gap-4 px-6 max-[500px]:px-0 flat:hidden">
      <div ref={ref} className="min-w-0 flex-1 overflow-hidden">
        {walk && cycle && (
          <div style={{ opacity: now === null ? 0.55 : 1, zoom: scale }}>
            <Strip
              walk={walk}
              beats={cycle.beats}
              lead={cycle.lead}
              numbered={isNumbered ? book : null}
              countsBeats={false}
              size={room < NARROW ? 'wall' : 'mat'}
              room={room}
              now={now}
              done={done}
            />
          </div>
        )}
      </div>
      {isFootwork && walk && <FloorPath walk={walk} done={done} />}
    </div>
  );
}

export function useWalk(line: string | undefined, lead: Lead, book: MoveBook): Walk | null {
  return useMemo(() => {
    const analysis = line === undefined ? null : analyseCombo(line, book, lead);
    return analysis?.ok ? analysis.walk : null;
  }, [line, lead, book]);
}
