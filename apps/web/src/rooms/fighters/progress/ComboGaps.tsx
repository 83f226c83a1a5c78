import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { PACE_FACTORS } from '@eurhythm/core/body';
import { ownPace } from '@eurhythm/core/progress';
import { ofNewestTempo } from '@eurhythm/core/speed';
import { groupBy, howMany } from '@eurhythm/core/units';
import type { AttemptView, FighterProgress, FighterView } from '@eurhythm/contract';
import { queries } from '../../../server/queries.ts';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Toggles } from '../../../ui/buttons/Toggles.tsx';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { comboGaps } from '../pictures/comboGaps.ts';
import { gapsOption, gapsTable } from '../pictures/gapsOption.ts';
import { Picture } from '../pictures/Picture.tsx';

interface ComboGapsProps {
  readonly fighter: FighterView;
  /** The oldest first. */
  readonly attempts: readonly AttemptView[];
  readonly pace: FighterProgress['pace'];
}

/** Where the time of a combo goes: its gaps against the line, and against what this body needs. */
export function ComboGaps({ fighter, attempts, pace }: ComboGapsProps) {
  const byTest = useMemo(
    () =>
      groupBy(
        attempts.filter(({ kind, heard }) => kind === 'combo-time' && heard !== null).reverse(),
        ({ testId, lead }) => `${testId} ${lead}`,
      ),
    [attempts],
  );
  const [chosen, setChosen] = useState('');
  const shown = byTest.get(chosen) ?? [...byTest.values()][0];
  if (!shown) return null;
  const choices = [...byTest].map(([value, own]) => ({
    value,
    label: `${own[0]!.title}, ${own[0]!.lead} lead`,
  }));
  const value = `${shown[0]!.testId} ${shown[0]!.lead}`;
  return (
    <Fold title="Where the time goes">
      <Toggles label="Which combo" className="pt-3" value={value} choices={choices} onChange={setChosen} />
      <GapPicture key={value} trials={shown} {...{ fighter, pace }} />
    </Fold>
  );
}

interface GapPictureProps extends Pick<ComboGapsProps, 'fighter' | 'pace'> {
  readonly trials: readonly AttemptView[];
}

function GapPicture({ trials, fighter, pace }: GapPictureProps) {
  const { data: book } = useQuery(queries.book());
  const { data: tests } = useQuery(queries.tests());
  const { testId, lead, title } = trials[0]!;
  const line = tests?.find(({ id }) => id === testId)?.line;
  const same = useMemo(() => ofNewestTempo(trials), [trials]);
  const { gaps, costliest } = useMemo(
    () =>
      comboGaps(
        same.flatMap(({ heard }) => heard ?? []),
        { line, lead, book, factor: pace ? ownPace(pace) : PACE_FACTORS.club },
      ),
    [same, line, lead, book, pace],
  );
  const draw = useCallback<Draw>((inks) => gapsOption(gaps, inks), [gaps]);
  if (gaps.length === 0) return null;
  const most = costliest === null ? null : gaps[costliest]!;
  return (
    <>
      <Picture
        draw={draw}
        label={`${title}, ${lead} lead: ${gaps.map(({ name, seconds }) => `${name} ${seconds.toFixed(2)} s`).join(', ')}.`}
        name={`${fighter.name} gaps ${title} ${lead}`}
        className="h-56"
        table={() => gapsTable(gaps)}
        of="the gaps"
      />
      <p className="text-sm">
        {most
          ? `Most time is lost at ${most.name}: ${most.seconds.toFixed(2)} s where the line has ${most.line.toFixed(2)} s.`
          : 'No gap is longer than the line asks for.'}{' '}
        <span className="text-quiet">
          From {howMany(same.length, 'trial')} of this tempo; the stroke is the least that{' '}
          {pace ? 'this body needs, by its own pace' : 'a body needs at club pace'}.
        </span>
      </p>
    </>
  );
}
