import { useQuery } from '@tanstack/react-query';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { useGym } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';

/** A file that the browser fetches and keeps. */
export function FileLink({ to, children }: { to: string; children: string }) {
  return (
    <a
      href={`/api/${to}`}
      download
      className="inline-flex min-h-11 items-center gap-2 rounded-md border-2 border-ink bg-paper px-4 font-semibold hover:bg-hint"
    >
      <Download size={16} aria-hidden /> {children}
    </a>
  );
}

const TABLES = [
  ['fighters', 'Fighters'],
  ['results', 'Marks'],
  ['attempts', 'Trials'],
] as const;

/** The whole gym as one file, parts of it, and tables for any table program. */
export function TakeAway() {
  return (
    <Part title="Take away">
      <div className="space-y-5 pt-3">
        <div>
          <FileLink to="export.json">The whole gym, in one file</FileLink>
          <p className="pt-1.5 text-sm text-quiet">
            Everything: moves, combos with their history, sessions, people and their log, own calls. Keep it
            as safe as a register.{' '}
            <a href="/api/export.schema.json" className="finger underline underline-offset-4">
              How it is written
            </a>
          </p>
        </div>
        <OnlyAPart />
        <div>
          <p className="pb-1.5">Tables, as CSV</p>
          <div className="flex flex-wrap gap-3">
            {TABLES.map(([name, label]) => (
              <FileLink key={name} to={`export/${name}.csv`}>
                {label}
              </FileLink>
            ))}
          </div>
        </div>
      </div>
    </Part>
  );
}

/** A grade's combos, a piece of the library, or everything about one fighter. */
function OnlyAPart() {
  const { grades } = useGym();
  const { data: library = [] } = useQuery(queries.library());
  const { data: fighters = [] } = useQuery(queries.fighters());
  const choices = [
    ...grades.map(({ id, name }) => ({ value: `grade=${id}`, label: `Combos of ${name}` })),
    ...library
      .filter(({ own }) => own)
      .map(({ id, title }) => ({ value: `library=${id}`, label: `Library: ${title}` })),
    ...fighters.map(({ id, name }) => ({ value: `fighter=${id}`, label: `Everything about ${name}` })),
  ];
  const [part, setPart] = useState('');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <ChoiceField
        label="Only a part"
        className="w-72"
        value={part}
        choices={[{ value: '', label: 'choose' }, ...choices]}
        onChange={setPart}
      />
      {part !== '' && <FileLink to={`export.json?${part}`}>Take it away</FileLink>}
    </div>
  );
}
