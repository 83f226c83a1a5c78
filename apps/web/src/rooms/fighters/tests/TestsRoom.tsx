import { useQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { NavLink, useParams } from 'react-router';
import { queries } from '../../../server/queries.ts';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { ResultsTable } from './ResultsTable.tsx';
import { TestForm } from './TestForm.tsx';
import { testWords } from './testKinds.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Everything that the gym measures: what it is, and the results that somebody writes down. */
export function TestsRoom() {
  const { testId } = useParams();
  const { data: tests } = useQuery(queries.tests());
  const { data: fighters } = useQuery(queries.fighters());
  if (!tests || !fighters) return null;
  const isNew = testId === 'new';
  const chosen = isNew ? undefined : (tests.find(({ id }) => id === testId) ?? tests[0]);
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">Tests</Heading>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to="/fighters/class">Class progress</ButtonLink>
          <ButtonLink to="/fighters/tests/new" weight="main">
            <Plus size={16} aria-hidden /> New test
          </ButtonLink>
        </div>
      </div>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[4fr_7fr] *:min-w-0">
        <nav aria-label="Tests of the gym">
          {tests.length === 0 && <Plain>Nothing is measured yet.</Plain>}
          <ul>
            {tests.map((test) => (
              <li key={test.id} className="border-b border-rule">
                <NavLink
                  to={`/fighters/tests/${test.id}`}
                  aria-current={test.id === chosen?.id ? 'page' : undefined}
                  className={`block px-2 py-2 ${test.id === chosen?.id ? 'bg-tape text-on-tape' : 'hover:bg-hint'}`}
                >
                  <strong className="block">{test.title}</strong>
                  <span className="text-sm">{testWords(test)}</span>
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        <div key={chosen?.id ?? 'new'} className="space-y-8">
          {chosen && <ResultsTable test={chosen} fighters={fighters} />}
          {(isNew || chosen) && <TestForm kept={chosen} />}
        </div>
      </div>
    </div>
  );
}
