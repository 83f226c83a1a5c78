import { heardLine } from '@eurhythm/core/rounds';
import { BPM_LIMITS } from '@eurhythm/core/units';
import { useMemo } from 'react';
import { useBook } from '../../../server/gymData.ts';
import { Plain } from '../../../ui/panels/Panel.tsx';

interface ListenerProps {
  readonly line: string;
  readonly lead: 'left' | 'right';
  readonly bpm: number;
  readonly words: 'numbers' | 'names';
}

/** What a fighter who hears nothing but the voice makes of each call, and what of the line he would not do. */
export function Listener({ line, lead, bpm, words }: ListenerProps) {
  const book = useBook();
  const isTempo = bpm >= BPM_LIMITS.min && bpm <= BPM_LIMITS.max;
  const instants = useMemo(
    () => (isTempo ? heardLine(line, book, { lead, bpm, words }) : []),
    [line, book, lead, bpm, words, isTempo],
  );
  if (instants.length === 0) return <Plain>Once the line can be read, its calls stand here.</Plain>;
  return (
    <ol aria-label="Calls and what is understood" className="max-h-80 overflow-y-auto">
      {instants.map(({ stroke, said, understood, missed, wrong }) => (
        <li key={stroke} className="grid grid-cols-[2fr_3fr] gap-x-4 border-b border-rule py-1">
          <span className={said === null ? 'text-quiet' : 'font-semibold'}>{said ?? 'nothing is said'}</span>
          <span>
            {understood.filter((each) => !wrong.includes(each)).join(' · ')}
            {wrong.map((each) => (
              <span key={each} className="block font-semibold text-caution">
                does instead: {each}
              </span>
            ))}
            {missed.map((each) => (
              <span key={each} className="block font-semibold text-caution">
                not understood: {each}
              </span>
            ))}
          </span>
        </li>
      ))}
    </ol>
  );
}
