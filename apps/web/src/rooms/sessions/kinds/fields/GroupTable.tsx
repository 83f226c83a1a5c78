import { Plus, X } from 'lucide-react';
import type { GroupNumber } from '@eurhythm/core/plan';
import { ROUND_LIMITS } from '@eurhythm/core/rounds';
import type { ComboView } from '@eurhythm/contract';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { TextField } from '../../../../ui/fields/Field.tsx';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { NumberField } from '../../../../ui/fields/TypedField.tsx';
import { useClassGroups } from './classGroups.ts';
import { EachGradesNumber } from './EachGradesNumber.tsx';

/** What a group does of its own in a block. */
export interface GroupRow {
  readonly group: string;
  readonly reps?: number;
  readonly line?: string | undefined;
  readonly title?: string | undefined;
}

interface GroupTableProps {
  readonly rows: readonly GroupRow[];
  /** What is written about a group: a line, an exercise. */
  readonly what: 'line' | 'title';
  /** How many a new row begins with; null where nothing is counted. */
  readonly reps: number | null;
  readonly path: string;
  readonly errors: FieldErrors;
  onChange(rows: GroupRow[]): void;
}

/** Who does something else, or another number of it, on the same clock: group, what, how many. */
export function GroupTable({ rows, what, reps, path, errors, onChange }: GroupTableProps) {
  const groups = useClassGroups();
  const set = (at: number, changes: Partial<GroupRow>): void =>
    onChange(rows.with(at, { ...rows[at]!, ...changes }));
  const begun = (group: string): GroupRow => ({
    group,
    ...(reps === null ? { title: '' } : { reps }),
  });
  const next = groups.find(({ name }) => !rows.some(({ group }) => group === name))?.name ?? '';
  const fill = (own: GroupNumber<ComboView>[]): void =>
    onChange(
      own.map(({ group, combo }) => ({
        ...(rows.find((row) => row.group === group) ?? begun(group)),
        line: combo.line,
      })),
    );
  return (
    <fieldset className="col-span-6">
      <legend className="text-sm font-semibold text-quiet">Groups that do something else</legend>
      <ul aria-label="Groups of the block">
        {rows.map((row, i) => (
          <li key={i} className="grid grid-cols-[9rem_1fr_6rem_auto] items-start gap-2 pt-2">
            <TextField
              label={`Group ${i + 1}`}
              isLabelHidden
              placeholder="group"
              value={row.group}
              error={errors.of(`${path}.${i}.group`)}
              onChange={(e) => set(i, { group: e.target.value })}
            />
            <TextField
              label={`What group ${i + 1} does`}
              isLabelHidden
              className={what === 'line' ? '[&_input]:font-line' : ''}
              placeholder={reps === null ? 'what it does' : 'the same'}
              value={row[what] ?? row.line ?? ''}
              error={errors.of(`${path}.${i}.${what}`)}
              onChange={(e) =>
                set(i, { [what]: e.target.value === '' && reps !== null ? undefined : e.target.value })
              }
            />
            {reps === null ? (
              <span />
            ) : (
              <NumberField
                label={`Times of group ${i + 1}`}
                isLabelHidden
                inputMode="numeric"
                value={row.reps ?? NaN}
                error={errors.of(`${path}.${i}.reps`)}
                onChange={(value) => set(i, { reps: value })}
              />
            )}
            <IconButton label={`Take group ${i + 1} out`} onClick={() => onChange(rows.toSpliced(i, 1))}>
              <X size={16} />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3 pt-2">
        {rows.length < ROUND_LIMITS.groups && (
          <Button onClick={() => onChange([...rows, begun(next)])}>
            <Plus size={16} aria-hidden /> {next === '' ? 'A group' : next}
          </Button>
        )}
        {what === 'line' && <EachGradesNumber onFill={fill} />}
      </div>
    </fieldset>
  );
}
