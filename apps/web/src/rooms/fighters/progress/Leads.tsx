import { howMany } from '@eurhythm/core/units';
import { useCallback } from 'react';
import { fadingSentence } from '@eurhythm/core/progress';
import type { FighterProgress, FighterView } from '@eurhythm/contract';
import { Fold } from '../../../ui/panels/Fold.tsx';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { leadsOption, leadsTable } from '../pictures/leadsOption.ts';
import { Picture } from '../pictures/Picture.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

interface LeadsProps {
  readonly fighter: FighterView;
  readonly leads: FighterProgress['leads'];
}

/** Both leads side by side: the bar is what the difference may be, the dot what it is. */
export function Leads({ fighter, leads }: LeadsProps) {
  const draw = useCallback<Draw>((inks) => leadsOption(leads, inks), [leads]);
  return (
    <Part title="Two leads">
      {leads.length === 0 && <Plain>Nothing was tried from both leads in the same way yet.</Plain>}
      {leads.length > 0 && (
        <Picture
          draw={draw}
          label={leads.map(({ title, sentence }) => `${title}: ${sentence}`).join(' ')}
          name={`${fighter.name} leads`}
          className={HEIGHTS[Math.min(leads.length, HEIGHTS.length) - 1]!}
          table={() => leadsTable(leads)}
          of="the leads"
        />
      )}
    </Part>
  );
}

/** The same test by test in words. */
export function LeadsInWords({ leads }: Pick<FighterProgress, 'leads'>) {
  const behind = leads.filter((each) => each.behind !== null).length;
  return (
    <Fold title="Leads, test by test" aside={`${behind} of ${leads.length} differ`}>
      <p className="pt-1 text-sm text-quiet">The bar is what the difference may be, the dot what it is.</p>
      <ul>
        {leads.map(({ testId, title, sentence }) => (
          <li key={testId} className="border-b border-rule py-1.5">
            <span className="font-semibold">{title}.</span> {sentence}
          </li>
        ))}
      </ul>
    </Fold>
  );
}

/** How a burst fades from its first third to its last, and from one to the next. */
export function Fading({ fading }: Pick<FighterProgress, 'fading'>) {
  const { inSentence } = useDates();
  if (fading.length === 0) return null;
  return (
    <Fold title="How a burst fades" aside={fading[0]!.title}>
      {fading.map(({ testId, title, percent, bursts, across }) => (
        <p key={testId} className="border-b border-rule py-1.5">
          {title}: the last third is {Math.abs(percent).toFixed(0)} % {percent >= 0 ? 'slower' : 'faster'}{' '}
          than the first, over {howMany(bursts, 'burst')}. {across && inSentence(fadingSentence(across))}
        </p>
      ))}
    </Fold>
  );
}

/** A row more for each test. */
const HEIGHTS = ['h-20', 'h-28', 'h-36', 'h-44', 'h-52'] as const;
