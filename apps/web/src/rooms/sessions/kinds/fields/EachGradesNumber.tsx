import { numberOfEachGrade, numbersOfGroups, type GroupNumber } from '@eurhythm/core/plan';
import type { ComboView } from '@eurhythm/contract';
import { useCombos } from '../../../../server/gymData.ts';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';
import { useClassGroups } from './classGroups.ts';

/** Fills all groups of the class in one choice: everybody does this number of their own grade. */
export function EachGradesNumber({ onFill }: { onFill: (rows: GroupNumber<ComboView>[]) => void }) {
  const groups = useClassGroups();
  const combos = useCombos();
  const numbers = numbersOfGroups(groups, combos);
  if (numbers.length === 0) return null;
  return (
    <ChoiceField
      label="Each grade’s own"
      className="w-44"
      value=""
      choices={[
        { value: '', label: 'choose a number' },
        ...numbers.map((number) => ({ value: String(number), label: `number ${number}` })),
      ]}
      onChange={(value) => value !== '' && onFill(numberOfEachGrade(groups, combos, Number(value)))}
    />
  );
}
