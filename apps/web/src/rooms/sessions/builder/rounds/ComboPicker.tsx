import { X } from 'lucide-react';
import { refName } from '@eurhythm/core/plan';
import type { ComboRefDto } from '@eurhythm/contract';
import { useCombosById } from '../../useComboNames.ts';
import { useCombos } from '../../../../server/gymData.ts';
import { SmallStrip } from '../../../../strip/SmallStrip.tsx';
import { IconButton } from '../../../../ui/buttons/IconButton.tsx';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';

interface ComboPickerProps {
  readonly label: string;
  /** What the field that adds one is called. */
  readonly add?: string;
  readonly chosen: readonly ComboRefDto[];
  readonly error: string | undefined;
  onChange(refs: ComboRefDto[]): void;
}

/** The combos of a round in the order in which they are called. */
export function ComboPicker({ label, add = 'Add a combo', chosen, error, onChange }: ComboPickerProps) {
  const combos = useCombos();
  const known = useCombosById();
  const choices = [
    { value: '', label: add },
    ...combos
      .filter((combo) => !chosen.some(({ comboId }) => comboId === combo.id))
      .map((combo) => ({ value: combo.id, label: `${combo.grade} ${combo.number} · ${combo.title}` })),
  ];
  return (
    <div className="pt-3">
      <p className="mb-1 text-sm font-semibold text-quiet">{label}</p>
      <ol>
        {chosen.map((ref, i) => {
          const combo = known.get(ref.comboId ?? '');
          const line = combo?.line ?? ref.line;
          return (
            <li
              key={`${i} ${ref.comboId ?? ref.line}`}
              className="flex items-center gap-3 border-b border-rule"
            >
              <span className="flex-1">
                {combo ? `${combo.grade} ${combo.number} · ${combo.title}` : refName(ref, combo)}
                {combo?.retired && <span className="text-sm text-quiet"> · retired, still readable</span>}
              </span>
              {line !== undefined && (
                <SmallStrip line={line} beatsPerBar={combo?.beatsPerBar ?? 4} room={120} />
              )}
              <IconButton
                label={`Take ${combo?.title ?? ref.title ?? 'it'} out of the round`}
                onClick={() => onChange(chosen.toSpliced(i, 1))}
              >
                <X size={18} />
              </IconButton>
            </li>
          );
        })}
      </ol>
      <ChoiceField
        label={add}
        className="mt-2"
        value=""
        error={error}
        choices={choices}
        onChange={(value) => value !== '' && onChange([...chosen, { comboId: value }])}
      />
    </div>
  );
}
