import { createElement, useEffect, useState } from 'react';
import { Button } from '../../../ui/buttons/Button.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import type { ChartFigure, ChartFigureProps } from './ChartFigure.tsx';
import { csvOf, type TextTable } from './textTable.ts';

type Drawing = typeof ChartFigure;
let fetched: Drawing | null = null;

/** Drawing is a part of its own, which pages fetch. */
async function fetchDrawing(): Promise<Drawing> {
  const module = await import('./ChartFigure.tsx');
  return (fetched = module.ChartFigure);
}

/** Fetches drawing for a page that will need it before there is something to draw. */
export function useFetchedDrawing(): void {
  useEffect(() => void fetchDrawing(), []);
}

/** Drawing, or null until it is there. */
function useDrawing(): Drawing | null {
  const [drawing, setDrawing] = useState(() => fetched);
  useEffect(() => {
    let isGone = false;
    if (!drawing) void fetchDrawing().then((found) => !isGone && setDrawing(() => found));
    return () => {
      isGone = true;
    };
  }, [drawing]);
  return drawing;
}

interface PictureProps extends Omit<ChartFigureProps, 'csv' | 'children'> {
  /** The same as a table. */
  table(): TextTable;
  /** What the table holds, as in “the weeks”. */
  readonly of: string;
  /** Another table to take away than the one that is shown. */
  csv?(): string;
}

/** A picture, and the same in words and as a table, to look at and to take away. */
export function Picture({ table, of, csv, ...figure }: PictureProps) {
  const [isTable, setTable] = useState(false);
  const drawing = useDrawing();
  return (
    <>
      {drawing ? (
        createElement(
          drawing,
          { ...figure, csv: csv ?? (() => csvOf(table())) },
          <Button weight="bare" aria-expanded={isTable} onClick={() => setTable(!isTable)}>
            {isTable ? `Hide ${of}` : `Show ${of} as text`}
          </Button>,
        )
      ) : (
        <div className={figure.className} />
      )}
      {isTable && <TableOf table={table()} />}
    </>
  );
}

function TableOf({ table: { columns, rows } }: { table: TextTable }) {
  const { inSentence } = useDates();
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
                {inSentence(String(head))}
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
