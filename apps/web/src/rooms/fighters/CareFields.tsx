import { NO_CARE } from '@eurhythm/core/plan';
import { WORK_LIMBS } from '@eurhythm/core/rounds';
import type { CareDto } from '@eurhythm/contract';
import { TickField } from '../../ui/fields/Field.tsx';

interface CareFieldsProps {
  readonly care: CareDto | null;
  onChange(care: CareDto | null): void;
}

/** What somebody takes care of for now: it is told round by round, with what is done instead. */
export function CareFields({ care, onChange }: CareFieldsProps) {
  const now: CareDto = care ?? { ...NO_CARE, spared: [] };
  const change = (changes: Partial<CareDto>): void => {
    const next = { ...now, ...changes };
    const isNothing = !next.startsLight && !next.noHeadContact && next.spared.length === 0;
    onChange(isNothing ? null : next);
  };
  return (
    <fieldset className="col-span-2 flex flex-wrap gap-x-5">
      <legend className="text-sm font-semibold text-quiet">
        Takes care for now: shown for each round, with what to do instead
      </legend>
      <TickField
        label="Starts light"
        checked={now.startsLight}
        onChange={(startsLight) => change({ startsLight })}
      />
      <TickField
        label="No contact to the head"
        checked={now.noHeadContact}
        onChange={(noHeadContact) => change({ noHeadContact })}
      />
      {WORK_LIMBS.map((limb) => (
        <TickField
          key={limb}
          label={`No full power: ${limb.replace('-', ' ')}`}
          checked={now.spared.includes(limb)}
          onChange={(isSpared) =>
            change({ spared: isSpared ? [...now.spared, limb] : now.spared.filter((each) => each !== limb) })
          }
        />
      ))}
    </fieldset>
  );
}
