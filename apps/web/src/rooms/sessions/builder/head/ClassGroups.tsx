import { X } from 'lucide-react';
import { ROUND_LIMITS } from '@eurhythm/core/rounds';
import type { ClassGroupDto } from '@eurhythm/contract';
import { useFighters, useGym } from '../../../../server/gymData.ts';
import type { FieldErrors } from '../../../../server/useFieldErrors.ts';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { TextField, TickField } from '../../../../ui/fields/Field.tsx';

interface ClassGroupsProps {
  readonly groups: readonly ClassGroupDto[];
  readonly errors: FieldErrors;
  onChange(groups: ClassGroupDto[]): void;
}

/** The groups that a class is split into, and the grades in each. A group can have combos and counts of its own. */
export function ClassGroups({ groups, errors, onChange }: ClassGroupsProps) {
  const gym = useGym();
  const fighters = useFighters();
  const isExpected = (gradeId: string): boolean =>
    fighters.some((fighter) => fighter.fit && fighter.gradeId === gradeId);
  const left = gym.grades.filter((grade) => !groups.some((group) => group.gradeIds.includes(grade.id)));
  // Grades that somebody comes from go first.
  const expected = left.filter((grade) => isExpected(grade.id));
  const free = [...expected, ...left.filter((grade) => !isExpected(grade.id))];
  const addExpected = (): void =>
    onChange([
      ...groups,
      ...expected
        .slice(0, ROUND_LIMITS.groups - groups.length)
        .map(({ id, name }) => ({ name, gradeIds: [id] })),
    ]);
  const add = (): void =>
    onChange([
      ...groups,
      {
        name: free[0]?.name ?? `Group ${groups.length + 1}`,
        gradeIds: free.slice(0, 1).map((grade) => grade.id),
      },
    ]);
  return (
    <details className="mb-2 min-w-0 flex-1">
      <summary className="flex min-h-11 w-fit cursor-pointer items-center text-sm font-semibold text-quiet">
        {groups.length === 0
          ? 'Everybody is one group'
          : `On one clock: ${groups.map((group) => group.name).join(', ')}`}
      </summary>
      {errors.of('groups') !== undefined && (
        <p role="alert" className="text-sm font-semibold text-caution">
          {errors.of('groups')}
        </p>
      )}
      <ul aria-label="Groups">
        {groups.map((group, i) => (
          <li key={i} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1">
            <TextField
              label="Name of the group"
              className="w-44 [&>label]:sr-only"
              value={group.name}
              error={errors.of(`groups.${i}.name`)}
              onChange={(e) => onChange(groups.with(i, { ...group, name: e.target.value }))}
            />
            {gym.grades.map((grade) => (
              <TickField
                key={grade.id}
                label={grade.name}
                checked={group.gradeIds.includes(grade.id)}
                onChange={(checked) =>
                  onChange(
                    groups.with(i, {
                      ...group,
                      gradeIds: checked
                        ? [...group.gradeIds, grade.id]
                        : group.gradeIds.filter((each) => each !== grade.id),
                    }),
                  )
                }
              />
            ))}
            <IconButton
              label={`Take the group ${group.name} out`}
              onClick={() => onChange(groups.toSpliced(i, 1))}
            >
              <X size={18} />
            </IconButton>
          </li>
        ))}
      </ul>
      {groups.length < ROUND_LIMITS.groups && (
        <span className="flex gap-4">
          <Button weight="bare" className="px-0!" onClick={add}>
            Add a group
          </Button>
          {expected.length > 1 && (
            <Button weight="bare" className="px-0!" onClick={addExpected}>
              One for each grade that comes: {expected.map(({ name }) => name).join(', ')}
            </Button>
          )}
        </span>
      )}
    </details>
  );
}
