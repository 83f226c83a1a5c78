import { useState } from 'react';
import { TextField, type Labelled } from './Field.tsx';
import { shownNumber, typedNumber } from './numbers.ts';

interface Meaning<T> {
  read(text: string): T;
  show(value: T): string;
  same(a: T, b: T): boolean;
}

/**
 * The text of a field whose value is something else than text. What is typed stays as it is typed for as long as it means
 * the value that the field has; a value that comes from elsewhere (undo, a proposal that was taken) is shown anew.
 */
export function useTyped<T>(
  value: T,
  { read, show, same }: Meaning<T>,
): readonly [text: string, setText: (text: string) => void] {
  const [typed, setTyped] = useState(() => show(value));
  return [same(read(typed), value) ? typed : show(value), setTyped];
}

interface TypedProps<T> extends Labelled {
  readonly value: T;
  readonly inputMode?: 'numeric' | 'decimal';
  onChange(value: T): void;
}

function TypedField<T>({ value, meaning, onChange, ...rest }: TypedProps<T> & { meaning: Meaning<T> }) {
  const [text, setText] = useTyped(value, meaning);
  return (
    <TextField
      {...rest}
      value={text}
      onChange={(e) => {
        setText(e.target.value);
        onChange(meaning.read(e.target.value));
      }}
    />
  );
}

const NUMBER: Meaning<number> = { read: typedNumber, show: shownNumber, same: Object.is };
const MAYBE_NUMBER: Meaning<number | null> = {
  ...NUMBER,
  read: (text) => (text.trim() === '' ? null : typedNumber(text)),
  show: shownNumber,
};

/** A number; NaN while what is typed is none. */
export function NumberField({ value, inputMode = 'decimal', ...rest }: TypedProps<number>) {
  // A kept draft turns NaN into null.
  return <TypedField {...rest} inputMode={inputMode} value={value ?? NaN} meaning={NUMBER} />;
}

/** A number, or null where nothing is written. */
export function MaybeNumberField({ inputMode = 'decimal', ...rest }: TypedProps<number | null>) {
  return <TypedField {...rest} inputMode={inputMode} meaning={MAYBE_NUMBER} />;
}

const WORDS: Meaning<readonly string[]> = {
  read: (text) =>
    text
      .split(',')
      .map((word) => word.trim())
      .filter((word) => word !== ''),
  show: (words) => words.join(', '),
  same: (a, b) => a.join() === b.join(),
};

interface WordsFieldProps extends Labelled {
  readonly words: readonly string[];
  onChange(words: string[]): void;
}

/** A short list written with commas. */
export function WordsField({ words, onChange, ...rest }: WordsFieldProps) {
  return <TypedField {...rest} value={words} meaning={WORDS} onChange={(next) => onChange([...next])} />;
}

const NUMBERS: Meaning<readonly number[]> = {
  read: (text) => WORDS.read(text).map(typedNumber),
  show: (steps) => steps.map(shownNumber).join(', '),
  same: (a, b) => a.length === b.length && a.every((step, i) => Object.is(step, b[i] ?? NaN)),
};

/** Several numbers with commas between. */
export function NumbersField({ value, onChange, ...rest }: TypedProps<readonly number[]>) {
  return <TypedField {...rest} value={value} meaning={NUMBERS} onChange={onChange} />;
}
