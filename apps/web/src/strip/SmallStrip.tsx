import { useMemo } from 'react';
import { analyseCombo } from '@eurhythm/core/body';
import { planCycle } from '@eurhythm/core/rounds';
import { Strip } from './Strip.tsx';
import { useBook } from '../server/gymData.ts';

/** A combo's strip at the height of a row; nothing when its line cannot be read. */
export function SmallStrip({
  line,
  beatsPerBar,
  room,
  size = 'row',
}: {
  line: string;
  beatsPerBar: number;
  room: number;
  size?: 'row' | 'wall';
}) {
  const book = useBook();
  const drawn = useMemo(() => {
    const analysis = analyseCombo(line, book, 'left');
    const cycle = planCycle({ id: '', grade: '', number: 1, title: '', line, beatsPerBar }, book, 'left', 90);
    return analysis.ok && cycle ? { walk: analysis.walk, beats: cycle.beats } : null;
  }, [line, beatsPerBar, book]);
  if (!drawn) return null;
  return (
    <span className="block overflow-hidden" style={{ maxWidth: room }}>
      <Strip walk={drawn.walk} beats={drawn.beats} lead="left" size={size} room={room} />
    </span>
  );
}
