import { HAND_ACTIONS, USUAL_BINDINGS, tellPresses, type HandAction } from '../../floor/hands/presses.ts';
import type { Claps } from '../../floor/hands/useClaps.ts';
import type { Hands } from '../../floor/hands/useHands.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { TickField } from '../../ui/fields/Field.tsx';

const NAMES: Readonly<Record<HandAction, string>> = {
  hold: 'Hold and go on',
  next: 'Next round',
  again: 'Round again',
};

/** Which key, pedal or button does what on this device: learnt by pressing it. */
export function HandsFields({ bindings, learning, learn, change, claps }: Hands & { readonly claps: Claps }) {
  return (
    <div
      className="flex flex-wrap items-center gap-x-6 gap-y-1 pb-2"
      role="group"
      aria-label="Pedals and remotes"
    >
      {HAND_ACTIONS.map((action) => (
        <div key={action} className="flex min-h-[44px] flex-wrap items-center gap-x-2">
          <span className="font-semibold">{NAMES[action]}</span>
          <span className="text-quiet">{tellPresses(bindings, action)}</span>
          <Button
            title={NAMES[action]}
            className="pointer-coarse:min-h-[64px]"
            onClick={() => learn(learning === action ? null : action)}
          >
            {learning === action ? 'Press it now' : 'Learn a press'}
          </Button>
        </div>
      ))}
      <Button weight="bare" className="pointer-coarse:min-h-[64px]" onClick={() => change(USUAL_BINDINGS)}>
        As usual again
      </Button>
      <TickField label="Two loud claps hold and go on" checked={claps.isOn} onChange={claps.set} />
      {claps.failure !== '' && (
        <p role="status" className="font-semibold text-caution">
          {claps.failure}
        </p>
      )}
    </div>
  );
}
