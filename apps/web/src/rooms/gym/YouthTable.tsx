import { createColumnHelper, tableFeatures, useTable } from '@tanstack/react-table';
import { useMemo } from 'react';
import type { GradeView, SchoolDto, YouthLimitsDto } from '@eurhythm/contract';
import { TickBox } from '../../ui/Field.tsx';
import { NumberField } from '../../ui/TypedField.tsx';
import { useStable } from '../../ui/useStable.ts';
import type { FieldErrors } from '../../server/useFieldErrors.ts';

const LIMITS = [
  ['headContact', 'head contact'],
  ['knees', 'knees'],
  ['elbows', 'elbows'],
  ['spins', 'spins'],
  ['jumps', 'jumps'],
] as const;

const NO_LIMITS_SET = {
  headContact: false,
  knees: false,
  elbows: false,
  spins: false,
  jumps: false,
  contact: 0,
} as const;

interface Row {
  readonly band: GradeView;
  readonly limits: YouthLimitsDto;
  /** What is wrong with the contact. */
  readonly error: string | undefined;
}

interface YouthTableProps {
  readonly bands: readonly GradeView[];
  readonly school: SchoolDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SchoolDto>): void;
}

const features = tableFeatures({});
const column = createColumnHelper<typeof features, Row>();

/** What the children of each band may do to a partner, and how hard. */
export function YouthTable({ bands, school, errors, onChange }: YouthTableProps) {
  const change = useStable(({ limits }: Row, changes: Partial<YouthLimitsDto>): void =>
    onChange({
      youth: [...school.youth.filter(({ gradeId }) => gradeId !== limits.gradeId), { ...limits, ...changes }],
    }),
  );
  const columns = useMemo(
    () =>
      column.columns([
        column.accessor(({ band }) => band.name, { id: 'band', header: 'Band' }),
        ...LIMITS.map(([key, name]) =>
          column.display({
            id: key,
            header: name,
            cell: ({ row: { original } }) => (
              <span className="inline-flex size-11 items-center justify-center">
                <TickBox
                  aria-label={`${original.band.name}: ${name}`}
                  checked={original.limits[key]}
                  onChange={(checked) => change(original, { [key]: checked })}
                />
              </span>
            ),
          }),
        ),
        column.display({
          id: 'contact',
          header: 'contact, %',
          cell: ({ row: { original } }) => (
            <NumberField
              label={`${original.band.name}: hardest contact in percent`}
              isLabelHidden
              className="mx-auto w-24"
              value={original.limits.contact ?? 0}
              error={original.error}
              onChange={(contact) => change(original, { contact })}
            />
          ),
        }),
      ]),
    [change],
  );
  const data = bands.map((band): Row => {
    const at = school.youth.findIndex(({ gradeId }) => gradeId === band.id);
    const limits = school.youth[at] ?? { gradeId: band.id, ...NO_LIMITS_SET };
    return { band, limits, error: errors.of(`youth.${at}.contact`) };
  });
  const table = useTable({ features, columns, data, getRowId: ({ band }) => band.id });
  return (
    <div className="overflow-x-auto">
      <table className="w-full pt-2 text-left">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="text-sm text-quiet">
              {group.headers.map((header) => (
                <th key={header.id} className="py-2 text-center font-semibold first:text-left">
                  <table.FlexRender header={header} />
                </th>
              ))}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-t border-rule">
              {row.getAllCells().map((cell) => (
                <td key={cell.id} className="py-1 text-center first:text-left first:font-semibold">
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
