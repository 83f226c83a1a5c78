import { useQuery, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import { Link } from 'react-router';
import type { QuestionView } from '@eurhythm/contract';
import { queries } from '../../server/queries.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useWrite } from '../../sync/useSync.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { useDates } from '../../ui/fields/dates.ts';
import { Part, Plain } from '../../ui/panels/Panel.tsx';

/** What each kind of question is about, in the order in which they stand. */
const HEADS: Readonly<Record<QuestionView['kind'], string>> = {
  'goal reached': 'Reached',
  improved: 'Clear change for the better',
  slipped: 'Clear change for the worse',
  away: 'Missed',
  'lead behind': 'One lead behind',
  'lead neglected': 'Left out',
  'limb neglected': 'Left out',
  'test due': 'Not measured',
  'grade near': 'Near a grade',
  'combo up': 'Ready to go faster',
  'combos due': 'Memory',
  'loose long': 'Loose for weeks',
  'wild lately': 'Wild',
  'sits out': 'Sits out',
};

/** What the log asks today, of all or of some and the class: each with its numbers and a press that does something about it. */
export function Questions({ of }: { of?: ReadonlySet<string> }) {
  const { data: all } = useQuery(queries.questions());
  const data = all?.filter(({ fighterId }) => !of || fighterId === null || of.has(fighterId));
  return (
    <Part title="What the log says" aside="the last month">
      {data?.length === 0 && <Plain>Nothing stands out: no real change, nobody is missed.</Plain>}
      <ul>
        {data?.map((question) => (
          <Question key={`${question.kind} ${question.name} ${question.sentence}`} question={question} />
        ))}
      </ul>
    </Part>
  );
}

function Question({ question }: { question: QuestionView }) {
  const dates = useDates();
  const { kind, name, sentence, to, action } = question;
  return (
    <li className="grid grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-rule py-2">
      <p>
        <span className="text-sm text-quiet">{HEADS[kind]}</span> <strong>{name}</strong>
        <span className="block text-sm">{dates.inSentence(sentence)}</span>
      </p>
      <span className="flex flex-wrap justify-end">
        <Link
          to={to}
          className="inline-flex min-h-11 items-center px-2 font-semibold underline underline-offset-4"
        >
          {action}
        </Link>
        {question.goalId ? <ReportOnce goalId={question.goalId} /> : <NotNow question={question} />}
      </span>
    </li>
  );
}

/** What was looked at is not asked again within a week. */
function NotNow({ question: { key, sentence, name } }: { question: QuestionView }) {
  const client = useQueryClient();
  const answer = useWrite(
    () => putRequest(SUBJECTS.question, 'progress/questions/answered', { key, sentence }),
    { onSuccess: () => client.invalidateQueries({ queryKey: ['progress', 'questions'] }) },
  );
  return (
    <Button
      weight="bare"
      aria-label={`Done with ${name}`}
      disabled={answer.isPending}
      onClick={() => answer.mutate()}
    >
      Done
    </Button>
  );
}

/** A goal that is reached is said once. */
function ReportOnce({ goalId }: { goalId: string }) {
  const client = useQueryClient();
  const tell = useWrite(
    () => putRequest(SUBJECTS.goal, `goals/${goalId}/reported`, { day: format(new Date(), 'yyyy-MM-dd') }),
    { onSuccess: () => client.invalidateQueries({ queryKey: ['progress'] }) },
  );
  return (
    <Button weight="bare" disabled={tell.isPending} onClick={() => tell.mutate()}>
      Dismiss
    </Button>
  );
}
