import { useState } from 'react';
import { useShortcut } from '../../ui/focus/useShortcut.ts';
import { OnePress, keepBindings, learnt, readBindings, type Bindings, type HandAction } from './presses.ts';
import { usePresses } from './usePresses.ts';

export interface Hands {
  readonly bindings: Bindings;
  /** The action whose press is being learnt. */
  readonly learning: HandAction | null;
  learn(action: HandAction | null): void;
  change(bindings: Bindings): void;
}

/** Does what presses of any kind are bound to, or learns one; nothing while the page is busy with something else. */
export function useHands(actions: Readonly<Record<HandAction, () => void>>, isOff: boolean): Hands {
  const [bindings, setBindings] = useState(readBindings);
  const [learning, learn] = useState<HandAction | null>(null);
  const change = (next: Bindings): void => {
    keepBindings(next);
    setBindings(next);
  };
  const [space] = useState(() => new OnePress());
  // The space bar presses a button that has the focus; else it holds, and a pedal that sends it may repeat itself.
  useShortcut(' ', ({ timeStamp }) => {
    if (space.isNew('key: ', timeStamp) && !isOff) actions.hold();
  });
  usePresses((press) => {
    if (learning) {
      change(learnt(bindings, learning, press));
      learn(null);
      return true;
    }
    const action = bindings[press];
    if (!action || isOff) return false;
    actions[action]();
    return true;
  });
  return { bindings, learning, learn, change };
}
