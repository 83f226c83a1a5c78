import { TextField } from '../../../../ui/fields/Field.tsx';
import { useTyped } from '../../../../ui/fields/TypedField.tsx';
import { clockText, secondsFromClock } from '@eurhythm/core/units';

interface TimeFieldProps {
  readonly label: string;
  readonly className?: string;
  readonly seconds: number;
  readonly error: string | undefined;
  onChange(seconds: number): void;
}

const readSeconds = (text: string): number => secondsFromClock(text) ?? NaN;

const shownSeconds = (seconds: number): string => (Number.isFinite(seconds) ? clockText(seconds) : '');

/** A length written as minutes and seconds, or as seconds alone. */
export function TimeField({ label, className, seconds, error, onChange }: TimeFieldProps) {
  const [text, setText] = useTyped(seconds, { read: readSeconds, show: shownSeconds, same: Object.is });
  const read = secondsFromClock(text);
  return (
    <TextField
      label={label}
      className={className ?? ''}
      inputMode="numeric"
      value={text}
      error={read === null ? 'Write the time like 2:00, or in seconds.' : error}
      onChange={(e) => {
        setText(e.target.value);
        onChange(readSeconds(e.target.value));
      }}
      onBlur={() => read !== null && setText(clockText(read))}
    />
  );
}
