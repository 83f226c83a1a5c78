import { useState } from 'react';
import { TextField } from '../../../../ui/Field.tsx';
import { clockText, secondsFromClock } from '../../../../ui/times.ts';

interface TimeFieldProps {
  readonly label: string;
  readonly className?: string;
  readonly seconds: number;
  readonly error: string | undefined;
  onChange(seconds: number): void;
}

/** A length written as minutes and seconds, or as seconds alone. */
export function TimeField({ label, className, seconds, error, onChange }: TimeFieldProps) {
  const [text, setText] = useState(() => clockText(seconds));
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
        onChange(secondsFromClock(e.target.value) ?? NaN);
      }}
      onBlur={() => read !== null && setText(clockText(read))}
    />
  );
}
