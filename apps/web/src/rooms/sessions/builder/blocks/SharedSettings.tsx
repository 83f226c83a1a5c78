import { isRest } from '@eurhythm/core/rounds';
import type { AnyBlockDto } from '@eurhythm/contract';
import { TextField, TickField } from '../../../../ui/fields/Field.tsx';
import { MaybeNumberField, WordsField } from '../../../../ui/fields/TypedField.tsx';
import type { SettingsProps } from '../../kinds/fields/settings.ts';

/** What every block has: whom it is for, what has to be at hand, the room, and what is said before. */
export function SharedSettings({
  block,
  path,
  errors,
  groups,
  onChange,
}: SettingsProps<AnyBlockDto> & { groups: readonly string[] }) {
  if (isRest(block)) return null;
  const who = block.who ?? [];
  const isFor = (group: string): boolean => who.length === 0 || who.includes(group);
  const toggle = (group: string): void => {
    const next = groups.filter((each) => (each === group ? !isFor(each) : isFor(each)));
    onChange({ ...block, who: next.length === groups.length ? [] : next });
  };
  return (
    <details
      className="mt-3 border-t border-rule pt-1"
      open={Boolean(block.tell || block.kit?.length || block.space || who.length)}
    >
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold text-quiet">
        Who, kit, room, and what is said before
      </summary>
      {groups.length > 0 && (
        <fieldset className="flex flex-wrap gap-x-4">
          <legend className="text-sm font-semibold text-quiet">For</legend>
          {groups.map((group) => (
            <TickField
              key={group}
              label={group}
              checked={isFor(group)}
              disabled={isFor(group) && who.length === 1}
              onChange={() => toggle(group)}
            />
          ))}
        </fieldset>
      )}
      <div className="grid grid-cols-6 gap-3 pt-1">
        <WordsField
          label="What has to be at hand"
          hint="such as: pads, floor tape"
          className="col-span-4"
          words={block.kit ?? []}
          error={errors.under(`${path}.kit`)[0]?.message}
          onChange={(kit) => onChange({ ...block, kit })}
        />
        <MaybeNumberField
          label="Steps one way"
          hint="empty: as its lines need"
          className="col-span-2"
          value={block.space ?? null}
          error={errors.of(`${path}.space`)}
          onChange={(space) => onChange({ ...block, space })}
        />
        <TextField
          label="Said before it begins"
          className="col-span-6"
          value={block.tell ?? ''}
          error={errors.of(`${path}.tell`)}
          onChange={(e) => onChange({ ...block, tell: e.target.value })}
        />
      </div>
    </details>
  );
}
