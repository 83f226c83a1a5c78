import { useMemo, useState } from 'react';
import { fitRounds, placeOf, roundSeconds, withLengths } from '@eurhythm/core/plan';
import type { RoundDto } from '@eurhythm/contract';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { clockText } from '@eurhythm/core/units';
import { kindOf } from '@eurhythm/core/rounds';

/** Brings the session to the length of the class: proposed changes, taken one by one or all at once. */
export function FitPanel({
  theme,
  rounds,
  onChange,
}: {
  /** What the class is about, in words: its title. */
  theme: string;
  rounds: readonly RoundDto[];
  onChange: (rounds: RoundDto[]) => void;
}) {
  const [minutes, setMinutes] = useState('');
  const wanted = Number(minutes);
  const isWanted = minutes.trim() !== '' && wanted > 0 && wanted <= 600;
  const fit = useMemo(
    () => (isWanted ? fitRounds(rounds, Math.round(wanted * 60), theme.split(' ')) : null),
    [rounds, wanted, isWanted, theme],
  );
  const isWhole = fit !== null && fit.dropped.length + fit.added.length > 0;
  const names = new Map(
    (fit?.rounds ?? rounds).flatMap((round) =>
      round.blocks.map((block) => [
        placeOf(round, block.id),
        `${round.title}: ${kindOf(block).name.toLowerCase()}`,
      ]),
    ),
  );
  return (
    <Part title="Fit to the hour">
      <TextField
        label="Minutes of the class"
        className="w-44 pt-3"
        inputMode="decimal"
        value={minutes}
        error={minutes.trim() === '' || isWanted ? undefined : 'From 1 to 600 minutes.'}
        onChange={(e) => setMinutes(e.target.value)}
      />
      {fit && !isWhole && fit.changes.length === 0 && fit.missing === 0 && (
        <p className="pt-3 text-fine">It fits to the second.</p>
      )}
      {fit && fit.missing !== 0 && (
        <p className="pt-3 font-semibold text-caution">
          {clockText(Math.abs(fit.missing))} {fit.missing > 0 ? 'stay empty' : 'too much'} even so: the
          warm-up and what is counted keep their length, the rest is at most doubled or halved.
        </p>
      )}
      {fit && isWhole && (
        <ul aria-label="Whole rounds" className="pt-2">
          {fit.dropped.map((round) => (
            <li key={round.id}>
              Without “{round.title}”, {clockText(roundSeconds(round))}: it matters least here.
            </li>
          ))}
          {fit.added.map((round) => (
            <li key={round.id}>
              “{round.title}” once more, {clockText(roundSeconds(round))}.
            </li>
          ))}
        </ul>
      )}
      {fit && (isWhole || fit.changes.length > 0) && (
        <>
          <ul aria-label="Proposed changes" className="pt-2">
            {fit.changes.map((change) => (
              <li key={change.id} className="flex min-h-11 items-center gap-3 border-b border-rule">
                <span className="min-w-0 flex-1 truncate">{names.get(change.id)}</span>
                <span className="tabular whitespace-nowrap">
                  {clockText(change.from)} → <strong>{clockText(change.to)}</strong>
                </span>
                {!isWhole && (
                  <Button
                    weight="bare"
                    className="px-2!"
                    onClick={() => onChange(withLengths(rounds, [change]))}
                  >
                    Take
                  </Button>
                )}
              </li>
            ))}
          </ul>
          <Button className="mt-3" onClick={() => onChange([...fit.rounds])}>
            Take all: {clockText(fit.total)}
          </Button>
        </>
      )}
    </Part>
  );
}
