import { titleInSeries, type CareNote } from '@eurhythm/core/plan';
import { groupBy } from '@eurhythm/core/units';

/** Who takes care of something, and what is done instead in which rounds. */
export function CareList({ care }: { readonly care: readonly CareNote[] }) {
  if (care.length === 0) return null;
  const byName = groupBy(care, ({ name }) => name);
  return (
    <section className="break-inside-avoid pt-3">
      <h3 className="text-base font-semibold">Who takes care</h3>
      <ul aria-label="Who takes care" className="text-sm">
        {[...byName].map(([name, own]) => (
          <li key={name} className="border-b border-rule py-1.5">
            <strong>{name}</strong>
            <ul>
              {[...groupBy(own, ({ message }) => message)].map(([message, same]) => (
                <li key={message}>
                  {message} <span className="text-quiet">{titlesOf(same)}</span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

const titlesOf = (same: readonly CareNote[]): string =>
  [...new Set(same.map(({ title }) => `“${titleInSeries(title)}”`))].join(', ');
