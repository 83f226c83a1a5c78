import { memo } from 'react';
import type { SessionWarning } from '@eurhythm/core/plan';
import { MUTED_RULES } from '@eurhythm/core/rounds';
import { Button } from '../../../ui/buttons/Button.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';
import { clockText } from '@eurhythm/core/units';
import { CareList } from './CareList.tsx';
import { usePlanned } from './usePlanned.ts';

/** What a coach would want to hear before the class. It informs; nothing is blocked. */
interface WarningsPanelProps {
  /** How many reports the coach does not want to hear again. */
  readonly muted: number;
  onPlace(round: string): void;
  onMute(warning: SessionWarning): void;
  onHearAll(): void;
}

const isMutable = ({ rule, place }: SessionWarning): boolean =>
  place !== null && (MUTED_RULES as readonly string[]).includes(rule);

export const WarningsPanel = memo(function WarningsPanel({
  muted,
  onPlace,
  onMute,
  onHearAll,
}: WarningsPanelProps) {
  const { warnings, care, hasGroups } = usePlanned();
  return (
    <Part title="Before the class" aside={warnings.length === 0 ? '' : `${warnings.length} to look at`}>
      {warnings.length === 0 && (
        <p className="py-3 text-fine">
          {hasGroups
            ? 'Warm-up, rests, room, kit, both sides and children’s limits look right.'
            : 'Warm-up, rests, room, kit and both sides look right.'}
        </p>
      )}
      {!hasGroups && (
        <p className="pb-3 text-quiet">
          No groups yet, so nobody knows who comes: children’s limits are checked by name before the first
          bell.
        </p>
      )}
      <ul aria-label="Warnings">
        {warnings.map((warning) => {
          const { rule, message, place } = warning;
          return (
            <li key={rule + message} className="flex items-center border-b border-rule">
              {place ? (
                <button
                  type="button"
                  onClick={() => onPlace(place.round)}
                  className="flex min-h-11 min-w-0 flex-1 gap-3 py-2 text-left hover:bg-hint"
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
              {isMutable(warning) && (
                <Button weight="bare" onClick={() => onMute(warning)}>
                  Keep it so
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      <CareList care={care} />
      {muted > 0 && (
        <p className="flex flex-wrap items-center gap-2 text-quiet">
          Some warnings of this session are muted.
          <Button weight="bare" onClick={onHearAll}>
            Show them again
          </Button>
        </p>
      )}
    </Part>
  );
});
