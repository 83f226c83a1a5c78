import type { ReactNode } from 'react';

/** One way of teaching: its name, what it comes to, and what can be done with it. */
export function Way({
  name,
  what,
  actions,
  children,
}: {
  name: string;
  what: ReactNode;
  actions: ReactNode;
  children?: ReactNode;
}) {
  return (
    <div className="border-b border-rule py-1">
      <div className="grid min-h-11 grid-cols-[5.5rem_1fr_auto] items-center gap-2">
        <span className="font-semibold">{name}</span>
        <span className="min-w-0 break-words">{what}</span>
        <span className="flex gap-0.5">{actions}</span>
      </div>
      {children}
    </div>
  );
}

export function Press({ onPress, children }: { onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      onClick={onPress}
      className="min-h-11 rounded px-2 text-quiet underline underline-offset-4 hover:bg-hint hover:text-ink"
    >
      {children}
    </button>
  );
}

/** Several lines of a way, each with its own actions. */
export function Lines({
  lines,
  note,
  actions,
}: {
  lines: readonly string[];
  note?: (place: number) => string;
  actions: (line: string, place: number) => ReactNode;
}) {
  return (
    <ul>
      {lines.map((line, i) => (
        <li key={line} className="flex items-center gap-3 pl-4">
          <code className="min-w-0 flex-1 break-words font-line">{line}</code>
          {note && <span className="text-sm text-quiet">{note(i)}</span>}
          {actions(line, i)}
        </li>
      ))}
    </ul>
  );
}
