import { PlainButton } from '../../ui/buttons/PlainButton.tsx';

interface GroupChoiceProps {
  readonly groups: readonly string[];
  readonly value: string;
  onChange(group: string): void;
}

/** Which group is shown, where groups do lines of their own at the same time. */
export function GroupChoice({ groups, value, onChange }: GroupChoiceProps) {
  if (groups.length === 0) return null;
  return (
    <div role="group" aria-label="Group" className="flex flex-wrap gap-2">
      {['', ...groups].map((group) => (
        <PlainButton key={group} isOn={value === group} onPress={() => onChange(group)}>
          {group === '' ? 'everybody else' : group}
        </PlainButton>
      ))}
    </div>
  );
}
