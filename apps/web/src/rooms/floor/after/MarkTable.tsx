import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { comboName } from '@eurhythm/core/plan';
import type { FighterView, RunView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';
import { StampRow } from '../marks/StampRow.tsx';
import { combosInRound, markText, type Pressed, type StampId } from '@eurhythm/core/run';
import type { Marks } from '../marks/useMarks.ts';
import { groupIn } from '../groupIn.ts';
import { byGroups, inOrder, letters, sumUp } from './summary.ts';

interface MarkTableProps {
  readonly run: RunView;
  readonly marks: Marks;
  readonly fighters: readonly FighterView[];
  readonly otherLead: Pressed['otherLead'];
}

/** Every round of everybody; what is open stands first. A press gives the chosen stamp. */
export function MarkTable({ run, marks, fighters, otherLead }: MarkTableProps) {
  const [stamp, setStamp] = useState<StampId>('finished');
  // The Floor stands outside of the gym's data: it asks for the names itself.
  const { data: combos = [] } = useQuery(queries.combos());
  const nameOf = (comboId: string): string => comboName(combos.find(({ id }) => id === comboId));
  useShortcut('u', marks.undo);
  // Rows stay where they stood when the table was opened: what is marked must not slip away under the finger.
  const [order] = useState(() => sumUp(run, fighters, marks.of).map(({ fighter }) => fighter.id));
  const sums = inOrder(sumUp(run, fighters, marks.of), order);
  const groups = byGroups(sums, run.groups);
  if (sums.length === 0) return <p className="text-xl text-quiet">Nobody was in this run.</p>;
  return (
    <>
      <StampRow stamp={stamp} onStamp={setStamp}>
        <PlainButton isDisabled={!marks.canUndo} onPress={marks.undo}>
          Undo
        </PlainButton>
      </StampRow>
      <div
        className="max-w-full overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label="Marks of the session"
      >
        <table className="border-collapse text-left">
          <thead>
            <tr>
              <th scope="col" className="pr-4 font-semibold">
                Who
              </th>
              {run.rounds.map((round, i) => (
                <th key={i} scope="col" className="px-1 text-center font-semibold" title={round.title}>
                  {i + 1}
                </th>
              ))}
              <th scope="col" className="pl-4 font-semibold">
                Finished
              </th>
            </tr>
          </thead>
          {groups.map(({ name, sums: own, finished: all, of }) => (
            <tbody key={name}>
              {groups.length > 1 && (
                <tr className="border-t-2 border-ink">
                  <th scope="rowgroup" colSpan={run.rounds.length + 1} className="pt-2 font-heading text-xl">
                    {name || 'No group'}
                  </th>
                  <td className="pt-2 pl-4 font-semibold tabular">
                    {all} of {of}
                  </td>
                </tr>
              )}
              {own.map(({ fighter, marks: row, finished, open }) => (
                <tr key={fighter.id} className="border-t border-rule">
                  <th scope="row" className="pr-4 font-semibold whitespace-nowrap">
                    {fighter.name}
                  </th>
                  {row.map((mark, round) => (
                    <td key={round} className="p-0.5">
                      <button
                        type="button"
                        aria-label={`${fighter.name}, round ${round + 1}: ${mark ? markText(mark, nameOf) : 'open'}`}
                        title={mark ? markText(mark, nameOf) : 'open'}
                        onClick={() =>
                          marks.press(round, fighter.id, stamp, {
                            seconds: null,
                            otherLead,
                            combos: combosInRound(run.rounds[round]!.blocks, groupIn(run, fighter.id)),
                          })
                        }
                        className={`min-h-[44px] w-13 rounded border font-semibold ${mark?.done === 'finished' ? 'border-rule' : mark ? 'border-tape bg-paper' : 'border-dashed border-rule text-quiet'}`}
                      >
                        {letters(mark)}
                      </button>
                    </td>
                  ))}
                  <td className="min-w-36 pl-4 whitespace-nowrap tabular">
                    {finished} of {row.length}
                    {open > 0 && <span className="ml-2 text-caution">{open} open</span>}
                  </td>
                </tr>
              ))}
            </tbody>
          ))}
        </table>
      </div>
      <p className="text-quiet">
        F finished · P part · S sat out · l loose · w wild · – nothing known. Of a round with several combos,
        the same press again says which one it was.
      </p>
    </>
  );
}
