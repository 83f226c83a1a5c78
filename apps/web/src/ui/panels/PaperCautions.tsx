import { CAUTIONS } from '@eurhythm/contract/cautions';

/** The cautions as they stand at the end of every printed sheet. */
export function PaperCautions({ className = '' }: { className?: string }) {
  return (
    <section className={`mt-4 break-inside-avoid border border-ink p-3 text-sm ${className}`}>
      {CAUTIONS.map((caution) => (
        <p key={caution}>{caution}</p>
      ))}
    </section>
  );
}
