import type { ButtonHTMLAttributes } from 'react';
import { Tip } from '../panels/Tip.tsx';

/** A small square button with a picture only; `label` is what it is called. */
export function IconButton({
  label,
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { label: string }) {
  return (
    <Tip text={label}>
      <button
        type="button"
        aria-label={label}
        className={`inline-flex size-11 items-center justify-center rounded-md text-quiet hover:bg-hint hover:text-ink disabled:opacity-30 ${className}`}
        {...rest}
      />
    </Tip>
  );
}
