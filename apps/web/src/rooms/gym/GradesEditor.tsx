import { useQueryClient } from '@tanstack/react-query';
import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { SaveGradesDto, checkFields, type GradeDto, type GymView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../sync/useVersionedWrite.tsx';
import { useFieldErrors } from '../../server/useFieldErrors.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { IconButton } from '../../ui/buttons/IconButton.tsx';
import { ChoiceField, TextField } from '../../ui/fields/Field.tsx';
import { Part } from '../../ui/panels/Panel.tsx';

/** The gym's grades, lowest first. */
export function GradesEditor({ gym }: { gym: GymView }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [grades, setGrades] = useState<readonly GradeDto[]>(gym.grades);
  const [basedOn, setBasedOn] = useState(gym.gradesVersion);
  const { save, notice } = useVersionedWrite<GymView, SaveGradesDto, SaveGradesDto & { version: number }>({
    writing: (mine, basedOn) => putRequest(SUBJECTS.grades, 'grades', mine, { basedOn, page: '/gym' }),
    fields: { grades: 'Grades' },
    onSaved: async (after) => {
      client.setQueryData(['gym'], after);
      setBasedOn(after.gradesVersion);
      errors.show([]);
      toast('The grades are saved.');
      await client.invalidateQueries({ queryKey: ['combos'] });
    },
    onTheirs: async (now) => {
      setGrades(now.grades);
      setBasedOn(now.version);
      await client.invalidateQueries({ queryKey: ['gym'] });
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SaveGradesDto, { grades });
    errors.show(wrong);
    if (wrong.length === 0) save({ grades: [...grades] }, basedOn);
  };
  const change = (i: number, changes: Partial<GradeDto>): void =>
    setGrades(grades.with(i, { ...grades[i]!, ...changes }));
  const swap = (i: number, j: number): void => setGrades(grades.with(i, grades[j]!).with(j, grades[i]!));
  const message = errors.of('grades');
  return (
    <Part title="Grades" aside="lowest first">
      {notice}
      <ol className="pt-3">
        {grades.map((grade, i) => (
          <li key={grade.id} className="mb-2 grid grid-cols-[1fr_8rem_auto] items-start gap-2">
            <TextField
              label="Name of the grade"
              className="[&>label]:sr-only"
              value={grade.name}
              error={errors.of(`grades.${i}.name`)}
              onChange={(e) => change(i, { name: e.target.value })}
            />
            <ChoiceField
              label={`Band of ${grade.name}`}
              className="[&>label]:sr-only"
              value={grade.band}
              choices={[
                { value: 'children', label: 'children' },
                { value: 'adults', label: 'adults' },
              ]}
              onChange={(value) => change(i, { band: value })}
            />
            <span className="flex">
              <IconButton label={`${grade.name} earlier`} disabled={i === 0} onClick={() => swap(i, i - 1)}>
                <ArrowUp size={18} />
              </IconButton>
              <IconButton
                label={`${grade.name} later`}
                disabled={i === grades.length - 1}
                onClick={() => swap(i, i + 1)}
              >
                <ArrowDown size={18} />
              </IconButton>
              <IconButton label={`Take ${grade.name} out`} onClick={() => setGrades(grades.toSpliced(i, 1))}>
                <X size={18} />
              </IconButton>
            </span>
          </li>
        ))}
      </ol>
      {message !== undefined && (
        <p role="alert" className="pb-2 font-semibold text-caution">
          {message}
        </p>
      )}
      <div className="flex gap-3">
        <Button onClick={() => setGrades([...grades, { id: newId(), name: '', band: 'adults' }])}>
          <Plus size={16} aria-hidden /> Add a grade
        </Button>
        <Button
          weight="main"
          onClick={trySave}
          disabled={JSON.stringify(grades) === JSON.stringify(gym.grades)}
        >
          Save the grades
        </Button>
      </div>
    </Part>
  );
}
