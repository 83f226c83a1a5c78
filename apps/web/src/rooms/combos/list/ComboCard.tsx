import type { SaveComboDto } from '@eurhythm/contract';
import type { FieldErrors } from '../../../server/useFieldErrors.ts';
import { ChoiceField, LongTextField, TextField, TickField } from '../../../ui/fields/Field.tsx';
import { MaybeNumberField, NumberField, NumbersField, WordsField } from '../../../ui/fields/TypedField.tsx';
import { useGym } from '../../../server/gymData.ts';

interface ComboCardProps {
  readonly combo: SaveComboDto;
  readonly errors: FieldErrors;
  onChange(changes: Partial<SaveComboDto>): void;
}

/** What stands on the combo's card beside its line. */
export function ComboCard({ combo, errors, onChange }: ComboCardProps) {
  const { grades } = useGym();
  return (
    <div className="grid grid-cols-6 gap-3 pt-3">
      <TextField
        label="Title"
        className="col-span-4"
        value={combo.title}
        error={errors.of('title')}
        onChange={(e) => onChange({ title: e.target.value })}
      />
      <ChoiceField
        label="Grade"
        className="col-span-2"
        value={combo.gradeId}
        error={errors.of('gradeId')}
        choices={grades.map((grade) => ({ value: grade.id, label: grade.name }))}
        onChange={(value) => onChange({ gradeId: value })}
      />
      <NumberField
        label="Number"
        className="col-span-2"
        inputMode="numeric"
        value={combo.number}
        error={errors.of('number')}
        onChange={(number) => onChange({ number })}
      />
      <NumberField
        label="Beats a minute"
        className="col-span-2"
        inputMode="numeric"
        value={combo.bpm}
        error={errors.of('bpm')}
        onChange={(bpm) => onChange({ bpm })}
      />
      <NumberField
        label="Beats in a bar"
        className="col-span-2"
        inputMode="numeric"
        value={combo.beatsPerBar}
        error={errors.of('beatsPerBar')}
        onChange={(beatsPerBar) => onChange({ beatsPerBar })}
      />
      <LongTextField
        label="Notes"
        className="col-span-6"
        value={combo.notes}
        error={errors.of('notes')}
        onChange={(e) => onChange({ notes: e.target.value })}
      />
      <WordsField
        label="Focus words"
        hint="a word or two each, with commas between"
        className="col-span-6"
        words={combo.focus}
        error={errors.of('focus')}
        onChange={(focus) => onChange({ focus })}
      />
      <MaybeNumberField
        label="Beats in a cycle"
        hint="empty: as the line needs"
        className="col-span-3"
        value={combo.cycleBeats}
        error={errors.of('cycleBeats')}
        onChange={(cycleBeats) => onChange({ cycleBeats })}
      />
      <NumbersField
        label="Contact plan, percent"
        hint="round by round, such as 0, 10, 25, 40"
        className="col-span-3"
        value={combo.contact}
        error={errors.of('contact')}
        onChange={(steps) => onChange({ contact: [...steps] })}
      />
      <TickField
        label="Trained from both leads"
        className="col-span-6"
        checked={combo.bothLeads}
        onChange={(checked) => onChange({ bothLeads: checked })}
      />
    </div>
  );
}
