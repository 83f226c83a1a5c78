import { howMany } from '@eurhythm/core/units';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { REQUIREMENT_KINDS } from '@eurhythm/core/progress';
import {
  SaveRequirementsDto,
  checkFields,
  type RequirementDto,
  type RequirementsView,
} from '@eurhythm/contract';
import { newId } from '../../../server/api.ts';
import { queries } from '../../../server/queries.ts';
import { useFieldErrors } from '../../../server/useFieldErrors.ts';
import { putRequest } from '../../../sync/queue/queuedWrite.ts';
import { SUBJECTS } from '../../../sync/queue/subjects.ts';
import { useVersionedWrite } from '../../../sync/useVersionedWrite.tsx';
import { Button, ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { RequirementFields } from './RequirementFields.tsx';
import { KIND_WORDS, newRequirement } from './newRequirement.ts';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** What a grade asks for, grade by grade. */
export function RequirementsRoom() {
  const { gradeId } = useParams();
  const navigate = useNavigate();
  const { data: gym } = useQuery(queries.gym());
  const { data: lists } = useQuery(queries.requirements());
  if (!gym || !lists) return null;
  const chosen = gym.grades.find(({ id }) => id === gradeId) ?? gym.grades[0]!;
  const kept = lists.find((list) => list.gradeId === chosen.id);
  return (
    <div className="mx-auto w-full max-w-4xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <Heading className="text-3xl">What grades ask for</Heading>
        <div className="flex items-end gap-3">
          <ChoiceField
            label="Grade"
            className="w-44"
            value={chosen.id}
            choices={gym.grades.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => void navigate(`/gym/requirements/${id}`)}
          />
          <ButtonLink to="/gym">The gym</ButtonLink>
        </div>
      </div>
      <Editor key={chosen.id} gradeId={chosen.id} grade={chosen.name} kept={kept} />
    </div>
  );
}

interface EditorProps {
  readonly gradeId: string;
  readonly grade: string;
  readonly kept: RequirementsView | undefined;
}

function Editor({ gradeId, grade, kept }: EditorProps) {
  const client = useQueryClient();
  const errors = useFieldErrors();
  const { data: combos = [] } = useQuery(queries.combos());
  const { data: tests = [] } = useQuery(queries.tests());
  const [list, setList] = useState<readonly RequirementDto[]>(kept?.requirements ?? []);
  const [basedOn, setBasedOn] = useState(kept?.version);
  const [kind, setKind] = useState<RequirementDto['kind']>('combo');
  const { save, notice } = useVersionedWrite<RequirementsView, SaveRequirementsDto, RequirementsView>({
    writing: (mine, version) =>
      putRequest(SUBJECTS.requirements, `grades/${gradeId}/requirements`, mine, {
        basedOn: version,
        page: `/gym/requirements/${gradeId}`,
      }),
    fields: { requirements: 'What is asked' },
    onSaved: async ({ requirements, version }) => {
      setList(requirements);
      setBasedOn(version);
      errors.show([]);
      toast(`What ${grade} asks for is saved.`);
      await client.invalidateQueries();
    },
    onTheirs: ({ requirements, version }) => {
      setList(requirements);
      setBasedOn(version);
    },
    onError: errors.showFailure,
  });
  const trySave = (): void => {
    const wrong = checkFields(SaveRequirementsDto, { requirements: list });
    errors.show(wrong);
    if (wrong.length === 0) save({ requirements: [...list] }, basedOn);
  };
  const isSame = JSON.stringify(list) === JSON.stringify(kept?.requirements ?? []);
  return (
    <Part title={grade} aside={`${howMany(list.length, 'thing')}`}>
      {notice}
      {list.length === 0 && <Plain>This grade asks for nothing yet.</Plain>}
      <ol>
        {list.map((one, i) => (
          <li key={one.id} className="border-b border-rule py-3">
            <RequirementFields
              value={one}
              combos={combos}
              tests={tests}
              errorOf={(field) => errors.of(`requirements.${i}.${field}`)}
              onChange={(changed) => setList(list.with(i, changed))}
              onTakeOut={() => setList(list.toSpliced(i, 1))}
            />
          </li>
        ))}
      </ol>
      <div className="flex flex-wrap items-end gap-3 pt-4">
        <ChoiceField<RequirementDto['kind']>
          label="Add"
          className="w-56"
          value={kind}
          choices={REQUIREMENT_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
          onChange={(chosen) => setKind(chosen)}
        />
        <Button onClick={() => setList([...list, newRequirement(kind, newId(), combos, tests)])}>
          <Plus size={16} aria-hidden /> Add it
        </Button>
        <Button weight="main" disabled={isSame} onClick={trySave}>
          Save
        </Button>
      </div>
    </Part>
  );
}
