import type { ReactNode } from 'react';
import { PlainButton } from '../../../ui/buttons/PlainButton.tsx';
import { useShortcut } from '../../../ui/focus/useShortcut.ts';
import { STAMPS, type StampId } from '@eurhythm/core/run';
import { groupBy } from '@eurhythm/core/units';

interface StampRowProps {
  readonly stamp: StampId;
  onStamp(stamp: StampId): void;
  readonly children?: ReactNode;
}

/** What a press says; each has its letter. */
export function StampRow({ stamp, onStamp, children }: StampRowProps) {
  return (
    <div
      className="mb-1 flex flex-wrap items-center gap-x-4 gap-y-2"
      role="group"
      aria-label="What a press says"
    >
      {[...groupBy(STAMPS, ({ of }) => of)].map(([of, stamps]) => (
        <span key={of} role="group" aria-label={of} className="flex flex-wrap gap-1.5">
          {stamps.map(({ id, name, key }) => (
            <StampButton key={id} name={name} letter={key} isOn={stamp === id} onPress={() => onStamp(id)} />
          ))}
        </span>
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
