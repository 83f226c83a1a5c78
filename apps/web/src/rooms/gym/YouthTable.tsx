import type { GradeView, SchoolDto, YouthLimitsDto } from '@eurhythm/contract';
import { TickBox } from '../../ui/Field.tsx';
import type { FieldErrors } from '../../server/useFieldErrors.ts';

const LIMITS = [
  ['headContact', 'head contact'],
  ['knees', 'knees'],
  ['elbows', 'elbows'],
  ['spins', 'spins'],
  ['jumps', 'jumps'],
] as const;

interface YouthTableProps {
  readonly bands: readonly GradeView[];
  readonly school: SchoolDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SchoolDto>): void;
}

/** What the children of each band may do to a partner, and how hard. */
export function YouthTable({ bands, school, errors, onChange }: YouthTableProps) {
  const limitsOf = (gradeId: string): YouthLimitsDto =>
    school.youth.find((each) => each.gradeId === gradeId) ?? {
      gradeId,
      headContact: false,
      knees: false,
      elbows: false,
      spins: false,
      jumps: false,
      contact: 0,
    };
  const change = (gradeId: string, changes: Partial<YouthLimitsDto>): void =>
    onChange({
      youth: [
        ...school.youth.filter((each) => each.gradeId !== gradeId),
        { ...limitsOf(gradeId), ...changes },
      ],
    });
  const contactError = (gradeId: string): string | undefined =>
    errors.of(`youth.${school.youth.findIndex((each) => each.gradeId === gradeId)}.contact`);
  return (
    <table className="w-full pt-2 text-left">
      <thead>
        <tr className="text-sm text-quiet">
          <th className="py-2 font-semibold">Band</th>
          {LIMITS.map(([key, name]) => (
            <th key={key} className="py-2 text-center font-semibold">
              {name}
            </th>
          ))}
          <th className="py-2 text-center font-semibold">contact, %</th>
        </tr>
      </thead>
      <tbody>
        {bands.map((band) => (
          <tr key={band.id} className="border-t border-rule">
            <th className="py-1 font-semibold">{band.name}</th>
            {LIMITS.map(([key, name]) => (
              <td key={key} className="text-center">
                <span className="inline-flex size-11 items-center justify-center">
                  <TickBox
                    aria-label={`${band.name}: ${name}`}
                    checked={limitsOf(band.id)[key]}
                    onChange={(checked) => change(band.id, { [key]: checked })}
                  />
                </span>
              </td>
            ))}
            <td className="py-1 text-center">
              <input
                aria-label={`${band.name}: hardest contact in percent`}
                aria-invalid={contactError(band.id) !== undefined}
                title={contactError(band.id)}
                inputMode="numeric"
                className="min-h-11 w-16 rounded-md border border-quiet/60 bg-paper px-2 text-center aria-invalid:border-2 aria-invalid:border-caution"
                value={String(limitsOf(band.id).contact ?? 0)}
                onChange={(e) => change(band.id, { contact: Number(e.target.value) || 0 })}
              />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
