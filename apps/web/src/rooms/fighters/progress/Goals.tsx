import { useQuery, useQueryClient } from '@tanstack/react-query';
import { format, addWeeks } from 'date-fns';
import { useState } from 'react';
import { toast } from 'sonner';
import {
  SaveGoalDto,
  LEADS,
  checkFields,
  type FighterProgress,
  type FighterView,
  type GoalView,
  type TestView,
} from '@eurhythm/contract';
import { ofSide, sideText } from '@eurhythm/core/speed';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest, deleteRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useWrite } from '../../../sync/useSync.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { DayField } from '../../../ui/fields/DayFields.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { NumberField } from '../../../ui/fields/TypedField.tsx';
import { valueText } from '@eurhythm/core/progress';
import { useDates } from '../../../ui/fields/dates.ts';

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
  const { data: tests = [] } = useQuery(queries.tests());
  const told = ({ testId, title, lead, value }: GoalView): string => {
    const { kind = 'burst', unit = null, sides = null } = tests.find(({ id }) => id === testId) ?? {};
    return `${ofSide(title, lead, sides)}: ${valueText(kind, unit)(value)}`;
  };
  return (
    <Fold title="Goals" aside={progress.goals.length > 0 ? `${progress.goals.length} set` : 'none set'}>
      {progress.goals.length === 0 && !isNew && <Plain>No goal is set.</Plain>}
      <ul>
        {progress.goals.map((goal) => (
          <li key={goal.id} className="border-b border-rule py-2">
            <p className="flex items-baseline justify-between gap-4">
              <span>
                <strong>{told(goal)}</strong>{' '}
                <span className="text-sm text-quiet">by {inSentence(goal.by)}</span>
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
        <GoalForm fighter={fighter} tests={ordered(tests, progress)} onDone={() => setNew(false)} />
      ) : (
        tests.length > 0 && (
          <Button className="mt-3" onClick={() => setNew(true)}>
            Set a goal
          </Button>
        )
      )}
    </Fold>
  );
}

/** What the fighter was measured in comes first. */
function ordered(tests: readonly TestView[], { courses }: FighterProgress): readonly TestView[] {
  const done = new Set(courses.map(({ testId }) => testId));
  return [...tests.filter(({ id }) => done.has(id)), ...tests.filter(({ id }) => !done.has(id))];
}

interface GoalFormProps {
  readonly fighter: FighterView;
  readonly tests: readonly TestView[];
  onDone(): void;
}

function GoalForm({ fighter, tests, onDone }: GoalFormProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const [id] = useState(newId);
  const [goal, setGoal] = useState<SaveGoalDto>({
    fighterId: fighter.id,
    testId: tests[0]!.id,
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
  const { unit = null, sides = null } = tests.find(({ id }) => id === goal.testId)!;
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
        choices={tests.map(({ id: value, title: label }) => ({ value, label }))}
        onChange={(testId) => setGoal({ ...goal, testId })}
      />
      {sides !== 'none' && (
        <ChoiceField
          label={sides === 'side' ? 'Which side' : 'From which lead'}
          value={goal.lead}
          choices={LEADS.map((value) => ({ value, label: sideText(value, sides) }))}
          onChange={(lead) => setGoal({ ...goal, lead })}
        />
      )}
      <NumberField
        label={unit === null ? 'How many, or seconds' : `In ${unit}`}
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
