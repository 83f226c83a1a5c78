import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { ControllerState, RunController } from '../../floor/run/RunController.ts';
import { SyncNotice } from '../../sync/SyncNotice.tsx';
import { Key } from '../../ui/buttons/Button.tsx';
import { keyOf } from './marks/numberKeys.ts';

interface FloorKeysProps {
  readonly state: ControllerState;
  readonly controller: RunController;
  readonly canUndo: boolean;
  /** How many are in the run. */
  readonly fighters: number;
  onUndo(): void;
  onBurst(): void;
  onTempo(by: number): void;
  onMixer(): void;
  onDevices(): void;
  onPeople(): void;
  onInputs(): void;
}

/** What the press that holds does now. */
export const holdWord = ({ phase }: ControllerState): string =>
  phase === 'running' ? 'Hold' : phase === 'ready' ? 'Start' : 'Go on';

/** The keys of the Floor, which are buttons as well. */
export function FloorKeys({
  state,
  controller,
  canUndo,
  fighters,
  onUndo,
  onBurst,
  onTempo,
  onMixer,
  onDevices,
  onPeople,
  onInputs,
}: FloorKeysProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-3.5 px-8 text-base phone:px-4">
      <KeyButton name="Space" onPress={() => controller.toggle()} isMain>
        {holdWord(state).toLowerCase()}
      </KeyButton>
      {state.phase === 'running' && (
        <KeyButton name="E" onPress={() => controller.holdAfterCombo()} isMain={state.holdsSoon}>
          {state.holdsSoon ? 'holds after this combo' : 'hold after combo'}
        </KeyButton>
      )}
      <span className="flex items-center gap-2 text-quiet">
        <KeyButton name="−" onPress={() => onTempo(-2)}>
          <span className="sr-only">two beats a minute slower</span>
        </KeyButton>
        <KeyButton name="+" onPress={() => onTempo(2)}>
          <span className="sr-only">two beats a minute faster</span>
          {state.tempoBy === 0 ? 'tempo' : `tempo ${state.tempoBy > 0 ? '+' : ''}${state.tempoBy}`}
        </KeyButton>
      </span>
      <KeyButton name="V" onPress={onMixer}>
        volume
      </KeyButton>
      <KeyButton name="D" onPress={onDevices}>
        devices
      </KeyButton>
      <KeyButton name="H" onPress={onPeople}>
        people
      </KeyButton>
      <KeyButton name="I" onPress={onInputs}>
        listen
      </KeyButton>
      <KeyButton name="→" onPress={() => controller.goTo(state.round + 1)}>
        next
      </KeyButton>
      <KeyButton name="←" onPress={() => controller.goTo(state.round)}>
        again
      </KeyButton>
      <KeyButton name="T" onPress={onBurst}>
        burst
      </KeyButton>
      {fighters > 0 && (
        <span className="text-quiet pointer-coarse:hidden">
          <Key>{keyOf(0, fighters)}</Key>–<Key>{keyOf(fighters - 1, fighters)}</Key> mark
        </span>
      )}
      {canUndo && (
        <KeyButton name="U" onPress={onUndo} isMain>
          undo
        </KeyButton>
      )}
      <SyncNotice className="ml-auto" />
      <Link to="/floor" className="inline-flex min-h-[44px] items-center text-base text-quiet underline">
        leave
      </Link>
    </div>
  );
}

function KeyButton({
  name,
  onPress,
  isMain = false,
  children,
}: {
  name: string;
  onPress: () => void;
  isMain?: boolean;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      onClick={onPress}
      className={`flex min-h-[44px] items-center gap-2 pointer-coarse:min-h-[64px] ${isMain ? 'font-bold text-ink' : 'text-quiet'}`}
    >
      <Key>{name}</Key> {children}
    </button>
  );
}
