import type { ReactNode } from 'react';
import { useShortcut } from '../../../ui/useShortcut.ts';
import { STAMPS, type StampId } from '@eurhythm/core/run';

interface StampRowProps {
  readonly stamp: StampId;
  onStamp(stamp: StampId): void;
  readonly children: ReactNode;
}

/** What a press says; each has its letter. */
export function StampRow({ stamp, onStamp, children }: StampRowProps) {
  return (
    <div className="mb-1 flex flex-wrap items-center gap-2" role="group" aria-label="What a press says">
      {STAMPS.map(({ id, name, key }) => (
        <StampButton key={id} name={name} letter={key} isOn={stamp === id} onPress={() => onStamp(id)} />
      ))}
      {children}
    </div>
  );
}

function StampButton({
  name,
  letter,
  isOn,
  onPress,
}: {
  name: string;
  letter: string;
  isOn: boolean;
  onPress: () => void;
}) {
  useShortcut(letter, onPress);
  return (
    <PlainButton isOn={isOn} onPress={onPress}>
      {name}
    </PlainButton>
  );
}

export function PlainButton({
  isOn,
  onPress,
  children,
}: {
  isOn?: boolean;
  onPress: () => void;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      onClick={onPress}
      className={`min-h-[44px] rounded px-3 text-lg pointer-coarse:min-h-[64px] pointer-coarse:min-w-[64px] ${isOn ? 'bg-tape font-bold text-on-tape' : 'border border-rule text-ink'}`}
    >
      {children}
    </button>
  );
}
