import { TIME_CALLS, USUAL_TIME_CALLS, type TimeCall } from '@eurhythm/core/rounds';
import { TickField } from '../../../../ui/fields/Field.tsx';

const NAMES: Readonly<Record<TimeCall, string>> = {
  'start-bell': 'bell at the start',
  halfway: 'halfway',
  thirty: 'thirty seconds',
  ten: 'ten seconds',
  'last-five': 'the last five counted',
  'end-bell': 'bell at the end',
  ready: 'ready',
};

interface TimeCallsProps {
  /** What is reported; the usual calls while nobody has chosen. */
  readonly timeCalls: readonly TimeCall[] | undefined;
  onChange(timeCalls: TimeCall[]): void;
}

/** What is called out about the time in this round. */
export function TimeCalls({ timeCalls = USUAL_TIME_CALLS, onChange }: TimeCallsProps) {
  const chosen = TIME_CALLS.filter((call) => timeCalls.includes(call));
  return (
    <details className="mt-3 border-t border-rule pt-1">
      <summary className="flex min-h-11 cursor-pointer items-center text-sm font-semibold text-quiet">
        Time calls: {chosen.length === 0 ? 'nothing' : chosen.map((call) => NAMES[call]).join(', ')}
      </summary>
      <div role="group" aria-label="Time calls" className="flex flex-wrap gap-x-4">
        {TIME_CALLS.map((call) => (
          <TickField
            key={call}
            label={NAMES[call]}
            checked={timeCalls.includes(call)}
            onChange={(checked) =>
              onChange(TIME_CALLS.filter((each) => (each === call ? checked : timeCalls.includes(each))))
            }
          />
        ))}
      </div>
    </details>
  );
}
