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
        <button
          key={group}
          type="button"
          aria-pressed={value === group}
          onClick={() => onChange(group)}
          className={`min-h-[44px] rounded border-2 px-3 font-semibold ${value === group ? 'border-tape bg-tape text-on-tape' : 'border-rule'}`}
        >
          {group === '' ? 'everybody else' : group}
        </button>
      ))}
    </div>
  );
}
