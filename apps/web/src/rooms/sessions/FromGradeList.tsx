import { useQuery } from '@tanstack/react-query';
import { findMove, type MoveBook } from '@eurhythm/core/moves';
import type { AnyBlockDto, ComboView, TechniqueDto } from '@eurhythm/contract';
import { queries } from '../../app/queries.ts';
import { ChoiceField } from '../../ui/Field.tsx';
import { newBlock } from './blocks/newBlock.ts';

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
      const block = blockOf(technique, comboLine(technique.comboId), book);
      return block ? [{ key: `${grade.id}/${technique.id}`, grade: grade.name, block }] : [];
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

function blockOf(technique: TechniqueDto, combo: ComboView | undefined, book: MoveBook) {
  const start = newBlock('count', '', null);
  if (start.kind !== 'count') return null;
  const { reps, sides, sets, restSeconds } = technique;
  const counts = { reps: Math.min(99, reps), sides, sets, rest: restSeconds };
  if (combo) return { ...start, ...counts, title: combo.title, line: combo.line };
  const line = technique.move ?? '';
  const found = findMove(book, line.replace(/^[fr]:/, ''));
  return found ? { ...start, ...counts, title: found.move.name, line } : null;
}
