import { Plus, X } from 'lucide-react';
import type { MoveRiskDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../server/useFieldErrors.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { ChoiceField, TextField, TickField } from '../../ui/fields/Field.tsx';
import { IconButton } from '../../ui/buttons/IconButton.tsx';

/** When a risk is reported: always, or only from a side or at a height. */
const WHEN = [
  { value: 'any', label: 'always' },
  { value: 'front', label: 'from the front side' },
  { value: 'rear', label: 'from the rear side' },
  { value: 'head', label: 'to the head' },
  { value: 'body', label: 'to the body' },
  { value: 'low', label: 'low' },
] as const;
type When = (typeof WHEN)[number]['value'];

const whenOf = ({ side, level }: MoveRiskDto): When => side ?? level ?? 'any';

function whenFields(when: When): Pick<MoveRiskDto, 'side' | 'level'> {
  if (when === 'front' || when === 'rear') return { side: when, level: null };
  return { side: null, level: when === 'any' ? null : when };
}

const NEW_RISK: MoveRiskDto = { text: '', severity: 'note', side: null, level: null, muted: false };

interface RiskFieldsProps {
  readonly risks: readonly MoveRiskDto[];
  readonly errors: FieldErrors;
  onChange(risks: MoveRiskDto[]): void;
}

/** What a move lays open: sentences that the workbench tells wherever it is used, each of which can be muted. */
export function RiskFields({ risks, errors, onChange }: RiskFieldsProps) {
  const set = (at: number, changes: Partial<MoveRiskDto>): void =>
    onChange(risks.with(at, { ...risks[at]!, ...changes }));
  return (
    <fieldset className="col-span-2">
      <legend className="text-sm font-semibold text-quiet">Risks, shown wherever it is used</legend>
      {risks.map((risk, i) => (
        <div key={i} className="grid grid-cols-[1fr_auto_auto] items-center gap-2 pt-2">
          <TextField
            label={`Risk ${i + 1}`}
            isLabelHidden
            className="col-span-3"
            value={risk.text}
            error={errors.of(`risks.${i}.text`)}
            onChange={(e) => set(i, { text: e.target.value })}
          />
          <ChoiceField
            label={`When risk ${i + 1} is shown`}
            isLabelHidden
            value={whenOf(risk)}
            choices={WHEN}
            onChange={(when) => set(i, whenFields(when))}
          />
          <TickField
            label="shown"
            checked={!risk.muted}
            onChange={(isShown) => set(i, { muted: !isShown })}
          />
          <IconButton label={`Take risk ${i + 1} out`} onClick={() => onChange(risks.toSpliced(i, 1))}>
            <X size={16} />
          </IconButton>
        </div>
      ))}
      {risks.length < MOST_RISKS && (
        <Button className="mt-2" onClick={() => onChange([...risks, NEW_RISK])}>
          <Plus size={16} aria-hidden /> A risk
        </Button>
      )}
    </fieldset>
  );
}

/** As many as a move takes. */
const MOST_RISKS = 6;
