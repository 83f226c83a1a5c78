import type { GradeView, SchoolDto, YouthLimitsDto } from '@eurhythm/contract';
import { TickBox } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/TypedField.tsx';
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

interface YouthTableProps {
  readonly bands: readonly GradeView[];
  readonly school: SchoolDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SchoolDto>): void;
}

/** What the children of each band may do to a partner, and how hard. */
export function YouthTable({ bands, school, errors, onChange }: YouthTableProps) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full pt-2 text-left">
        <thead>
          <tr className="text-sm text-quiet">
            {['Band', ...LIMITS.map(([, name]) => name), 'contact, %'].map((header) => (
              <th key={header} className="py-2 text-center font-semibold first:text-left">
                {header}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {bands.map((band) => {
            const at = school.youth.findIndex(({ gradeId }) => gradeId === band.id);
            const limits = school.youth[at] ?? { gradeId: band.id, ...NO_LIMITS_SET };
            const others = school.youth.filter(({ gradeId }) => gradeId !== band.id);
            return (
              <BandRow
                key={band.id}
                band={band.name}
                limits={limits}
                error={errors.of(`youth.${at}.contact`)}
                onChange={(changes) => onChange({ youth: [...others, { ...limits, ...changes }] })}
              />
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

interface BandRowProps {
  readonly band: string;
  readonly limits: YouthLimitsDto;
  /** What is wrong with the contact. */
  readonly error: string | undefined;
  onChange(changes: Partial<YouthLimitsDto>): void;
}

function BandRow({ band, limits, error, onChange }: BandRowProps) {
  return (
    <tr className="border-t border-rule text-center">
      <td className="py-1 text-left font-semibold">{band}</td>
      {LIMITS.map(([key, name]) => (
        <td key={key} className="py-1">
          <span className="inline-flex size-11 items-center justify-center">
            <TickBox
              aria-label={`${band}: ${name}`}
              checked={limits[key]}
              onChange={(checked) => onChange({ [key]: checked })}
            />
          </span>
        </td>
      ))}
      <td className="py-1">
        <NumberField
          label={`${band}: hardest contact in percent`}
          isLabelHidden
          className="mx-auto w-24"
          value={limits.contact ?? 0}
          error={error}
          onChange={(contact) => onChange({ contact })}
        />
      </td>
    </tr>
  );
}
