import { howMany } from '@eurhythm/core/units';
import { useState } from 'react';
import { isSlip } from '@eurhythm/core/progress';
import type { BurstSummary, CountSummary } from '@eurhythm/core/speed';
import { MOST_COUNT } from '@eurhythm/contract';
import { Button } from '../../../ui/buttons/Button.tsx';

/** A number alone says nothing of the thirds. */
export type OutcomeSummary = CountSummary | BurstSummary;

/** What a burst came to. */
export function Outcome({
  summary,
  name,
  title,
  lead,
  doubtful,
  isKept,
  onCount,
}: {
  summary: OutcomeSummary;
  name: string;
  title: string;
  lead: string;
  /** Sounds that may have been strikes of somebody else. */
  doubtful: number;
  /** Whether it was kept as a trial; what is only tried is not. */
  isKept: boolean;
  /** Where it was heard, it may be counted again by hand. */
  onCount: ((count: number) => void) | null;
}) {
  const timed = 'firstThird' in summary ? summary : null;
  return (
    <div className="text-center" role="status">
      <p className="text-2xl text-quiet">
        {name} · {title} · {lead} lead
      </p>
      <p className="board text-[9rem] leading-none phone:text-[5rem]">{summary.count}</p>
      <p className="text-2xl">
        {summary.perSecond.toFixed(1)} a second
        {timed && `; first third ${timed.firstThird.toFixed(1)}, last third ${timed.lastThird.toFixed(1)}`}
        {timed &&
          timed.unevenness !== null &&
          `; gaps uneven by ${Math.round(100 * timed.unevenness)} %`}.{' '}
        {isKept ? 'One trial, saved.' : 'Only tried: nothing was kept.'}
      </p>
      {doubtful > 0 && (
        <p className="text-xl text-quiet">
          {howMany(doubtful, 'sound was', 'sounds were')} too weak or too unlike a strike, and not counted.
        </p>
      )}
      {onCount && <ByHand key={summary.count} count={summary.count} onCount={onCount} />}
    </div>
  );
}

/** The number that somebody counted, in place of the one that was heard. */
function ByHand({ count, onCount }: { count: number; onCount: (count: number) => void }) {
  const [typed, setTyped] = useState(String(count));
  const [asked, setAsked] = useState<number | null>(null);
  const number = /^\d{1,4}$/.test(typed) ? Math.min(MOST_COUNT, Number(typed)) : null;
  return (
    <form
      className="mt-2 flex items-center justify-center gap-3 text-xl"
      onSubmit={(event) => {
        event.preventDefault();
        if (number === null || number === count) return;
        if (isSlip(number, [count, count]) && asked !== number) setAsked(number);
        else onCount(number);
      }}
    >
      <label htmlFor="by-hand">Counted by hand</label>
      <input
        id="by-hand"
        inputMode="numeric"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="board w-24 border-b-4 border-tape bg-transparent text-center text-4xl leading-none"
      />
      <Button
        className="min-h-[64px] px-6 text-xl"
        type="submit"
        disabled={number === null || number === count}
      >
        Take this number
      </Button>
      {asked !== null && asked === number && (
        <p role="alert" className="font-semibold text-caution">
          {asked}, where {count} were heard? Press once more if it is so.
        </p>
      )}
    </form>
  );
}
