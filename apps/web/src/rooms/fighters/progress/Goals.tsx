import { useQueryClient } from '@tanstack/react-query';
import { format, addWeeks } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  SaveGoalDto,
  checkFields,
  type FighterProgress,
  type FighterView,
  type GoalView,
} from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/Button.tsx';
import { DayField } from '../../../ui/DayFields.tsx';
import { ChoiceField } from '../../../ui/Field.tsx';
import { Part, Plain } from '../../../ui/Panel.tsx';
import { NumberField } from '../../../ui/TypedField.tsx';
import { valueText } from '@eurhythm/core/progress';
import { useDates } from '../../../ui/dates.ts';

interface GoalsProps {
  readonly fighter: FighterView;
  readonly progress: FighterProgress;
}

const day = (at: Date): string => format(at, 'yyyy-MM-dd');
/** A goal is usually set for a quarter of a year. */
const WEEKS = 12;

/** What coach and fighter set themselves, each as it stands. */
export function Goals({ fighter, progress }: GoalsProps) {
  const { inSentence } = useDates();
  const client = useQueryClient();
  const [isNew, setNew] = useState(false);
  const remove = useWrite<unknown, string>((id) => deleteRequest(SUBJECTS.goal, `goals/${id}`), {
    onSuccess: () => client.invalidateQueries(),
    onError: (error) => toast.error(error.message),
  });
  const kindOf = ({ testId }: GoalView) =>
    progress.courses.find((course) => course.testId === testId)?.kind ?? 'burst';
  return (
    <Part title="Goals">
      {progress.goals.length === 0 && !isNew && <Plain>No goal is set.</Plain>}
      <ul>
        {progress.goals.map((goal) => (
          <li key={goal.id} className="border-b border-rule py-2">
            <p className="flex items-baseline justify-between gap-4">
              <span>
                <strong>
                  {goal.title}, {goal.lead} lead: {valueText(kindOf(goal))(goal.value)}
                </strong>{' '}
                <span className="text-sm text-quiet">by {goal.by}</span>
              </span>
              <Button weight="bare" className="px-1!" onClick={() => remove.mutate(goal.id)}>
                Take out
              </Button>
            </p>
            <p className="text-sm">{inSentence(goal.sentence)}</p>
          </li>
        ))}
      </ul>
      {isNew ? (
        <GoalForm fighter={fighter} progress={progress} onDone={() => setNew(false)} />
      ) : (
        progress.courses.length > 0 && (
          <Button className="mt-3" onClick={() => setNew(true)}>
            Set a goal
          </Button>
        )
      )}
    </Part>
  );
}

function GoalForm({ fighter, progress, onDone }: GoalsProps & { onDone(): void }) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const tests = [...new Map(progress.courses.map(({ testId, title }) => [testId, title]))];
  const [id] = useState(newId);
  const [goal, setGoal] = useState<SaveGoalDto>({
    fighterId: fighter.id,
    testId: tests[0]![0],
    lead: fighter.lead,
    value: NaN,
    by: day(addWeeks(new Date(), WEEKS)),
    setOn: day(new Date()),
  });
  const save = useWrite<GoalView>(
    () => putRequest(SUBJECTS.goal, `goals/${id}`, goal, { page: `/fighters/${fighter.id}` }),
    {
      onSuccess: async () => {
        await client.invalidateQueries();
        onDone();
      },
      onError: errors.showFailure,
    },
  );
  const set = (): void => {
    const wrong = checkFields(SaveGoalDto, goal);
    errors.show(wrong);
    if (wrong.length === 0) save.mutate();
  };
  return (
    <div className="grid grid-cols-2 gap-3 pt-3">
      <ChoiceField
        label="Test"
        value={goal.testId}
        choices={tests.map(([value, label]) => ({ value, label }))}
        onChange={(testId) => setGoal({ ...goal, testId })}
      />
      <ChoiceField
        label="From which lead"
        value={goal.lead}
        choices={[
          { value: 'left', label: 'left lead' },
          { value: 'right', label: 'right lead' },
        ]}
        onChange={(lead) => setGoal({ ...goal, lead })}
      />
      <NumberField
        label="How many, or seconds"
        inputMode="decimal"
        value={goal.value}
        error={errors.of('value')}
        onChange={(value) => setGoal({ ...goal, value })}
      />
      <DayField
        label="By"
        value={goal.by}
        error={errors.of('by')}
        onChange={(by) => setGoal({ ...goal, by })}
      />
      <div className="col-span-2 flex gap-3">
        <Button weight="main" disabled={save.isPending} onClick={set}>
          Set it
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
    </div>
  );
}
