import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import { soundsAt } from '@eurhythm/core/run';
import { useClaps } from '../../floor/hands/useClaps.ts';
import { useHands } from '../../floor/hands/useHands.ts';
import type { RunController } from '../../floor/run/RunController.ts';
import { useShortcut } from '../../ui/focus/useShortcut.ts';

/** What stands below the board in place of the marks. */
export type FloorPanel = 'devices' | 'people' | 'inputs';

/** What keys, pedals and claps do to a run, and what is opened beside it. */
export function useFloorControls(controller: RunController, undo: () => void) {
  const [isBurst, setBurst] = useState(false);
  const [panel, setPanel] = useState<FloorPanel | null>(null);
  const [isMixer, setMixer] = useState(false);
  useTouch(controller);
  const toggle = (which: FloorPanel) => () => setPanel(panel === which ? null : which);
  const toggleMixer = (): void => setMixer(!isMixer);
  const openBurst = (): void => {
    controller.hold();
    setBurst(true);
  };
  const changeTempo = (by: number): void =>
    void controller.changeTempo(by).then(
      (message) => message && toast(message),
      (error: Error) => toast.error(error.message),
    );
  const free = (action: () => void) => () => !isBurst && action();
  const hands = useHands(
    {
      hold: () => controller.toggle(),
      next: () => controller.goTo(controller.state.round + 1),
      again: () => controller.goTo(controller.state.round),
    },
    isBurst,
  );
  // What comes out of the loudspeaker is no clap.
  const claps = useClaps(
    free(() => controller.toggle()),
    () => {
      const { phase, round } = controller.state;
      return phase === 'running' && soundsAt(controller.rounds[round]!, controller.position);
    },
  );
  useShortcut(
    'e',
    free(() => controller.holdAfterCombo()),
  );
  useShortcut(
    '+',
    free(() => changeTempo(2)),
  );
  useShortcut(
    '-',
    free(() => changeTempo(-2)),
  );
  useShortcut('v', free(toggleMixer));
  useShortcut('d', free(toggle('devices')));
  useShortcut('h', free(toggle('people')));
  useShortcut('i', free(toggle('inputs')));
  useShortcut('u', free(undo));
  useShortcut('t', free(openBurst));
  const closeBurst = (): void => setBurst(false);
  return { isBurst, openBurst, closeBurst, panel, toggle, isMixer, toggleMixer, changeTempo, hands, claps };
}

/** A press anywhere lets a silent page sound. */
function useTouch(controller: RunController): void {
  useEffect(() => {
    const touch = (): void => controller.touch();
    window.addEventListener('keydown', touch);
    window.addEventListener('pointerdown', touch);
    return () => {
      window.removeEventListener('keydown', touch);
      window.removeEventListener('pointerdown', touch);
    };
  }, [controller]);
}
