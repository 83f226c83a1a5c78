import { useQuery } from '@tanstack/react-query';
import { addWeeks, format, nextMonday } from 'date-fns';
import { Plus, X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { SaveSeasonDto, checkFields, type ClassTimeDto, type SeasonView } from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useGym } from '../../../server/gymData.ts';
import { queries } from '../../../server/queries.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../ui/buttons/IconButton.tsx';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { ChoiceField, TextField, TickField } from '../../../ui/fields/Field.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { useSeasonWrites } from './useSeasonWrites.ts';

const WEEKDAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const WEEKS = 12;
const NONE = 'none';
const day = (at: Date): string => format(at, 'yyyy-MM-dd');

interface SeasonFormProps {
  /** The season that is changed; a new one without it, from Monday on. */
  readonly season?: SeasonView;
  onSaved(id: string): void;
}

/** From when a season goes to a grading that is planned, or to a day; for whom, and when its classes are. */
export function SeasonForm({ season: before, onSaved }: SeasonFormProps) {
  const { grades } = useGym();
  const { data: gradings = [] } = useQuery(queries.gradingDays());
  const dates = useDates();
  const errors = useFieldErrors();
  const { save } = useSeasonWrites();
  const [title, setTitle] = useState(before?.title ?? 'Season');
  const [from, setFrom] = useState(() => before?.from ?? day(nextMonday(new Date())));
  const [until, setUntil] = useState(() => before?.until ?? day(addWeeks(nextMonday(new Date()), WEEKS)));
  const [grading, setGrading] = useState(before?.gradingDayId ?? NONE);
  const [gradeIds, setGradeIds] = useState<readonly string[]>(before?.gradeIds ?? []);
  const [classes, setClasses] = useState<readonly ClassTimeDto[]>(
    before?.classes ?? [{ weekday: 2, time: '18:30' }],
  );
  const [minutes, setMinutes] = useState(String(before?.minutes ?? 60));
  const chosen = gradings.find(({ id }) => id === grading);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const id = before?.id ?? newId();
    const season: SaveSeasonDto = {
      ...{ title, from, until: chosen?.day ?? until, gradingDayId: chosen?.id ?? null },
      ...{
        gradeIds: [...gradeIds],
        classes: [...classes],
        minutes: Number(minutes),
        edits: [...(before?.edits ?? [])],
      },
    };
    const wrong = checkFields(SaveSeasonDto, season);
    errors.show(wrong);
    if (wrong.length === 0)
      save.mutate({ id, season, basedOn: before?.version }, { onSuccess: () => onSaved(id) });
  };
  const setClass = (i: number, changes: Partial<ClassTimeDto>): void =>
    setClasses(classes.map((each, place) => (place === i ? { ...each, ...changes } : each)));
  return (
    <form onSubmit={submit} noValidate className="grid grid-cols-2 gap-4 pt-3">
      <TextField
        label="Title"
        value={title}
        error={errors.of('title')}
        onChange={(e) => setTitle(e.target.value)}
      />
      <TextField
        label="Minutes of a class"
        inputMode="numeric"
        value={minutes}
        error={errors.of('minutes')}
        onChange={(e) => setMinutes(e.target.value)}
      />
      <DayField label="From" value={from} error={errors.of('from')} onChange={setFrom} />
      {chosen ? (
        <p className="self-end pb-3">until the grading on {dates.tell(`${chosen.day}T12:00`, 'short')}</p>
      ) : (
        <DayField label="Until" value={until} error={errors.of('until')} onChange={setUntil} />
      )}
      <ChoiceField
        label="To the grading"
        value={grading}
        choices={[
          { value: NONE, label: 'none: to a day' },
          ...gradings
            .filter(({ id, held }) => !held || id === before?.gradingDayId)
            .map(({ id, title: name }) => ({ value: id, label: name })),
        ]}
        onChange={setGrading}
      />
      <fieldset className="col-span-2 flex flex-wrap gap-x-4">
        <legend className="text-sm font-semibold text-quiet">Who trains in it</legend>
        {grades.map(({ id, name }) => (
          <TickField
            key={id}
            label={name}
            checked={gradeIds.includes(id)}
            onChange={(isOn) =>
              setGradeIds(isOn ? [...gradeIds, id] : gradeIds.filter((each) => each !== id))
            }
          />
        ))}
        {errors.of('gradeIds') && <p className="w-full text-sm text-caution">{errors.of('gradeIds')}</p>}
      </fieldset>
      <fieldset className="col-span-2">
        <legend className="text-sm font-semibold text-quiet">Every week</legend>
        {classes.map((each, i) => (
          <div key={i} className="flex items-end gap-3">
            <ChoiceField
              label={`Day of class ${i + 1}`}
              value={String(each.weekday)}
              choices={WEEKDAYS.map((label, value) => ({ value: String(value), label }))}
              onChange={(value) => setClass(i, { weekday: Number(value) })}
            />
            <TextField
              label={`Time of class ${i + 1}`}
              type="time"
              value={each.time}
              error={errors.of(`classes.${i}.time`)}
              onChange={(event) => setClass(i, { time: event.target.value })}
            />
            {classes.length > 1 && (
              <IconButton
                label={`Class ${i + 1} out`}
                onClick={() => setClasses(classes.filter((_, place) => place !== i))}
              >
                <X size={16} />
              </IconButton>
            )}
          </div>
        ))}
        <Button weight="bare" onClick={() => setClasses([...classes, { weekday: 4, time: '18:30' }])}>
          <Plus size={16} aria-hidden /> Another class
        </Button>
      </fieldset>
      <Button type="submit" weight="main" disabled={save.isPending} className="justify-self-start">
        {before ? 'Save the season' : 'Plan the season'}
      </Button>
    </form>
  );
}
