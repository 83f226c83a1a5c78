import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { DeckState, RunDeck } from '../../floor/RunDeck.ts';
import { Key } from '../../ui/Button.tsx';

interface FloorKeysProps {
  readonly state: DeckState;
  readonly deck: RunDeck;
  /** Writes that the server has not taken yet. */
  readonly waiting: number;
  readonly canUndo: boolean;
  onUndo(): void;
  onBurst(): void;
}

/** The keys of the Floor, which are buttons as well. */
export function FloorKeys({ state, deck, waiting, canUndo, onUndo, onBurst }: FloorKeysProps) {
  const hold = state.phase === 'running' ? 'hold' : state.phase === 'ready' ? 'start' : 'go on';
  return (
    <div className="flex flex-wrap items-center gap-x-6 px-10 py-1.5 text-lg">
      <KeyButton name="Space" onPress={() => deck.toggle()} isMain>
        {hold}
      </KeyButton>
      <KeyButton name="→" onPress={() => deck.goTo(state.round + 1)}>
        next round
      </KeyButton>
      <KeyButton name="←" onPress={() => deck.goTo(state.round)}>
        round again
      </KeyButton>
      <KeyButton name="T" onPress={onBurst}>
        ten-second burst
      </KeyButton>
      <span className="text-quiet">
        <Key>1</Key>–<Key>9</Key> mark a fighter
      </span>
      {canUndo && (
        <KeyButton name="U" onPress={onUndo} isMain>
          undo
        </KeyButton>
      )}
      <span className="ml-auto text-base text-quiet" role="status">
        {waiting > 0 ? `${waiting} not sent yet, kept here` : ''}
      </span>
      <Link to="/floor" className="inline-flex min-h-11 items-center text-base text-quiet underline">
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
      className={`flex min-h-11 items-center gap-2 ${isMain ? 'font-bold text-ink' : 'text-quiet'}`}
    >
      <Key>{name}</Key> {children}
    </button>
  );
}
