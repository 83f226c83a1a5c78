import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { groupBy } from '@eurhythm/core/units';
import { comboName } from '@eurhythm/core/plan';
import { queries } from '../../../server/queries.ts';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { AskCombo } from './AskCombo.tsx';

/** Which combos are due with whom, and asking them. */
export function MemoryRoom() {
  const { data: gym } = useQuery(queries.gym());
  const { data: fighters } = useQuery(queries.fighters());
  const { data: memory } = useQuery(queries.memory([]));
  const { data: combos } = useQuery(queries.combos());
  const [gradeId, setGrade] = useState('');
  if (!gym || !fighters || !memory || !combos) return null;
  const due = memory.filter(({ isDue }) => isDue);
  const grade = gradeId || gym.grades[0]!.id;
  const who = fighters.filter((fighter) => fighter.fit && fighter.gradeId === grade);
  const dueWith = groupBy(
    due.filter(({ fighterId }) => who.some(({ id }) => id === fighterId)),
    ({ comboId }) => comboId,
  );
  const own = combos
    .filter((combo) => combo.gradeId === grade && !combo.retired)
    .sort(
      (a, b) => (dueWith.get(b.id)?.length ?? 0) - (dueWith.get(a.id)?.length ?? 0) || a.number - b.number,
    );
  return (
    <div className="mx-auto w-full max-w-4xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-3xl">Review combos due</h1>
        <div className="flex items-end gap-3">
          <ChoiceField
            label="Grade"
            className="w-40"
            value={grade}
            choices={gym.grades.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setGrade}
          />
          <ButtonLink to="/fighters/class">The class</ButtonLink>
        </div>
      </div>
      <Part
        title={`${gym.grades.find(({ id }) => id === grade)!.name}: due first`}
        aside="one press for all, then who was otherwise"
      >
        {who.length === 0 && <Plain>Nobody of this grade may train now.</Plain>}
        {who.length > 0 && own.length === 0 && <Plain>This grade has no combo.</Plain>}
        {who.length > 0 &&
          own.map((combo) => (
            <div key={`${grade} ${combo.id}`}>
              <AskCombo
                combo={{ id: combo.id, name: `${comboName(combo)} · ${combo.title}` }}
                who={who}
                runId={null}
                page="/fighters/memory"
              />
              {dueWith.has(combo.id) && (
                <p className="text-sm text-quiet">
                  Due with {dueWith.get(combo.id)!.length} of {who.length}
                  {dueWith.get(combo.id)!.some(({ isSlipping }) => isSlipping) && ', slipping'}.
                </p>
              )}
            </div>
          ))}
      </Part>
    </div>
  );
}
