import type { BurstSummary } from '@eurhythm/core/speed';

/** What a burst came to. */
export function Outcome({
  summary,
  name,
  title,
  lead,
}: {
  summary: BurstSummary;
  name: string;
  title: string;
  lead: string;
}) {
  return (
    <div className="text-center" role="status">
      <p className="text-2xl text-quiet">
        {name} · {title} · {lead} lead
      </p>
      <p className="board text-[9rem] leading-none phone:text-[5rem]">{summary.count}</p>
      <p className="text-2xl">
        {summary.perSecond.toFixed(1)} a second; first third {summary.firstThird.toFixed(1)}, last third{' '}
        {summary.lastThird.toFixed(1)}. One trial, saved.
      </p>
    </div>
  );
}
