import type { FighterView, PresentDto } from '@eurhythm/contract';
import { ChoiceField, TickField } from '../../../ui/fields/Field.tsx';

interface CheckInProps {
  readonly fighters: readonly FighterView[];
  readonly present: readonly PresentDto[];
  readonly checklist: readonly string[];
  readonly rotations: number;
  onChange(fighterId: string, to: Partial<PresentDto> | null): void;
}

/** Everybody of the gym: who is here is ticked, and what was checked; who came late, or left, from when. */
export function CheckIn({ fighters, present, checklist, rotations, onChange }: CheckInProps) {
  return (
    <ul aria-label="Fighters" className="max-h-[34rem] overflow-y-auto">
      {fighters.map((fighter) => (
        <Person
          key={fighter.id}
          fighter={fighter}
          here={present.find((each) => each.fighterId === fighter.id)}
          checklist={checklist}
          rotations={rotations}
          onChange={(to) => onChange(fighter.id, to)}
        />
      ))}
    </ul>
  );
}

interface PersonProps extends Pick<CheckInProps, 'checklist' | 'rotations'> {
  readonly fighter: FighterView;
  readonly here: PresentDto | undefined;
  onChange(to: Partial<PresentDto> | null): void;
}

function Person({ fighter, here, checklist, rotations, onChange }: PersonProps) {
  return (
    <li className="border-b border-rule py-0.5">
      <div className="flex items-center justify-between gap-2">
        <TickField
          label={fighter.name}
          className={here ? 'font-semibold' : ''}
          checked={here !== undefined}
          disabled={!fighter.fit}
          onChange={(checked) => onChange(checked ? {} : null)}
        />
        <span className="text-right text-sm text-quiet">
          {fighter.fit ? fighter.grade : 'not fit to train'}
          {here && checklist.length > 0 && ` · ${here.ticked.length} of ${checklist.length}`}
        </span>
      </div>
      {fighter.note !== '' && <p className="pl-7 text-sm text-caution">{fighter.note}</p>}
      {here && (
        <div className="pb-2 pl-7">
          <div role="group" aria-label={`Checked for ${fighter.name}`} className="flex flex-wrap gap-x-4">
            {checklist.map((item) => (
              <TickField
                key={item}
                label={item}
                className="text-sm"
                checked={here.ticked.includes(item)}
                onChange={(checked) =>
                  onChange({
                    ticked: checked ? [...here.ticked, item] : here.ticked.filter((each) => each !== item),
                  })
                }
              />
            ))}
          </div>
          <details open={here.from > 0 || here.until !== null}>
            <summary className="flex min-h-11 w-fit cursor-pointer items-center text-sm text-quiet">
              Comes late, leaves early
            </summary>
            <div className="flex gap-3">
              <RotationField
                label="Here from rotation"
                value={here.from}
                from={0}
                to={rotations - 1}
                onChange={(from) =>
                  onChange({
                    from: from ?? 0,
                    until: here.until !== null && here.until <= (from ?? 0) ? null : here.until,
                  })
                }
              />
              <RotationField
                label="Leaves before"
                value={here.until}
                from={here.from + 1}
                to={rotations - 1}
                none="stays to the end"
                onChange={(until) => onChange({ until })}
              />
            </div>
          </details>
        </div>
      )}
    </li>
  );
}

interface RotationFieldProps {
  readonly label: string;
  /** Counted from 0; shown from 1. */
  readonly value: number | null;
  readonly from: number;
  readonly to: number;
  readonly none?: string;
  onChange(value: number | null): void;
}

function RotationField({ label, value, from, to, none, onChange }: RotationFieldProps) {
  const choices = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => ({
    value: String(from + i),
    label: String(from + i + 1),
  }));
  return (
    <ChoiceField
      label={label}
      className="w-40"
      value={value === null ? '' : String(value)}
      choices={none === undefined ? choices : [{ value: '', label: none }, ...choices]}
      onChange={(value) => onChange(value === '' ? null : Number(value))}
    />
  );
}
