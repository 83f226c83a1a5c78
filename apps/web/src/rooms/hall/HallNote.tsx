import type { ReactNode } from 'react';
import { Heading } from '../../ui/panels/Heading.tsx';

/** A page of the hall that has one thing to say. */
export function HallNote({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <main className="mat flex min-h-dvh flex-col items-center justify-center gap-6 p-6 text-center">
      <Heading className="board text-5xl phone:text-3xl">
        <span role="status">{title}</span>
      </Heading>
      {children}
    </main>
  );
}
