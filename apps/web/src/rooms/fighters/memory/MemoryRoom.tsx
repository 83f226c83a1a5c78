import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { comboName } from '@eurhythm/core/plan';
import { groupWithMostDue, whoIsAsked } from '@eurhythm/core/progress';
import { queries } from '../../../server/queries.ts';
import { ButtonLink } from '../../../ui/buttons/Button.tsx';
import { ChoiceField } from '../../../ui/fields/Field.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import { AskCombo } from './AskCombo.tsx';
import { Heading } from '../../../ui/panels/Heading.tsx';

/** Which combos are due with whom, and asking them. */
export function MemoryRoom() {
  const { data: gym } = useQuery(queries.gym());
  const { data: fighters } = useQuery(queries.fighters());
  // What is asked here stays where it stands until somebody comes back to the page.
  const { data: memory } = useQuery({ ...queries.memory([]), staleTime: Infinity, refetchOnMount: 'always' });
  const { data: combos } = useQuery(queries.combos());
  const [search, setSearch] = useSearchParams();
  if (!gym || !fighters || !memory || !combos) return null;
  const fit = fighters.filter((fighter) => fighter.fit);
  const gradeOf = new Map(fit.map(({ id, gradeId }) => [id, gradeId]));
  const grade =
    search.get('grade') ??
    groupWithMostDue(memory.items, (id) => gradeOf.get(id) ?? null) ??
    gym.grades[0]!.id;
  const who = fit.filter(({ gradeId }) => gradeId === grade);
  const known = new Map(combos.filter(({ retired }) => !retired).map((combo) => [combo.id, combo]));
  const asked = whoIsAsked(who, memory).filter(({ comboId }) => known.has(comboId));
  const due = asked.filter((each) => each.due > 0);
  const rest = asked.filter((each) => each.due === 0);
  const ask = ({ comboId, who }: (typeof asked)[number]) => {
    const combo = known.get(comboId)!;
    const name = `${comboName(combo)} · ${combo.title}`;
    return (
      <AskCombo
        key={`${grade} ${comboId}`}
        combo={{ id: comboId, name }}
        who={who}
        runId={null}
        page="/fighters/memory"
      />
    );
  };
  return (
    <div className="mx-auto w-full max-w-4xl px-6 pt-8">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-4">
        <Heading className="text-3xl">Review combos due</Heading>
        <div className="flex items-end gap-3">
          <ChoiceField
            label="Grade"
            className="w-40"
            value={grade}
            choices={gym.grades.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => setSearch({ grade: id }, { replace: true })}
          />
          <ButtonLink to="/fighters/class">The class</ButtonLink>
        </div>
      </div>
      {who.length === 0 && <Plain>Nobody of this grade may train now.</Plain>}
      {who.length > 0 && (
        <div className="space-y-8">
          <Part title="Due now" aside="one press for all, then who was otherwise">
            {due.length === 0 && <Plain>Nothing is due with this grade.</Plain>}
            {due.map(ask)}
          </Part>
          <Part title="Trained, and not due">
            {rest.length === 0 && <Plain>Nothing else was trained in the last half year.</Plain>}
            {rest.map(ask)}
          </Part>
        </div>
      )}
    </div>
  );
}
