import { howMany } from '@eurhythm/core/units';
import { useQuery } from '@tanstack/react-query';
import { differenceInCalendarWeeks } from 'date-fns';
import { useState } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { FighterLog, FighterProgress } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { Button, ButtonLink } from '../../ui/buttons/Button.tsx';
import { Fold } from '../../ui/panels/Fold.tsx';
import { Plain } from '../../ui/panels/Panel.tsx';
import { FighterForm } from './FighterForm.tsx';
import { FitButton, FitMark } from './FitMark.tsx';
import { HomeReports } from './HomeReports.tsx';
import { PersonData } from './PersonData.tsx';
import { ComboGaps } from './progress/ComboGaps.tsx';
import { useFetchedDrawing } from './pictures/Picture.tsx';
import { AnswerText } from './progress/AnswerText.tsx';
import { Courses } from './progress/Courses.tsx';
import { Goals } from './progress/Goals.tsx';
import { Fading, Leads, LeadsInWords } from './progress/Leads.tsx';
import { Lifetime } from './progress/Lifetime.tsx';
import { NextGrade } from './progress/NextGrade.tsx';
import { Volume } from './progress/Volume.tsx';
import { Memory, Pace, Tempos } from './progress/WhatNext.tsx';
import { TrialList } from './replay/TrialList.tsx';
import { RoundsTable } from './RoundsTable.tsx';
import { Heading } from '../../ui/panels/Heading.tsx';

/** One fighter: what changed and what comes next, the log behind it, and the entry itself. */
export function FighterPage() {
  const { id = '' } = useParams();
  return id === 'new' ? <NewFighter /> : <KnownFighter key={id} id={id} />;
}

function NewFighter() {
  return (
    <div className="mx-auto w-full max-w-2xl px-6 pt-8">
      <Heading className="mb-4 text-3xl">A new fighter</Heading>
      <FighterForm fighter={null} />
    </div>
  );
}

function KnownFighter({ id }: { id: string }) {
  // Asked for side by side: none of them waits for another.
  const { data: log } = useQuery(queries.fighterLog(id));
  const { data: progress } = useQuery(queries.fighterProgress(id));
  useFetchedDrawing();
  const [search] = useSearchParams();
  const [isEditing, setEditing] = useState(search.has('entry'));
  if (!log) return null;
  const { fighter } = log;
  return (
    <div className="mx-auto w-full max-w-6xl px-6 pt-6">
      <div className="mb-6 flex flex-wrap items-end justify-between gap-4">
        <div>
          <p className="text-sm text-quiet">
            {fighter.grade} · {fighter.lead} lead · {classesText(log)}
          </p>
          <Heading className="text-3xl">{fighter.name}</Heading>
          {fighter.note !== '' && <p className="mt-1 text-caution">{fighter.note}</p>}
          <FitMark fighter={fighter} />
        </div>
        <div className="flex flex-wrap gap-3">
          <FitButton fighter={fighter} />
          <ButtonLink to={`/fighters/${id}/report`}>Report</ButtonLink>
          <Button onClick={() => setEditing(!isEditing)}>
            {isEditing ? 'Back to the log' : 'Change entry'}
          </Button>
        </div>
      </div>
      {isEditing ? (
        <div className="max-w-2xl">
          <FighterForm fighter={fighter} onSaved={() => setEditing(false)} />
          <PersonData fighter={fighter} />
        </div>
      ) : (
        progress && <Log log={log} progress={progress} />
      )}
    </div>
  );
}

function classesText({ tally: { classes, first } }: FighterLog): string {
  if (first === null) return 'no class yet';
  const weeks = differenceInCalendarWeeks(new Date(), new Date(`${first}T12:00`)) + 1;
  return `${howMany(classes, 'class', 'classes')} in ${howMany(weeks, 'week')}`;
}

/** The answer, two pictures, and all else closed until it is asked for. */
function Log({ log, progress }: { log: FighterLog; progress: FighterProgress }) {
  const { fighter } = log;
  const { leads, fading, tempos, memory, pace } = progress;
  return (
    <>
      <AnswerText progress={progress} />
      <div className="mb-10 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Courses fighter={fighter} progress={progress} />
        <Leads fighter={fighter} leads={leads} />
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-x-12 gap-y-2 lg:grid-cols-2">
        <div className="space-y-2">
          <NextGrade fighter={fighter} progress={progress} />
          <Tempos tempos={tempos} />
          <Memory memory={memory} />
          <Goals fighter={fighter} progress={progress} />
          <Rounds log={log} />
          <Volume fighter={fighter} />
        </div>
        <div className="space-y-2">
          <TrialList attempts={log.attempts} />
          {leads.length > 0 && <LeadsInWords leads={leads} />}
          <Fading fading={fading} />
          <ComboGaps fighter={fighter} attempts={log.attempts} pace={pace} />
          <Pace pace={pace} />
          <Lifetime fighterId={fighter.id} />
          <HomeReports fighter={fighter} reports={log.home} />
        </div>
      </div>
    </>
  );
}

function Rounds({ log: { rounds, tally, next, fighter } }: { log: FighterLog }) {
  return (
    <Fold title="Rounds" aside={`${tally.finished} of ${tally.rounds} finished`}>
      {rounds.length === 0 && <Plain>No round yet. Marks on the Floor appear here at once.</Plain>}
      {rounds.length > 0 && (
        <RoundsTable fighterId={fighter.id} newest={rounds} next={next} all={tally.rounds} />
      )}
    </Fold>
  );
}
