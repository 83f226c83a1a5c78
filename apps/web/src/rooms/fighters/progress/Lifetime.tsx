import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { weeksLeft } from '@eurhythm/core/progress';
import type { LifetimeView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { useDates } from '../../../ui/fields/dates.ts';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';

/** The moves that stand there without a press. */
const FIRST = 4;

/** How often each move was done since the first day, towards the number that the gym chose. */
export function Lifetime({ fighterId }: { fighterId: string }) {
  const { data } = useQuery(queries.lifetime(fighterId));
  const dates = useDates();
  const [isAll, setAll] = useState(false);
  if (!data) return null;
  const { moves, since, towards } = data;
  const shown = isAll ? moves : moves.slice(0, FIRST);
  return (
    <Fold title="Each move so far" aside={since ? `since ${dates.tell(`${since}T12:00:00`, 'long')}` : ''}>
      {moves.length === 0 && <Plain>Nothing was counted yet. Rounds that are marked on the Floor are.</Plain>}
      <ul>
        {shown.map((move) => (
          <Total key={move.move} {...move} towards={towards} />
        ))}
      </ul>
      {moves.length > FIRST && (
        <Button weight="bare" aria-expanded={isAll} onClick={() => setAll(!isAll)}>
          {isAll ? `Only the first ${FIRST}` : `All ${moves.length} moves`}
        </Button>
      )}
      <p className="text-sm text-quiet">
        Of what goes by the beat or is counted, as far as it was marked as done.
        {towards === null && ' The gym may name a number to work towards: Gym, Where schools differ.'}
      </p>
    </Fold>
  );
}

type TotalProps = LifetimeView['moves'][number] & Pick<LifetimeView, 'towards'>;

function Total({ move, done, lately, towards }: TotalProps) {
  const weeks = towards === null ? null : weeksLeft({ done, lately }, towards);
  return (
    <li className="border-b border-rule py-1.5">
      <p className="flex items-baseline justify-between gap-4">
        <span className="font-semibold">{move}</span>
        <span className="tabular whitespace-nowrap">
          {done}
          {towards !== null && <span className="text-sm text-quiet"> of {towards}</span>}
        </span>
      </p>
      {towards !== null && (
        <>
          <div
            className="h-1.5 w-full bg-rule"
            role="progressbar"
            aria-valuemin={0}
            aria-valuemax={towards}
            aria-valuenow={Math.min(done, towards)}
            aria-label={`${move}: ${done} of ${towards}`}
          >
            <div className="h-full bg-ink" style={{ width: `${Math.min(100, (100 * done) / towards)}%` }} />
          </div>
          <p className="text-sm text-quiet">
            {weeks === 0
              ? 'reached'
              : weeks === null
                ? 'none in the last four weeks'
                : `${lately} in the last four weeks: about ${weeks} more ${weeks === 1 ? 'week' : 'weeks'} like those`}
          </p>
        </>
      )}
    </li>
  );
}
