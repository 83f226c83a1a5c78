/** A sentence in which `words between grave accents` are shown as they are typed into a line. */
export function Marked({ text, className }: { text: string; className?: string }) {
  return (
    <span className={className}>
      {text.split('`').map((part, i) =>
        i % 2 === 1 ? (
          <code key={i} className="rounded bg-hint px-1 font-line">
            {part}
          </code>
        ) : (
          part
        ),
      )}
    </span>
  );
}
