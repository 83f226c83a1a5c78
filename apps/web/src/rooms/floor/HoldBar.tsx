import type { ControllerState, RunController } from '../../floor/run/RunController.ts';
import { Button } from '../../ui/buttons/Button.tsx';
import { holdWord } from './FloorKeys.tsx';

/** On a phone the one press that matters stays on the screen; the others are below it. */
export function HoldBar({ state, controller }: { state: ControllerState; controller: RunController }) {
  return (
    <div className="hidden gap-2 p-2 phone:flex">
      <Button weight="main" className="min-h-[64px] flex-1 text-xl" onClick={() => controller.toggle()}>
        {holdWord(state)}
      </Button>
      <Button className="min-h-[64px] px-5" onClick={() => controller.goTo(state.round + 1)}>
        Next round
      </Button>
    </div>
  );
}
