import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ClassRowView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { countedUnit, valueText } from '@eurhythm/core/progress';
import { useDates } from '../../../ui/fields/dates.ts';
import { VerdictMark } from '../progress/VerdictMark.tsx';
import { Questions } from '../../today/Questions.tsx';
import { EVERYBODY, gradeChoices } from './gradeChoices.ts';
import { ClassAttendance } from './ClassAttendance.tsx';
import { ClassGaps } from './ClassGaps.tsx';
import { SmallLine } from './SmallLine.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** How a class comes on: a line for each fighter, with what is worth a look. */
export function ClassRoom() {
  const { data: gym } = useQuery(queries.gym());
  const [gradeId, setGrade] = useState(EVERYBODY);
  const [testId, setTest] = useState<string>();
  const { data } = useQuery(
    queries.classProgress({ ...(gradeId === EVERYBODY ? {} : { gradeId }), ...(testId ? { testId } : {}) }),
  );
  const { data: tests = [] } = useQuery(queries.tests());
  const { kind = 'burst', unit = null, seconds = 10 } = tests.find(({ id }) => id === data?.test?.id) ?? {};
  const counted = countedUnit({ kind, seconds }).trim();
  const { data: checks = [] } = useQuery(queries.checks([]));
  if (!gym || !data) return null;
  const shown = new Set(data.rows.map(({ fighterId }) => fighterId));
  const checksOf = checks.filter(({ fighterId }) => shown.has(fighterId));
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <Heading className="text-3xl">Class progress</Heading>
        <div className="flex flex-wrap items-end gap-3">
          <ChoiceField
            label="Who"
            className="w-40"
            value={gradeId}
            choices={gradeChoices(gym.grades)}
            onChange={setGrade}
          />
          <ChoiceField
            label="Test"
            className="w-56"
            value={data.test?.id ?? ''}
            choices={data.tests.map(({ id, title }) => ({ value: id, label: title }))}
            onChange={setTest}
          />
          <ButtonLink to={`/fighters/class/reports${gradeId === EVERYBODY ? '' : `?grade=${gradeId}`}`}>
            Reports
          </ButtonLink>
          <ButtonLink to="/fighters/register">Register</ButtonLink>
          <ButtonLink to="/fighters/memory">Review combos due</ButtonLink>
          <ButtonLink to="/fighters/tests">Tests</ButtonLink>
          <ButtonLink to="/fighters/test-day">Test day</ButtonLink>
        </div>
      </div>
      {data.rows.length === 0 && <Plain>Nobody of this grade may train now.</Plain>}
      {data.rows.length > 0 && (
        <div className="overflow-x-auto">
          <table className="w-full text-left">
            <thead>
              <tr className="border-b-[1.5px] border-ink text-sm">
                <th scope="col">Who</th>
                <th scope="col">Last twelve weeks, own lead</th>
                <th scope="col">Usual{counted && `, ${counted}`}</th>
                <th scope="col">Last month</th>
                <th scope="col">Other lead</th>
                <th scope="col">Classes in four weeks</th>
                <th scope="col">Combos due</th>
              </tr>
            </thead>
            <tbody>
              {data.rows.map((row) => (
                <Row key={row.fighterId} row={row} textOf={valueText(kind, unit)} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="pt-3 text-sm text-quiet">
        ▲ clearly better · ▼ clearly worse · = no real change · ? too little data. A dot in a line is the
        middle of one day.
      </p>
      <div className="grid gap-x-12 gap-y-8 pt-8 lg:grid-cols-2 *:min-w-0">
        <div className="space-y-8">
          <ClassGaps checks={checksOf} />
        </div>
        <div className="space-y-8">
          <ClassAttendance {...(gradeId === EVERYBODY ? {} : { gradeId })} />
          <Questions of={shown} />
        </div>
      </div>
    </div>
  );
}

function Row({ row, textOf }: { row: ClassRowView; textOf: (value: number) => string }) {
  const dates = useDates();
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="py-1.5 pr-3 text-left whitespace-nowrap">
        <Link
          to={`/fighters/${row.fighterId}`}
          className="font-semibold underline decoration-rule underline-offset-4"
        >
          {row.name}
        </Link>
        <span className="block text-sm font-normal text-quiet">
          {row.grade} · {row.lead} lead
        </span>
      </th>
      <td>
        <SmallLine values={row.line} textOf={textOf} />
      </td>
      <td className="tabular">{row.usual === null ? '' : textOf(row.usual)}</td>
      <td title={row.sentence}>{row.month && <VerdictMark verdict={row.month} />}</td>
      <td className="tabular whitespace-nowrap">
        {row.evenness !== null && `${Math.abs(row.evenness).toFixed(0)} %`}
        {row.behind && <span className="text-sm"> {row.behind} behind</span>}
      </td>
      <td className="tabular">
        {row.classes}
        {row.last === null ? (
          <span className="text-sm text-quiet"> not here in half a year</span>
        ) : (
          row.classes === 0 && (
            <span className="text-sm text-caution"> last on {dates.tell(`${row.last}T12:00`, 'dated')}</span>
          )
        )}
      </td>
      <td className="tabular">{row.due === 0 ? '' : row.due}</td>
    </tr>
  );
}
