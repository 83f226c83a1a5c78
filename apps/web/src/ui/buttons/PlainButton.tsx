import type { ReactNode } from 'react';

interface PlainButtonProps {
  /** Whether it is on; left out where a press does something once. */
  readonly isOn?: boolean;
  readonly isDisabled?: boolean;
  readonly className?: string;
  readonly children: ReactNode;
  onPress(): void;
}

/** A button of the Floor and of the devices of the hall, that may stay on. */
export function PlainButton({
  isOn,
  isDisabled = false,
  onPress,
  className = '',
  children,
}: PlainButtonProps) {
  return (
    <button
      type="button"
      aria-pressed={isOn}
      disabled={isDisabled}
      onClick={onPress}
      className={`min-h-[44px] rounded px-3 disabled:opacity-50 text-lg pointer-coarse:min-h-[64px] pointer-coarse:min-w-[64px] ${isOn ? 'bg-tape font-bold text-on-tape' : 'border border-rule text-ink'} ${className}`}
    >
      {children}
    </button>
  );
}
