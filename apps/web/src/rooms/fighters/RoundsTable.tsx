import {
  createColumnHelper,
  createPaginatedRowModel,
  rowPaginationFeature,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useMemo } from 'react';
import type { FighterLog } from '@eurhythm/contract';
import { Button } from '../../ui/Button.tsx';
import { useDates, type Dates } from '../../ui/dates.ts';

type Row = FighterLog['rounds'][number];

/** So many rounds stand there at first: about two weeks of classes. */
const SHOWN = 14;

const features = tableFeatures({
  rowPaginationFeature,
  paginatedRowModel: createPaginatedRowModel(),
});
const column = createColumnHelper<typeof features, Row>();
const columnsBy = (dates: Dates) =>
  column.columns([
    column.accessor((round) => dates.tell(round.at, 'short'), { id: 'day', header: 'Day' }),
    column.accessor('title', { header: 'Round' }),
    column.accessor(({ combos, bpm }) => `${combos.join(', ')}${bpm ? ` · ${bpm} a minute` : ''}`, {
      id: 'combos',
      header: 'Combos',
    }),
    column.accessor(
      ({ done, quality }) => `${done === 'sat-out' ? 'sat out' : done}${quality ? `, ${quality}` : ''}`,
      { id: 'how', header: 'How' },
    ),
  ]);

const LOOK: Readonly<Record<string, string>> = {
  day: 'py-1.5 pr-3 whitespace-nowrap text-quiet',
  title: 'pr-3',
  combos: 'pr-3 text-sm text-quiet',
  how: 'text-right whitespace-nowrap',
};

/** The rounds that a fighter was in, newest first. */
export function RoundsTable({ rounds }: { rounds: readonly Row[] }) {
  const dates = useDates();
  const columns = useMemo(() => columnsBy(dates), [dates]);
  const data = useMemo(() => [...rounds], [rounds]);
  const table = useTable({
    features,
    columns,
    data,
    getRowId: ({ runId, round }) => `${runId}/${round}`,
    initialState: { pagination: { pageIndex: 0, pageSize: SHOWN } },
  });
  const isAll = table.state.pagination.pageSize > SHOWN;
  return (
    <>
      <table className="w-full text-left">
        <thead className="sr-only">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => (
                <th key={header.id}>
                  <table.FlexRender header={header} />
                </th>
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-b border-rule">
              {row.getAllCells().map((cell) => (
                <td key={cell.id} className={LOOK[cell.column.id]}>
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {rounds.length > SHOWN && (
        <Button weight="bare" onClick={() => table.setPageSize(isAll ? SHOWN : rounds.length)}>
          {isAll ? 'Show fewer' : `Show all ${rounds.length}`}
        </Button>
      )}
    </>
  );
}
