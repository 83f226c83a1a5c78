import { Suspense, lazy } from 'react';
import { useQuery } from '@tanstack/react-query';
import { formatDistanceToNowStrict, isToday, isTomorrow } from 'date-fns';
import { Link } from 'react-router';
import type { TodayView } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { Questions } from './Questions.tsx';

import { ButtonLink } from '../../ui/buttons/Button.tsx';
import { Part, Plain } from '../../ui/panels/Panel.tsx';
import { clockText, howMany } from '@eurhythm/core/units';
import { useDates, type Dates } from '../../ui/fields/dates.ts';
import { Heading } from '../../ui/panels/Heading.tsx';

/** Nobody who has held a class needs it. */
const FirstSteps = lazy(() =>
  import('./first/FirstSteps.tsx').then((module) => ({ default: module.FirstSteps })),
);

/** What is next, who is expected, and what changed since last time. */
export function TodayRoom() {
  const dates = useDates();
  const { data } = useQuery(queries.today());
  if (!data) return <Page title="Today">{null}</Page>;
  // Before its first class a gym is led there.
  const isNew = data.lastRun === null && data.running === null;
  return (
    <Page title={dates.tell(new Date(), 'EEEE long')}>
      {data.themes.length > 0 && (
        <p className="-mt-4 mb-6 text-lg">
          These days: <strong>{data.themes.map((theme) => theme.title).join(' · ')}</strong>
        </p>
      )}
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[3fr_2fr]">
        <div className="min-w-0 space-y-8">
          {isNew ? (
            <Suspense fallback={null}>
              <FirstSteps />
            </Suspense>
          ) : (
            <NextSession next={data.next} running={data.running} />
          )}
          <LastRun lastRun={data.lastRun} />
          {!isNew && <Questions />}
        </div>
        {!(isNew && data.expected.length === 0) && <Expected fighters={data.expected} />}
      </div>
    </Page>
  );
}

function Page({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-8">
      <Heading className="mb-6 text-3xl">{title}</Heading>
      {children}
    </div>
  );
}

function dayText(date: string, dates: Dates): string {
  const at = new Date(date);
  const day = isToday(at) ? 'today' : isTomorrow(at) ? 'tomorrow' : dates.tell(at, 'EEEE');
  return `${day}, ${dates.tell(at, 'time')}`;
}

function NextSession({ next, running }: Pick<TodayView, 'next' | 'running'>) {
  const dates = useDates();
  if (running) {
    return (
      <Part title="On the Floor now">
        <div className="flex flex-wrap items-center justify-between gap-4 py-5">
          <p className="font-heading text-2xl font-bold">{running.title}</p>
          <ButtonLink weight="main" to={`/floor/${running.id}`}>
            Back to the Floor
          </ButtonLink>
        </div>
      </Part>
    );
  }
  if (!next) {
    return (
      <Part title="Next">
        <Plain>No session is planned. Build one from your combos: two rounds are enough to begin.</Plain>
        <ButtonLink weight="main" to="/sessions/new">
          Build a session
        </ButtonLink>
      </Part>
    );
  }
  return (
    <Part title="Next" aside={next.plannedFor ? dayText(next.plannedFor, dates) : 'no date'}>
      <div className="flex flex-wrap items-center justify-between gap-4 border-l-[10px] border-tape bg-paper py-5 pr-4 pl-5">
        <div>
          <p className="font-heading text-3xl font-bold">{next.title}</p>
          <p className="mt-1 text-quiet">
            {howMany(next.rounds, 'round')} · <span className="tabular">{clockText(next.seconds)}</span> in
            all
          </p>
        </div>
        <div className="flex flex-wrap gap-3">
          <ButtonLink to={`/sessions/${next.id}`}>Look it over</ButtonLink>
          <ButtonLink weight="main" to={`/floor?session=${next.id}`}>
            Take to the Floor
          </ButtonLink>
        </div>
      </div>
    </Part>
  );
}

function LastRun({ lastRun }: Pick<TodayView, 'lastRun'>) {
  if (!lastRun) return null;
  const all = lastRun.finished + lastRun.part + lastRun.satOut;
  return (
    <Part title="Last time" aside={`${formatDistanceToNowStrict(new Date(lastRun.at))} ago`}>
      <p className="py-3">
        <strong>{lastRun.title}</strong>: {lastRun.finished} of {howMany(all, 'round')} finished,{' '}
        {lastRun.part} in part, {lastRun.satOut} sat out.
      </p>
    </Part>
  );
}

function Expected({ fighters }: { fighters: TodayView['expected'] }) {
  return (
    <Part title="Expected" aside={howMany(fighters.length, 'fighter')}>
      <ul>
        {fighters.map((fighter) => (
          <li key={fighter.id} className="border-b border-rule py-1.5">
            <div className="flex items-baseline justify-between">
              <Link
                to={`/fighters/${fighter.id}`}
                className="inline-flex items-center font-semibold underline decoration-rule underline-offset-4 pointer-coarse:min-h-11"
              >
                {fighter.name}
              </Link>
              <span className="text-sm text-quiet">
                {fighter.grade} · {fighter.lead} lead
              </span>
            </div>
            {fighter.note !== '' && <p className="text-sm text-caution">{fighter.note}</p>}
          </li>
        ))}
      </ul>
    </Part>
  );
}
