import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState, type FormEvent } from 'react';
import { farText, valueText } from '@eurhythm/core/progress';
import { ofSide, shareOfHeight, sideText } from '@eurhythm/core/speed';
import {
  LEADS,
  type AttemptView,
  type FighterView,
  type SaveAttemptDto,
  type TestView,
} from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { MaybeNumberField } from '../../../ui/fields/TypedField.tsx';
import { leadsOf, unitOf, writtenResult } from './testKinds.ts';

interface ResultsTableProps {
  readonly test: TestView;
  readonly fighters: readonly FighterView[];
}

/** The results of today, written down one after the other: a number and Enter, and the next field has the focus. */
export function ResultsTable({ test, fighters }: ResultsTableProps) {
  const isOnce = test.sides === 'none';
  const { data: known } = useQuery(queries.classProgress({ testId: test.id }));
  const usualOf = (id: string, lead: string): number | null =>
    known?.rows.find((row) => row.fighterId === id && (isOnce || row.lead === lead))?.usual ?? null;
  const table = useRef<HTMLTableElement>(null);
  const goOn = (from: HTMLInputElement): void => {
    const fields = [...(table.current?.querySelectorAll('input') ?? [])];
    fields[fields.indexOf(from) + 1]?.focus();
  };
  const here = fighters.filter(({ fit }) => fit).sort((a, b) => a.name.localeCompare(b.name));
  return (
    <Part title="Results of today" aside={`in ${unitOf(test)}; Enter keeps one and goes on`}>
      {here.length === 0 && <Plain>Nobody may train now.</Plain>}
      <div className="overflow-x-auto">
        <table ref={table} className="w-full text-left">
          <thead>
            <tr className="border-b-[1.5px] border-ink text-sm">
              <th scope="col">Who</th>
              {isOnce && <th scope="col">Result</th>}
              {!isOnce &&
                LEADS.map((lead) => (
                  <th key={lead} scope="col" className="first-letter:uppercase">
                    {sideText(lead, test.sides)}
                  </th>
                ))}
            </tr>
          </thead>
          <tbody>
            {here.map((fighter) => (
              <tr key={fighter.id} className="border-b border-rule align-top">
                <th scope="row" className="py-3 pr-4 font-normal">
                  {fighter.name}
                </th>
                {leadsOf(test, fighter).map((lead) => (
                  <td key={lead} className="py-1 pr-4">
                    <ResultCell {...{ test, fighter, lead, goOn }} usual={usualOf(fighter.id, lead)} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Part>
  );
}

interface ResultCellProps {
  readonly test: TestView;
  readonly fighter: FighterView;
  readonly lead: 'left' | 'right';
  /** What this person usually comes to on this side; null where nobody knows. */
  readonly usual: number | null;
  goOn(from: HTMLInputElement): void;
}

/** What one fighter came to, as often as somebody writes it. */
function ResultCell({ test, fighter, lead, usual, goOn }: ResultCellProps) {
  const client = useQueryClient();
  const [value, setValue] = useState<number | null>(null);
  const [kept, setKept] = useState<readonly number[]>([]);
  const [error, setError] = useState<string>();
  const [asked, setAsked] = useState<number | null>(null);
  const textOf = valueText(test.kind, test.unit);
  const save = useWrite<AttemptView, { readonly id: string; readonly attempt: SaveAttemptDto }>(
    ({ id, attempt }) =>
      putRequest(SUBJECTS.trial, `attempts/${id}`, attempt, { page: `/fighters/tests/${test.id}` }),
    {
      onSuccess: () => client.invalidateQueries({ queryKey: ['fighters', fighter.id] }),
      onError: (failure) => setError(failure.message),
    },
  );
  const submit = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const field = event.currentTarget.querySelector('input')!;
    if (value === null) return goOn(field);
    const at = new Date().toISOString();
    const attempt = writtenResult(value, test, { fighterId: fighter.id, lead, at });
    if (typeof attempt === 'string') return setError(attempt);
    const far = farText(value, usual === null ? null : { low: usual, high: usual }, textOf);
    if (far !== '' && asked !== value) {
      setAsked(value);
      return setError(`${far} Enter once more keeps it.`);
    }
    setError(undefined);
    save.mutate({ id: newId(), attempt });
    setKept([...kept, value]);
    setValue(null);
    goOn(field);
  };
  return (
    <form onSubmit={submit} noValidate className="flex flex-col">
      <MaybeNumberField
        label={ofSide(fighter.name, lead, test.sides)}
        isLabelHidden
        className="w-44 [&_input]:w-28"
        inputMode="decimal"
        value={value}
        error={error}
        onChange={(typed) => {
          setError(undefined);
          setValue(typed);
        }}
      />
      <span role="status" className="text-sm">
        {kept.map((each, i) => {
          const share = shareOfHeight(each, test, fighter.height);
          return (
            <span key={i} className="tabular mr-2 inline-block">
              {textOf(each)}
              {share !== null && <span className="text-quiet"> ({share} % of height)</span>}
            </span>
          );
        })}
      </span>
    </form>
  );
}
