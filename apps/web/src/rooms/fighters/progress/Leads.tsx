import { useCallback } from 'react';
import { fadingSentence } from '@eurhythm/core/progress';
import type { FighterProgress, FighterView } from '@eurhythm/contract';
import { Part, Plain } from '../../../ui/panels/Panel.tsx';
import type { Draw } from '../pictures/ChartFigure.tsx';
import { leadsOption, leadsTable } from '../pictures/leadsOption.ts';
import { Picture } from '../pictures/Picture.tsx';
import { useDates } from '../../../ui/fields/dates.ts';

interface LeadsProps extends Pick<FighterProgress, 'leads' | 'fading'> {
  readonly fighter: FighterView;
}

/** Both leads side by side, and how a burst fades. */
export function Leads({ fighter, leads, fading }: LeadsProps) {
  const { inSentence } = useDates();
  const draw = useCallback<Draw>((inks) => leadsOption(leads, inks), [leads]);
  return (
    <Part title="Two leads" aside="the bar is what it may be, the dot what it is">
      {leads.length === 0 && <Plain>Nothing was tried from both leads in the same way yet.</Plain>}
      {leads.length > 0 && (
        <>
          <Picture
            draw={draw}
            label={leads.map(({ title, sentence }) => `${title}: ${sentence}`).join(' ')}
            name={`${fighter.name} leads`}
            className={HEIGHTS[Math.min(leads.length, HEIGHTS.length) - 1]!}
            table={() => leadsTable(leads)}
            of="the leads"
          />
          <ul>
            {leads.map(({ testId, title, sentence }) => (
              <li key={testId} className="border-b border-rule py-1.5 text-sm">
                <span className="font-semibold">{title}.</span> {sentence}
              </li>
            ))}
          </ul>
        </>
      )}
      {fading.map(({ testId, title, percent, bursts, across }) => (
        <p key={testId} className="border-b border-rule py-1.5 text-sm">
          {title}: the last third is {Math.abs(percent).toFixed(0)} % {percent >= 0 ? 'slower' : 'faster'}{' '}
          than the first, over {bursts} {bursts === 1 ? 'burst' : 'bursts'}.{' '}
          {across && inSentence(fadingSentence(across))}
        </p>
      ))}
    </Part>
  );
}

/** A row more for each test. */
const HEIGHTS = ['h-20', 'h-28', 'h-36', 'h-44', 'h-52'] as const;
