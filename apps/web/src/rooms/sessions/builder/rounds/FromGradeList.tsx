import { useQuery } from '@tanstack/react-query';
import type { MoveBook } from '@eurhythm/core/moves';
import { countedTechnique, type AnyBlockDto, type ComboView } from '@eurhythm/contract';
import { queries } from '../../../../app/queries.ts';
import { ChoiceField } from '../../../../ui/Field.tsx';
import { newCountBlock } from '../blocks/newBlock.ts';

interface FromGradeListProps {
  readonly comboLine: (id: string | null) => ComboView | undefined;
  readonly book: MoveBook;
  onAdd(block: AnyBlockDto): void;
}

/** What the grades train, with their counts, to be put into the round as it stands in their lists. */
export function FromGradeList({ comboLine, book, onAdd }: FromGradeListProps) {
  const { data: lists } = useQuery(queries.techniques());
  const { data: gym } = useQuery(queries.gym());
  if (!lists || !gym) return null;
  const entries = gym.grades.flatMap((grade) =>
    (lists[grade.id] ?? []).flatMap((technique) => {
      const counts = countedTechnique(technique, comboLine(technique.comboId), book);
      if (!counts) return [];
      const block = { ...newCountBlock(''), ...counts };
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
      onChange={(e) => {
        const entry = entries.find(({ key }) => key === e.target.value);
        if (entry) onAdd(entry.block);
      }}
    />
  );
}
