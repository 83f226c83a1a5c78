import { memo } from 'react';
import { Part } from '../../../ui/Panel.tsx';
import { clockText } from '@eurhythm/core/units';
import { usePlanned } from './usePlanned.ts';

/** What a coach would want to hear before the class. It informs; nothing is blocked. */
export const WarningsPanel = memo(function WarningsPanel({ onPlace }: { onPlace: (round: string) => void }) {
  const { warnings } = usePlanned();
  return (
    <Part title="Before the class" aside={warnings.length === 0 ? '' : `${warnings.length} to look at`}>
      {warnings.length === 0 && (
        <p className="py-3 text-fine">Warm-up, rests, room, kit and both sides look right.</p>
      )}
      <ul aria-label="Warnings">
        {warnings.map(({ rule, message, place }) => (
          <li key={rule + message} className="border-b border-rule">
            {place ? (
              <button
                type="button"
                onClick={() => onPlace(place.round)}
                className="flex min-h-11 w-full gap-3 py-2 text-left hover:bg-hint"
              >
                <span className="tabular w-12 shrink-0 text-quiet">{clockText(place.at)}</span>
                <span className="text-caution">{message}</span>
              </button>
            ) : (
              <p className="flex min-h-11 gap-3 py-2">
                <span className="w-12 shrink-0 text-quiet">all</span>
                <span className="text-caution">{message}</span>
              </p>
            )}
          </li>
        ))}
      </ul>
    </Part>
  );
});
