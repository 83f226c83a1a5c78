import { howMany } from '@eurhythm/core/units';
import { useState } from 'react';
import { ofSide } from '@eurhythm/core/speed';
import type { AttemptView } from '@eurhythm/contract';
import { useDates } from '../../../ui/fields/dates.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Plain } from '../../../ui/panels/Panel.tsx';
import { TrialSheet } from './TrialSheet.tsx';
import { MEASURED_WORDS, trialText } from './trialWords.ts';

/** So many stand there at first. */
const SHOWN = 8;

/** The newest trials of a fighter; each can be looked at and heard again. */
export function TrialList({ attempts }: { attempts: readonly AttemptView[] }) {
  const dates = useDates();
  const [isLong, setLong] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const newest = attempts.toReversed();
  const shown = isLong ? newest : newest.slice(0, SHOWN);
  const chosen = attempts.find(({ id }) => id === open);
  return (
    <Fold title="Trials" aside={`${howMany(attempts.length, 'trial')}`}>
      {newest.length === 0 && <Plain>No trial yet.</Plain>}
      {newest.length > 0 && (
        <p className="pt-1 text-sm text-quiet">Press one to look at it and to hear it again.</p>
      )}
      <ul>
        {shown.map((attempt) => (
          <li key={attempt.id} className="border-b border-rule">
            <button
              type="button"
              className="flex min-h-11 w-full items-baseline justify-between gap-4 py-1 text-left hover:bg-hint"
              onClick={() => setOpen(attempt.id)}
            >
              <span className="min-w-0">
                {ofSide(attempt.title, attempt.lead, attempt.sides)}
                <span className="block text-sm text-quiet">
                  {dates.tell(attempt.at, 'short')} · {MEASURED_WORDS[attempt.measured]}
                  {attempt.recorded !== null && ' · with its sound'}
                </span>
              </span>
              <strong className="tabular whitespace-nowrap">{trialText(attempt)}</strong>
            </button>
          </li>
        ))}
      </ul>
      {newest.length > SHOWN && (
        <Button weight="bare" onClick={() => setLong(!isLong)}>
          {isLong ? 'The newest only' : `All ${newest.length}`}
        </Button>
      )}
      {chosen && <TrialSheet attempt={chosen} onClose={() => setOpen(null)} />}
    </Fold>
  );
}
