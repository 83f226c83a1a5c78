import { kindOf, type WrittenBlock } from './registry.ts';

/**
 * The block with its own lines written anew; `change` gives null for a line that stays. The same block where all of them do.
 *
 * @example
 * withLines({ id: 'a', kind: 'react', seconds: 60, line: '8' }, () => '9').line // '9'
 */
export function withLines<B extends WrittenBlock>(block: B, change: (line: string) => string | null): B {
  return withTexts(
    block,
    kindOf(block)
      .written(block)
      .map(({ field, line }) => ({ field, key: 'line', text: change(line) })),
  );
}

/**
 * The block with another combo wherever it names this one. The same block where it does not name it.
 *
 * @example
 * withCombo({ id: 'a', kind: 'combo', seconds: 60, combos: [{ comboId: 'old' }] }, 'old', 'new').combos // [{ comboId: 'new' }]
 */
export function withCombo<B extends WrittenBlock>(block: B, from: string, to: string): B {
  return withTexts(
    block,
    kindOf(block)
      .named(block)
      .map(({ field, comboId }) => ({ field, key: 'comboId', text: comboId === from ? to : null })),
  );
}

interface NewText {
  /** Path to a text, or to a thing that has it under `key`. */
  readonly field: string;
  readonly key: string;
  readonly text: string | null;
}

function withTexts<B extends WrittenBlock>(block: B, texts: readonly NewText[]): B {
  return texts.reduce<B>(
    (changed, { field, key, text }) =>
      text === null ? changed : (withTextAt(changed, field.split('.'), key, text) as B),
    block,
  );
}

/** A copy along the path; a thing at its end gets the text under `key`. */
function withTextAt(value: unknown, [step, ...steps]: readonly string[], key: string, text: string): unknown {
  if (typeof value === 'string') return text;
  if (step === undefined) return { ...(value as object), [key]: text };
  if (Array.isArray(value))
    return value.map((item, i) => (i === Number(step) ? withTextAt(item, steps, key, text) : item));
  const holder = value as Readonly<Record<string, unknown>>;
  return { ...holder, [step]: withTextAt(holder[step], steps, key, text) };
}
