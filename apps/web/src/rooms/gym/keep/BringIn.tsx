import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import type { ImportReport } from '@eurhythm/contract';
import { sendFile, type Refused } from '../../../server/api.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';

/** What a file may be, and where it is sent. */
const KINDS = {
  import: 'A gym, or a part of one',
  'import/fighters.csv': 'Fighters, as CSV',
  'import/results.csv': 'Marks, as CSV',
  'import/attempts.csv': 'Trials, as CSV',
} as const;
type Kind = keyof typeof KINDS;

/** A file that was looked into. */
interface Looked {
  readonly file: File;
  readonly kind: Kind;
  readonly report: ImportReport;
}

/** What is wrong with a file, each with its place. */
type Faults = readonly { readonly field: string; readonly message: string }[];

/** Brings a file in: first what it would do is reported, then it is done, all or nothing. */
export function BringIn() {
  const client = useQueryClient();
  const [kind, setKind] = useState<Kind>('import');
  const [looked, setLooked] = useState<Looked | null>(null);
  const [faults, setFaults] = useState<Faults>([]);
  const showFaults = (error: Error): void => {
    const { errors = [] } = error as Partial<Refused>;
    setFaults(errors.length > 0 ? errors : [{ field: '', message: error.message }]);
  };
  const look = useMutation({
    networkMode: 'always',
    mutationFn: ({ file, kind: to }: Omit<Looked, 'report'>) =>
      sendFile<ImportReport>(`${to}?preview=yes`, file),
    onSuccess: (report, asked) => setLooked({ ...asked, report }),
    onError: showFaults,
  });
  const bringIn = useMutation({
    networkMode: 'always',
    mutationFn: ({ file, kind: to }: Looked) => sendFile<ImportReport>(to, file),
    onSuccess: async () => {
      setLooked(null);
      await client.invalidateQueries();
      toast('The file is brought in.');
    },
    onError: showFaults,
  });
  const choose = (file: File): void => {
    // A table is known by its name, whatever was chosen.
    const to = kind === 'import' && /\.csv$/i.test(file.name) ? 'import/fighters.csv' : kind;
    setKind(to);
    setFaults([]);
    setLooked(null);
    look.mutate({ file, kind: to });
  };
  const isBusy = look.isPending || bringIn.isPending;
  return (
    <Part title="Bring in">
      <div className="flex flex-wrap items-end gap-3 pt-3">
        <ChoiceField
          label="What the file is"
          className="w-64"
          value={kind}
          choices={Object.entries(KINDS).map(([value, label]) => ({ value: value as Kind, label }))}
          onChange={(value) => {
            setKind(value);
            setLooked(null);
            setFaults([]);
          }}
        />
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded-md border-2 border-ink bg-paper px-4 font-semibold focus-within:outline-2 hover:bg-hint">
          Choose a file
          <input
            type="file"
            accept={kind === 'import' ? '.json,application/json,.csv' : '.csv,text/csv'}
            className="sr-only"
            disabled={isBusy}
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              if (file) choose(file);
              event.target.value = '';
            }}
          />
        </label>
      </div>
      {kind === 'import' && !looked && faults.length === 0 && (
        <Plain>
          A file that was taken away from this gym or another one. What it would change is shown first; what
          is newer here stays.
        </Plain>
      )}
      {kind !== 'import' && <Columns kind={kind} />}
      {isBusy && <Plain>Looking into the file…</Plain>}
      {faults.length > 0 && (
        <ul role="alert" className="pt-4">
          {faults.map(({ field, message }) => (
            <li key={`${field}${message}`} className="text-caution">
              {field !== '' && field !== 'file' && <strong>{field}: </strong>}
              {message}
            </li>
          ))}
          <li className="pt-1 text-quiet">Nothing was changed.</li>
        </ul>
      )}
      {looked && <Preview looked={looked} isBusy={isBusy} onDo={() => bringIn.mutate(looked)} />}
    </Part>
  );
}

/** What bringing the file in would do. */
function Preview({
  looked: { file, report },
  isBusy,
  onDo,
}: {
  looked: Looked;
  isBusy: boolean;
  onDo: () => void;
}) {
  const parts = report.parts.filter(({ added, changed }) => added + changed > 0);
  const same = report.parts.reduce((sum, part) => sum + part.same, 0);
  return (
    <div className="pt-4">
      <p className="font-semibold">{file.name}</p>
      {parts.length === 0 ? (
        <Plain>Everything in this file is here already, as it is in the file.</Plain>
      ) : (
        <>
          <table className="my-2 w-full text-left">
            <thead>
              <tr className="text-sm text-quiet">
                <th scope="col" className="font-normal">
                  What
                </th>
                <th scope="col" className="font-normal">
                  new
                </th>
                <th scope="col" className="font-normal">
                  changed
                </th>
              </tr>
            </thead>
            <tbody>
              {parts.map(({ name, added, changed }) => (
                <tr key={name} className="border-t border-rule">
                  <th scope="row" className="py-1 font-normal">
                    {name}
                  </th>
                  <td className="tabular">{added || '–'}</td>
                  <td className="tabular">{changed || '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-sm text-quiet">{same} more are here already, unchanged.</p>
        </>
      )}
      {report.notes.map((sentence) => (
        <p key={sentence} className="pt-1">
          {sentence}
        </p>
      ))}
      {parts.length > 0 && (
        <Button weight="main" className="mt-3" disabled={isBusy} onClick={onDo}>
          Bring it in
        </Button>
      )}
    </div>
  );
}

/** What the columns of a table are. */
const COLUMNS: Readonly<Record<Exclude<Kind, 'import'>, readonly (readonly [string, string])[]>> = {
  'import/fighters.csv': [
    ['name, grade, lead', 'as the gym writes them; lead is left or right'],
    ['note, height_cm, keep_apart', 'may be empty; ids with ; between'],
    ['fit', 'yes or no for somebody new; set on the page for others'],
    ['id', 'empty for somebody new'],
  ],
  'import/results.csv': [
    ['run, round, fighter', 'the session held, which round from 1 on, the fighter’s id'],
    ['done, quality', 'finished, part or sat-out; clean, loose, wild or empty'],
    ['at', 'like 2026-03-05T18:30:00Z'],
    ['id', 'empty for a new mark'],
  ],
  'import/attempts.csv': [
    ['fighter, test, lead', 'ids of the fighter and the test; left or right'],
    ['instants', 'seconds of each strike, with ; between'],
    ['run', 'the session held; may be empty'],
    ['at', 'like 2026-03-05T18:30:00Z'],
    ['id', 'empty for a new trial'],
  ],
};

function Columns({ kind }: { kind: Exclude<Kind, 'import'> }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 pt-3 text-sm">
      {COLUMNS[kind].map(([names, about]) => (
        <div key={names} className="contents">
          <dt className="font-line">{names}</dt>
          <dd className="text-quiet">{about}</dd>
        </div>
      ))}
    </dl>
  );
}
