import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { groupBy, howMany } from '@eurhythm/core/units';
import { sideText } from '@eurhythm/core/speed';
import type { CourseView, FighterProgress, FighterView, VerdictView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { Toggles } from '../../../ui/buttons/Toggles.tsx';
import { MEASURED_WORDS } from '../replay/trialWords.ts';
import { valueText } from '@eurhythm/core/progress';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { courseOption, isDense } from '../pictures/courseOption.ts';
import { courseCsv, courseTable, courseSentences } from '../pictures/courseText.ts';
import { Picture } from '../pictures/Picture.tsx';
import { VerdictMark } from './VerdictMark.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

interface CoursesProps {
  readonly fighter: FighterView;
  readonly progress: FighterProgress;
}

/** Did it really get better: each test with its trials, and what they are worth. */
export function Courses({ fighter, progress }: CoursesProps) {
  const byTest = useMemo(() => groupBy(progress.courses, ({ testId }) => testId), [progress]);
  const tests = [...byTest].map(([value, own]) => ({ value, label: own[0]!.title }));
  const [chosen, setChosen] = useState('');
  const shown = byTest.get(chosen) ?? [...byTest.values()][0];
  const notes = shown?.reduce((sum, course) => sum + course.notes.length, 0) ?? 0;
  return (
    <Part title="Did it really get better?">
      {!shown && <Plain>Nothing measured yet. On the Floor, press T and tap along for ten seconds.</Plain>}
      {shown && (
        <>
          <Toggles
            label="Which test"
            className="pt-3"
            value={shown[0]!.testId}
            choices={tests}
            onChange={setChosen}
          />
          <div className="pt-3">
            {shown.map((course) => (
              <OfMonth key={course.lead} course={course} />
            ))}
          </div>
          <CoursePicture courses={shown} name={`${fighter.name} ${shown[0]!.title}`} />
          <Fold title="All that these trials say" aside={notes > 0 && howMany(notes, 'note')}>
            <p className="pt-2 text-sm text-quiet">
              Filled dots are left, open ones right; the band is what is usual now, ▲ ▼ = the last month.
              {isDense(shown) &&
                ' Older than a year: one dot for the middle of each week. The table has every trial.'}
            </p>
            {shown.map((course) => (
              <CourseWords key={course.lead} course={course} />
            ))}
            <Between fighterId={fighter.id} testId={shown[0]!.testId} />
          </Fold>
        </>
      )}
    </Part>
  );
}

const courseName = ({ lead, sides }: CourseView): string => sideText(lead, sides) || 'All';

function CoursePicture({ courses, name }: { courses: readonly CourseView[]; name: string }) {
  const draw = useCallback<Draw>((inks, tellDay) => courseOption(courses, inks, tellDay), [courses]);
  return (
    <Picture
      draw={draw}
      label={courseSentences(courses)}
      name={name}
      className="h-64"
      isDense={isDense(courses)}
      table={() => courseTable(courses)}
      of="the trials"
      csv={() => courseCsv(courses)}
    />
  );
}

function OfMonth({ course }: { course: CourseView }) {
  const what = courseName(course);
  if (course.month) return <Verdict what={what} verdict={course.month} />;
  return (
    <p>
      <span className="inline-block text-quiet first-letter:uppercase">{what}:</span>{' '}
      {howMany(course.trials, 'trial')} so far, too early to compare.
    </p>
  );
}

function CourseWords({ course }: { course: CourseView }) {
  const { inSentence } = useDates();
  const textOf = valueText(course.kind, course.unit);
  return (
    <div className="border-b border-rule py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4">
        <strong>
          <span className="first-letter:uppercase">{courseName(course)}</span>
          <span className="ml-2 text-sm font-normal text-quiet">
            {howMany(course.trials, 'trial')}, {MEASURED_WORDS[course.measured]}
          </span>
        </strong>
        <span className="tabular text-sm text-quiet">
          {course.usual && `usually ${textOf(course.usual.low)} to ${textOf(course.usual.high)}, `}best{' '}
          {textOf(course.best)}
          {course.typicalError !== null && `, one trial varies by about ±${textOf(course.typicalError)}`}
        </span>
      </p>
      <Verdict what="Compared with the time before" verdict={course.last} />
      <p className="text-sm">{course.trendSentence}</p>
      {course.notes.map((note) => (
        <p key={note} className="text-sm text-caution">
          {inSentence(note)}
        </p>
      ))}
    </div>
  );
}

function Verdict({ what, verdict }: { what: string; verdict: VerdictView | null }) {
  if (!verdict) return null;
  return (
    <p>
      <VerdictMark verdict={verdict.verdict} />{' '}
      <span className="inline-block text-quiet first-letter:uppercase">{what}:</span> {verdict.sentence}
    </p>
  );
}

/** Any two dates against each other. */
function Between({ fighterId, testId }: { fighterId: string; testId: string }) {
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const isAsked = from !== '' && to !== '';
  const { data } = useQuery({ ...queries.fighterProgress(fighterId, { from, to }), enabled: isAsked });
  const found = data?.courses.filter((course) => course.testId === testId) ?? [];
  return (
    <div className="py-3">
      <div className="flex flex-wrap items-end gap-3">
        <DayField label="The four weeks up to" value={from} onChange={setFrom} />
        <DayField label="against those up to" value={to} onChange={setTo} />
      </div>
      {isAsked &&
        found.map((course) => (
          <Verdict key={course.lead} what={courseName(course)} verdict={course.between} />
        ))}
    </div>
  );
}
