import { useQuery, useQueryClient } from '@tanstack/react-query';
import { addWeeks, format } from 'date-fns';
import { X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { gradeAbove } from '@eurhythm/core/progress';
import { howMany } from '@eurhythm/core/units';
import { SaveGradingDayDto, checkFields, type CandidateView, type GradingDayView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useFighters, useGym } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { deleteRequest, putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { TextField, TickField } from '../../../ui/fields/Field.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';

const PAGE = '/sessions/calendar';

/** Days on which grades are tested: planned, held, and who still lacks what. Nobody's grade changes here. */
export function Gradings() {
  const { data: days = [] } = useQuery(queries.gradingDays());
  return (
    <Part title="Gradings">
      {days.length === 0 && (
        <Plain>
          None is planned. With a date, drafts work towards it, and everybody sees what is missing.
        </Plain>
      )}
      <ul aria-label="Gradings">
        {days.map((day) => (
          <GradingDay key={day.id} day={day} />
        ))}
      </ul>
      <PlanGrading />
    </Part>
  );
}

function useGradingWrites() {
  const client = useQueryClient();
  const refresh = async (): Promise<void> => {
    await client.invalidateQueries({ queryKey: ['grading-days'] });
  };
  const save = useWrite<GradingDayView, { id: string; sent: SaveGradingDayDto; basedOn?: number }>(
    ({ id, sent, basedOn }) =>
      putRequest(SUBJECTS.gradingDay, `grading-days/${id}`, sent, {
        page: PAGE,
        ...(basedOn ? { basedOn } : {}),
      }),
    { onSuccess: refresh, onError: (error) => toast.error(error.message) },
  );
  const remove = useWrite<void, string>((id) => deleteRequest(SUBJECTS.gradingDay, `grading-days/${id}`), {
    onSuccess: refresh,
    onError: (error) => toast.error(error.message),
  });
  return { save, remove };
}

/** What is kept of a day: what the server works out of the candidates stays behind. */
const sentOf = ({ title, day, held, candidates }: GradingDayView): SaveGradingDayDto => ({
  ...{ title, day, held },
  candidates: candidates.map(({ fighterId, gradeId }) => ({ fighterId, gradeId })),
});

function GradingDay({ day: of }: { readonly day: GradingDayView }) {
  const dates = useDates();
  const { save, remove } = useGradingWrites();
  const { id, title, day, held, candidates, version } = of;
  const isOver = day <= format(new Date(), 'yyyy-MM-dd');
  const change = (changes: Partial<SaveGradingDayDto>): void =>
    save.mutate({ id, sent: { ...sentOf(of), ...changes }, basedOn: version });
  return (
    <li className="border-b border-rule py-2">
      <div className="flex items-center">
        <span className="min-w-0 flex-1">
          <strong className="block leading-tight">{title}</strong>
          <span className="text-sm text-quiet">
            {dates.tell(`${day}T12:00`, 'short')}, {held ? 'held' : 'planned'}
          </span>
        </span>
        <IconButton label={`Take ${title} out`} onClick={() => remove.mutate(id)}>
          <X size={16} />
        </IconButton>
      </div>
      <ul aria-label={`Candidates of ${title}`} className="text-sm">
        {candidates.map((each) => (
          <Candidate
            key={each.fighterId}
            candidate={each}
            onLeave={() =>
              change({
                candidates: sentOf(of).candidates.filter(({ fighterId }) => fighterId !== each.fighterId),
              })
            }
          />
        ))}
      </ul>
      {isOver && (
        <Button weight="bare" onClick={() => change({ held: !held })}>
          {held ? 'Not held after all' : 'It was held'}
        </Button>
      )}
    </li>
  );
}

function Candidate({ candidate, onLeave }: { readonly candidate: CandidateView; onLeave(): void }) {
  const { fighterId, name, grade, lacks, classesPlanned, classesUsual, passed } = candidate;
  const left = Math.max(classesPlanned, classesUsual);
  return (
    <li className="flex items-start gap-2 py-1">
      <span className="min-w-0 flex-1">
        <Link to={`/fighters/${fighterId}/grade`} className="font-semibold underline decoration-rule">
          {name}
        </Link>{' '}
        for {grade}
        <span className="block text-quiet">
          {passed === null
            ? `${lacks.length === 0 ? 'lacks nothing' : `lacks ${lacks.join('; ')}`}; ${howMany(left, 'class', 'classes')} left`
            : passed
              ? 'passed'
              : 'not passed'}
        </span>
      </span>
      {passed === null && (
        <IconButton label={`${name} is no candidate`} onClick={onLeave}>
          <X size={16} />
        </IconButton>
      )}
    </li>
  );
}

const IN_WEEKS = 8;

/** A new day: those of the ticked grades are its candidates, each for the grade that comes next. */
function PlanGrading() {
  const { grades } = useGym();
  const fighters = useFighters();
  const errors = useFieldErrors();
  const { save } = useGradingWrites();
  const [title, setTitle] = useState('Grading');
  const [day, setDay] = useState(() => format(addWeeks(new Date(), IN_WEEKS), 'yyyy-MM-dd'));
  const [from, setFrom] = useState<readonly string[]>([]);
  const candidates = fighters
    .filter(({ fit, gradeId }) => fit && from.includes(gradeId))
    .flatMap(({ id: fighterId, gradeId }) => {
      const next = gradeAbove(grades, gradeId);
      return next ? [{ fighterId, gradeId: next.id }] : [];
    });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const sent: SaveGradingDayDto = { title, day, candidates, held: false };
    const wrong = checkFields(SaveGradingDayDto, sent);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate({ id: newId(), sent });
  };
  return (
    <form onSubmit={submit} noValidate className="space-y-3 pt-4">
      <TextField
        label="Grading"
        value={title}
        error={errors.of('title')}
        onChange={(event) => setTitle(event.target.value)}
      />
      <DayField label="On" value={day} error={errors.of('day')} onChange={setDay} />
      <fieldset className="flex flex-wrap gap-x-4">
        <legend className="text-sm font-semibold text-quiet">Who is tested, by the grade they have</legend>
        {grades
          .filter(({ id }) => gradeAbove(grades, id))
          .map(({ id, name }) => (
            <TickField
              key={id}
              label={name}
              checked={from.includes(id)}
              onChange={(isOn) => setFrom(isOn ? [...from, id] : from.filter((each) => each !== id))}
            />
          ))}
      </fieldset>
      <Button type="submit" weight="main">
        Plan it{candidates.length > 0 ? ` with ${howMany(candidates.length, 'candidate')}` : ''}
      </Button>
    </form>
  );
}
