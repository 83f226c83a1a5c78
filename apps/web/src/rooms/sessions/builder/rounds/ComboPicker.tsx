import { X } from 'lucide-react';
import { useCombos } from '../../../../server/gymData.ts';
import { SmallStrip } from '../../../../strip/SmallStrip.tsx';
import { IconButton } from '../../../../ui/IconButton.tsx';
import { ChoiceField } from '../../../../ui/Field.tsx';

interface ComboPickerProps {
  readonly label: string;
  /** What the field that adds one is called. */
  readonly add?: string;
  readonly chosen: readonly string[];
  readonly error: string | undefined;
  onChange(ids: string[]): void;
}

/** The combos of a round in the order in which they are called. */
export function ComboPicker({ label, add = 'Add a combo', chosen, error, onChange }: ComboPickerProps) {
  const combos = useCombos();
  const known = new Map(combos.map((combo) => [combo.id, combo]));
  const choices = [
    { value: '', label: add },
    ...combos
      .filter((combo) => !chosen.includes(combo.id))
      .map((combo) => ({ value: combo.id, label: `${combo.grade} ${combo.number} · ${combo.title}` })),
  ];
  return (
    <div className="pt-3">
      <p className="mb-1 text-sm font-semibold text-quiet">{label}</p>
      <ol>
        {chosen.map((id, i) => {
          const combo = known.get(id);
          return (
            <li key={id} className="flex items-center gap-3 border-b border-rule">
              <span className="flex-1">
                {combo ? `${combo.grade} ${combo.number} · ${combo.title}` : 'A combo that is gone'}
              </span>
              {combo && <SmallStrip line={combo.line} beatsPerBar={combo.beatsPerBar} room={120} />}
              <IconButton
                label={`Take ${combo?.title ?? 'it'} out of the round`}
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
        onChange={(value) => value !== '' && onChange([...chosen, value])}
      />
    </div>
  );
}
