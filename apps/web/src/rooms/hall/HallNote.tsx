import type { ReactNode } from 'react';

/** A page of the hall that has one thing to say. */
export function HallNote({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <main className="mat flex min-h-dvh flex-col items-center justify-center gap-6 p-6 text-center">
      <h1 className="board text-5xl phone:text-3xl">
        <span role="status">{title}</span>
      </h1>
      {children}
    </main>
  );
}
