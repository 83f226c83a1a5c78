import { useQuery } from '@tanstack/react-query';
import { addMonths, format } from 'date-fns';
import { ChevronLeft, ChevronRight, Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { RegisterView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { saveFile } from '../../../ui/saveAs.ts';
import { EVERYBODY, gradeChoices } from './gradeChoices.ts';
import { csvOf } from '../pictures/textTable.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** What stands in the register, and how it is read out. */
const SIGNS = { trained: '●', 'was there': '○', '': '' } as const;

/** The register of a month: who was in which class, on the page, on paper, and as a table. */
export function RegisterRoom() {
  const [now] = useState(() => new Date());
  const [chosen, setMonth] = useState<Date | null>(null);
  const [gradeId, setGrade] = useState(EVERYBODY);
  const { data: gym } = useQuery(queries.gym());
  const { data: current } = useQuery(queries.register({ month: format(now, 'yyyy-MM') }));
  // On the first of a month there is nothing to see yet: it opens at the month before.
  const month = chosen ?? (current?.classes.length === 0 ? addMonths(now, -1) : now);
  const written = format(month, 'yyyy-MM');
  const { data } = useQuery(
    queries.register({ month: written, ...(gradeId === EVERYBODY ? {} : { gradeId }) }),
  );
  if (!gym) return null;
  return (
    <div className="print-card mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-quiet">{gym.name}</p>
          <Heading className="text-3xl">Register, {format(month, 'MMMM yyyy')}</Heading>
        </div>
        <div className="no-print flex flex-wrap items-end gap-3">
          <ChoiceField
            label="Who"
            className="w-40"
            value={gradeId}
            choices={gradeChoices(gym.grades)}
            onChange={setGrade}
          />
          <IconButton label="The month before" onClick={() => setMonth(addMonths(month, -1))}>
            <ChevronLeft size={20} />
          </IconButton>
          <IconButton label="The month after" onClick={() => setMonth(addMonths(month, 1))}>
            <ChevronRight size={20} />
          </IconButton>
          <Button onClick={() => data && save(data)} disabled={!data}>
            <Download size={16} aria-hidden /> Table
          </Button>
          <Button onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print
          </Button>
          <ButtonLink to="/fighters/class">Class progress</ButtonLink>
        </div>
      </div>
      {data?.classes.length === 0 && <Plain>No class was held in this month.</Plain>}
      {data && data.classes.length > 0 && <Register register={data} />}
      <p className="pt-3 text-sm text-quiet">
        ● trained: did at least a part of one round · ○ was there and did not train. From the marks of each
        class.
      </p>
    </div>
  );
}

function Register({ register: { classes, rows } }: { register: RegisterView }) {
  const dates = useDates();
  return (
    <div className="relative overflow-x-auto">
      <table aria-label="Register" className="w-full text-left">
        <thead>
          <tr className="border-b-[1.5px] border-ink align-bottom text-sm">
            <th scope="col">Who</th>
            {classes.map(({ runId, title, day }) => (
              <th
                key={runId}
                scope="col"
                title={title}
                className="px-1 text-center font-normal whitespace-nowrap"
              >
                {dates.tell(`${day}T12:00:00`, 'short')}
              </th>
            ))}
            <th scope="col" className="text-right">
              Classes
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ fighterId, name, came, trained }) => (
            <tr key={fighterId} className="border-b border-rule">
              <th scope="row" className="py-1 pr-3 font-normal whitespace-nowrap">
                <Link to={`/fighters/${fighterId}`} className="inline-flex min-h-8 items-center">
                  {name}
                </Link>
              </th>
              {came.map((how, i) => (
                <td key={classes[i]!.runId} className="text-center">
                  <span aria-hidden>{SIGNS[how]}</span>
                  <span className="sr-only">{how}</span>
                </td>
              ))}
              <td className="tabular text-right font-semibold">{trained}</td>
            </tr>
          ))}
          <tr className="text-sm text-quiet">
            <th scope="row" className="py-1 font-normal">
              Trained
            </th>
            {classes.map(({ runId, trained }) => (
              <td key={runId} className="tabular text-center">
                {trained}
              </td>
            ))}
            <td />
          </tr>
        </tbody>
      </table>
    </div>
  );
}

/** The register as a table that any program reads. */
function save({ month, classes, rows }: RegisterView): void {
  const columns = ['name', 'grade', ...classes.map(({ day, title }) => `${day} ${title}`), 'classes'];
  const text = csvOf({
    columns,
    rows: rows.map(({ name, grade, came, trained }) => [name, grade, ...came, trained]),
  });
  saveFile(`register-${month}.csv`, `\uFEFF${text}`, 'text/csv');
}
