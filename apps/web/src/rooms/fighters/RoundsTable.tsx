import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { FighterLog } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { useDates } from '../../ui/fields/dates.ts';

type Row = FighterLog['rounds'][number];

/** So many rounds stand there at first: about two weeks of classes. */
const SHOWN = 14;

/** The combos with their tempo, and what was done beside them. */
function trainedIn({ combos, bpm, work }: Row): string {
  const named = combos.join(', ');
  const called = [...(named === '' ? [] : [named]), ...work].join('; ');
  return bpm && called !== '' ? `${called} · ${bpm} a minute` : called;
}

interface RoundsTableProps {
  readonly fighterId: string;
  /** The first page of them. */
  readonly newest: readonly Row[];
  /** Behind which one the next page begins; null where there is none. */
  readonly next: string | null;
  /** How many there are in all. */
  readonly all: number;
}

/** The rounds that a fighter was in, newest first. */
export function RoundsTable({ fighterId, newest, next, all }: RoundsTableProps) {
  const dates = useDates();
  const [showsAll, setShowsAll] = useState(false);
  const { data: older = [] } = useQuery({ ...queries.olderRounds(fighterId, next), enabled: showsAll });
  const rounds = showsAll ? [...newest, ...older] : newest.slice(0, SHOWN);
  return (
    <>
      <table className="w-full text-left">
        <thead className="sr-only">
          <tr>
            {['Day', 'Round', 'What was done', 'How'].map((header) => (
              <th key={header}>{header}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rounds.map((row) => (
            <tr key={`${row.runId}/${row.round}`} className="border-b border-rule">
              <td className="py-1.5 pr-3 whitespace-nowrap text-quiet">{dates.tell(row.at, 'short')}</td>
              <td className="pr-3">{row.title}</td>
              <td className="pr-3 text-sm text-quiet">{trainedIn(row)}</td>
              <td className="text-right whitespace-nowrap">
                {row.done === 'sat-out' ? 'sat out' : row.done}
                {row.quality && `, ${row.quality}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {all > SHOWN && (
        <Button weight="bare" onClick={() => setShowsAll(!showsAll)}>
          {showsAll ? 'Show fewer' : `Show all ${all}`}
        </Button>
      )}
    </>
  );
}
