import type { ComboBlockDto, ComboRefDto } from '@eurhythm/contract';
import { ChoiceField } from '../../../../ui/fields/Field.tsx';
import { MaybeNumberField, NumberField } from '../../../../ui/fields/TypedField.tsx';
import { ComboPicker } from '../../builder/rounds/ComboPicker.tsx';
import { CALL_CHOICES, GOES_BY_CHOICES, PLAN_CHOICES, WORD_CHOICES } from '../../choices.ts';
import { EachGradesNumber } from './EachGradesNumber.tsx';
import { LeadPlan } from './LeadPlan.tsx';
import type { SettingsProps } from './settings.ts';
import { TempoForThose } from './TempoForThose.tsx';
import { TempoWordButtons } from './TempoWordButtons.tsx';
import { TempoFields } from './TempoFields.tsx';

/** Settings of combos on a beat. */
export function ComboSettings({ block, path, errors, groups, onChange }: SettingsProps<ComboBlockDto>) {
  const { times = null, lanes = [] } = block;
  const shown = [...groups, ...lanes.map((lane) => lane.group).filter((group) => !groups.includes(group))];
  const ownOf = (group: string): ComboRefDto[] => lanes.find((lane) => lane.group === group)?.combos ?? [];
  const setLane = (group: string, combos: ComboRefDto[]): void => {
    const others = lanes.filter((lane) => lane.group !== group);
    const own = combos.length > 0 ? [{ group, combos }] : [];
    onChange({ ...block, lanes: [...others, ...own] });
  };
  return (
    <>
      <LeadPlan
        value={block.leadPlan}
        choices={PLAN_CHOICES}
        onChange={(leadPlan) => onChange({ ...block, leadPlan })}
      />
      <div className="grid grid-cols-6 gap-3 pt-3">
        <NumberField
          label="Beats a minute"
          className="col-span-2"
          inputMode="numeric"
          value={block.bpm}
          error={errors.of(`${path}.bpm`)}
          onChange={(bpm) => onChange({ ...block, bpm })}
        />
        <TempoWordButtons block={block} onTempo={(bpm) => onChange({ ...block, bpm })} />
        <TempoForThose block={block} onTempo={(bpm) => onChange({ ...block, bpm })} />
        <ChoiceField
          label="Goes by"
          className="col-span-2"
          value={times === null ? 'clock' : 'times'}
          choices={GOES_BY_CHOICES}
          onChange={(by) => onChange({ ...block, times: by === 'times' ? 10 : null })}
        />
        {times !== null && (
          <NumberField
            label="Times from each lead"
            className="col-span-2"
            inputMode="numeric"
            value={times}
            error={errors.of(`${path}.times`)}
            onChange={(times) => onChange({ ...block, times })}
          />
        )}
        {times === null && (
          <NumberField
            label="Times each combo"
            className="col-span-2"
            inputMode="numeric"
            value={block.cyclesEach}
            error={errors.of(`${path}.cyclesEach`)}
            onChange={(cyclesEach) => onChange({ ...block, cyclesEach })}
          />
        )}
        <MaybeNumberField
          label="Steps back after"
          hint="times through; empty: as written"
          className="col-span-2"
          inputMode="numeric"
          value={block.wayBack ?? null}
          error={errors.of(`${path}.wayBack`)}
          onChange={(wayBack) => onChange({ ...block, wayBack })}
        />
        <ChoiceField
          label="Called by"
          className="col-span-2"
          value={block.words}
          choices={WORD_CHOICES}
          onChange={(value) => onChange({ ...block, words: value })}
        />
        <ChoiceField
          label="Calls"
          className="col-span-6"
          value={block.calls}
          choices={CALL_CHOICES}
          onChange={(value) => onChange({ ...block, calls: value })}
        />
      </div>
      <TempoFields {...{ block, path, errors, onChange }} />
      <ComboPicker
        label="Combos, in the order of their calls"
        chosen={block.combos}
        error={errors.of(`${path}.combos`) ?? errors.under(`${path}.combos`)[0]?.message}
        onChange={(combos) => onChange({ ...block, combos })}
      />
      {groups.length > 0 && (
        <div className="pt-3">
          <EachGradesNumber
            onFill={(rows) =>
              onChange({
                ...block,
                lanes: rows.map(({ group, combo }) => ({ group, combos: [{ comboId: combo.id }] })),
              })
            }
          />
        </div>
      )}
      {shown.map((group) => (
        <ComboPicker
          key={group}
          label={ownOf(group).length > 0 ? `${group} do instead` : `${group} do the same`}
          add={`Own combo for ${group}`}
          chosen={ownOf(group)}
          error={errors.under(`${path}.lanes.${lanes.findIndex((lane) => lane.group === group)}`)[0]?.message}
          onChange={(combos) => setLane(group, combos)}
        />
      ))}
    </>
  );
}
