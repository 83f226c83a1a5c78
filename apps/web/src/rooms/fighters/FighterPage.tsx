import { useQuery } from '@tanstack/react-query';
import { differenceInCalendarWeeks } from 'date-fns';
import { Suspense, lazy, useState } from 'react';
import { useParams } from 'react-router';
import type { FighterLog } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { Button } from '../../ui/Button.tsx';
import { Part, Plain } from '../../ui/Panel.tsx';
import { FighterForm } from './FighterForm.tsx';
import { FitMark } from './FitMark.tsx';
import { HomeReports } from './HomeReports.tsx';
import { PersonData } from './PersonData.tsx';
import { TrialList } from './replay/TrialList.tsx';
import { RoundsTable } from './RoundsTable.tsx';

const BurstChart = lazy(() => import('./BurstChart.tsx').then((module) => ({ default: module.BurstChart })));

/** One fighter: bursts over time, rounds done, and the entry itself. */
export function FighterPage() {
  const { id = '' } = useParams();
  return id === 'new' ? <NewFighter /> : <KnownFighter key={id} id={id} />;
}

function NewFighter() {
  return (
    <div className="mx-auto w-full max-w-2xl px-6 pt-8">
      <h1 className="mb-4 text-3xl">A new fighter</h1>
      <FighterForm fighter={null} />
    </div>
  );
}

function KnownFighter({ id }: { id: string }) {
  const { data: log } = useQuery(queries.fighterLog(id));
  const [isEditing, setEditing] = useState(false);
  if (!log) return null;
  const { fighter } = log;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-6">
      <div className="mb-6 flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-sm text-quiet">
            {fighter.grade} · {fighter.lead} lead · {sessionsText(log)}
          </p>
          <h1 className="text-3xl">{fighter.name}</h1>
          {fighter.note !== '' && <p className="mt-1 text-caution">{fighter.note}</p>}
          <FitMark fighter={fighter} />
        </div>
        <Button onClick={() => setEditing(!isEditing)}>
          {isEditing ? 'Back to the log' : 'Change entry'}
        </Button>
      </div>
      {isEditing ? (
        <div className="max-w-2xl">
          <FighterForm fighter={fighter} onSaved={() => setEditing(false)} />
          <PersonData fighter={fighter} />
        </div>
      ) : (
        <Log log={log} />
      )}
    </div>
  );
}

function sessionsText({ rounds }: FighterLog): string {
  if (rounds.length === 0) return 'no session yet';
  const runs = new Set(rounds.map((round) => round.runId)).size;
  const weeks = differenceInCalendarWeeks(new Date(), new Date(rounds.at(-1)!.at)) + 1;
  return `${runs} ${runs === 1 ? 'session' : 'sessions'} in ${weeks} ${weeks === 1 ? 'week' : 'weeks'}`;
}

function Log({ log }: { log: FighterLog }) {
  const bursts = log.bursts.filter(({ kind }) => kind === 'burst');
  const titles = [...new Set(bursts.toSorted((a, b) => b.trials - a.trials).map((burst) => burst.title))];
  const [title, setTitle] = useState(titles[0] ?? '');
  const shown = titles.includes(title) ? title : (titles[0] ?? '');
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
      <div className="space-y-8">
        <Part
          title="Bursts of ten seconds"
          aside="each dot is one trial; filled is left lead, open is right lead"
        >
          {titles.length === 0 ? (
            <Plain>No burst yet. On the Floor, press T and tap along for ten seconds.</Plain>
          ) : (
            <>
              <div className="flex flex-wrap gap-2 pt-3" role="group" aria-label="Which burst">
                {titles.map((each) => (
                  <button
                    key={each}
                    type="button"
                    aria-pressed={each === shown}
                    onClick={() => setTitle(each)}
                    className={`min-h-11 rounded px-4 ${each === shown ? 'bg-tape font-semibold text-on-tape' : 'hover:bg-hint'}`}
                  >
                    {each}
                  </button>
                ))}
              </div>
              <Suspense fallback={<div className="h-72" />}>
                <BurstChart
                  attempts={log.attempts.filter((attempt) => attempt.title === shown)}
                  title={shown}
                />
              </Suspense>
            </>
          )}
        </Part>
        <Rounds rounds={log.rounds} />
      </div>
      <div className="space-y-8">
        <Part title="Best and usual" aside="how many, or how long">
          <ul>
            {log.bursts.map((burst) => (
              <li
                key={`${burst.title}${burst.lead}${burst.isSelfReported}`}
                className="flex items-baseline justify-between border-b border-rule py-2.5"
              >
                <span>
                  {burst.title}, {burst.lead} lead
                  {burst.isSelfReported && <span className="text-sm text-quiet"> · told, not seen</span>}
                </span>
                <span className="tabular text-right">
                  <strong className="font-heading text-2xl">{shownValue(burst.kind, burst.best)}</strong>
                  <span className="ml-2 text-sm text-quiet">
                    median {shownValue(burst.kind, burst.median)}, {burst.trials}{' '}
                    {burst.trials === 1 ? 'trial' : 'trials'}
                  </span>
                </span>
              </li>
            ))}
          </ul>
          {log.bursts.length === 0 && <Plain>Nothing measured yet.</Plain>}
        </Part>
        <TrialList attempts={log.attempts} />
        <HomeReports fighter={log.fighter} reports={log.home} />
      </div>
    </div>
  );
}

/** How many, or seconds. */
const shownValue = (kind: FighterLog['bursts'][number]['kind'], value: number): string =>
  kind === 'burst' ? String(value) : `${value.toFixed(2)} s`;

function Rounds({ rounds }: Pick<FighterLog, 'rounds'>) {
  const finished = rounds.filter((round) => round.done === 'finished').length;
  return (
    <Part title="Rounds" aside={`${finished} of ${rounds.length} finished`}>
      {rounds.length === 0 && <Plain>No round yet. Marks on the Floor appear here at once.</Plain>}
      {rounds.length > 0 && <RoundsTable rounds={rounds} />}
    </Part>
  );
}
