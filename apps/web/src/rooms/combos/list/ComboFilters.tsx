import { FAMILIES } from '@eurhythm/contract';
import { ChoiceField, TextField } from '../../../ui/fields/Field.tsx';
import { FAMILY_NAMES } from '../../../server/familyNames.ts';
import type { ComboFilter } from './comboFilter.ts';
import { useGym } from '../../../server/gymData.ts';

const KINDS = [
  { value: '', label: 'any kind' },
  { value: 'both-leads', label: 'from both leads' },
  { value: 'changes-lead', label: 'changes the lead' },
  { value: 'form', label: 'a form of another' },
] as const;

interface ComboFiltersProps {
  readonly filter: ComboFilter;
  onChange(filter: ComboFilter): void;
}

/** Narrows the list by a word, a grade, a family of moves or a kind. */
export function ComboFilters({ filter, onChange }: ComboFiltersProps) {
  const { grades } = useGym();
  return (
    <div className="grid grid-cols-2 gap-2 px-5 pt-3">
      <TextField
        label="Find"
        className="col-span-2"
        placeholder="title, line, note, focus or grade"
        value={filter.search}
        onChange={(e) => onChange({ ...filter, search: e.target.value })}
      />
      <details className="col-span-2" open={filter.gradeId + filter.family + filter.kind !== ''}>
        <summary className="min-h-11 cursor-pointer content-center text-sm text-quiet">More filters</summary>
        <div className="grid grid-cols-2 gap-2">
          <ChoiceField
            label="Grade"
            value={filter.gradeId}
            choices={[
              { value: '', label: 'any grade' },
              ...grades.map((grade) => ({ value: grade.id, label: grade.name })),
            ]}
            onChange={(value) => onChange({ ...filter, gradeId: value })}
          />
          <ChoiceField
            label="Uses"
            value={filter.family}
            choices={[
              { value: '', label: 'any moves' },
              ...FAMILIES.map((value) => ({ value, label: FAMILY_NAMES[value].toLowerCase() })),
            ]}
            onChange={(value) => onChange({ ...filter, family: value })}
          />
          <ChoiceField
            label="Kind"
            className="col-span-2"
            value={filter.kind}
            choices={KINDS}
            onChange={(value) => onChange({ ...filter, kind: value })}
          />
        </div>
      </details>
    </div>
  );
}
