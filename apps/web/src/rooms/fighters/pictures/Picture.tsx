import { Suspense, lazy, useState } from 'react';
import { Button } from '../../../ui/Button.tsx';
import type { ChartFigureProps } from './ChartFigure.tsx';
import { csvOf, type TextTable } from './textTable.ts';

/** Drawing is fetched when there is something to draw. */
const ChartFigure = lazy(() =>
  import('./ChartFigure.tsx').then((module) => ({ default: module.ChartFigure })),
);

interface PictureProps extends Omit<ChartFigureProps, 'csv' | 'children'> {
  /** The same as a table. */
  readonly table: TextTable;
  /** What the table holds, as in “the weeks”. */
  readonly of: string;
  /** Another table to take away than the one that is shown. */
  readonly csv?: string;
}

/** A picture, and the same in words and as a table, to look at and to take away. */
export function Picture({ table, of, csv, ...figure }: PictureProps) {
  const [isTable, setTable] = useState(false);
  return (
    <>
      <Suspense fallback={<div className={figure.className} />}>
        <ChartFigure {...figure} csv={csv ?? csvOf(table)}>
          <Button weight="bare" aria-expanded={isTable} onClick={() => setTable(!isTable)}>
            {isTable ? `Hide ${of}` : `Show ${of} as text`}
          </Button>
        </ChartFigure>
      </Suspense>
      {isTable && <TableOf table={table} />}
    </>
  );
}

function TableOf({ table: { columns, rows } }: { table: TextTable }) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left text-sm">
        <thead>
          <tr className="border-b border-ink">
            {columns.map((column) => (
              <th key={column} scope="col" className="pr-3">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="tabular">
          {rows.map(([head, ...cells]) => (
            <tr key={head} className="border-b border-rule">
              <th scope="row" className="pr-3 font-normal">
                {head}
              </th>
              {cells.map((cell, i) => (
                <td key={columns[i + 1]} className="pr-3">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
