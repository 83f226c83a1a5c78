import { useQuery } from '@tanstack/react-query';
import { countedTechnique, type CountedTechnique } from '@eurhythm/core/plan';
import { usualBlock } from '@eurhythm/core/rounds';
import type { AnyBlockDto, CountBlockDto } from '@eurhythm/contract';
import { useBook, useGym } from '../../../../server/gymData.ts';
import { useCombosById } from '../../useComboNames.ts';
import { queries } from '../../../../server/queries.ts';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';

/** What the grades train, with their counts, to be put into the round as it stands in their lists. */
export function FromGradeList({ onAdd }: { onAdd: (block: AnyBlockDto) => void }) {
  const { data: lists } = useQuery(queries.techniques());
  const gym = useGym();
  const book = useBook();
  const byId = useCombosById();
  if (!lists) return null;
  const entries = gym.grades.flatMap((grade) =>
    (lists[grade.id] ?? []).flatMap((technique) => {
      const counts = countedTechnique(technique, byId.get(technique.comboId ?? ''), book);
      if (!counts) return [];
      const block = newCount(counts);
      return [{ key: `${grade.id}/${technique.id}`, grade: grade.name, block }];
    }),
  );
  if (entries.length === 0) return null;
  return (
    <ChoiceField
      label="Or from what a grade trains"
      className="w-80 pt-3"
      value=""
      choices={[
        { value: '', label: 'choose a technique' },
        ...entries.map(({ key, grade, block }) => ({
          value: key,
          label: `${grade}: ${block.title}, ${block.reps}${block.sides === 'both' ? ' each side' : ''} × ${block.sets}`,
        })),
      ]}
      onChange={(value) => {
        const entry = entries.find(({ key }) => key === value);
        if (entry) onAdd(entry.block);
      }}
    />
  );
}

function newCount(counts: CountedTechnique): CountBlockDto {
  return { ...(usualBlock('count', '') as CountBlockDto), ...counts };
}
