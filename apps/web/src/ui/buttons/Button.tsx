import type { ButtonHTMLAttributes, ReactNode } from 'react';
import { Link, type LinkProps } from 'react-router';

type Weight = 'main' | 'plain' | 'bare';

const LOOK: Readonly<Record<Weight, string>> = {
  main: 'bg-ink text-canvas hover:opacity-90',
  plain: 'border-2 border-ink bg-paper text-ink hover:bg-hint',
  bare: 'text-ink underline decoration-rule decoration-2 underline-offset-4 hover:decoration-ink',
};

const SHAPE =
  'inline-flex min-h-11 items-center justify-center gap-2 rounded-md px-4 py-1.5 font-semibold sm:whitespace-nowrap disabled:cursor-not-allowed disabled:opacity-45';

export function Button({
  weight = 'plain',
  className = '',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { weight?: Weight }) {
  return <button type="button" className={`${SHAPE} ${LOOK[weight]} ${className}`} {...rest} />;
}

export function ButtonLink({ weight = 'plain', className = '', ...rest }: LinkProps & { weight?: Weight }) {
  return <Link className={`${SHAPE} ${LOOK[weight]} ${className}`} {...rest} />;
}

export function Key({ children }: { children: ReactNode }) {
  return (
    <kbd className="rounded border border-current/50 px-1.5 font-line text-[0.8em] leading-5">{children}</kbd>
  );
}
