import type { DeckState, RunDeck } from '../../floor/RunDeck.ts';
import { Button } from '../../ui/Button.tsx';
import { holdWord } from './FloorKeys.tsx';

/** On a phone the one press that matters stays on the screen; the others are below it. */
export function HoldBar({ state, deck }: { state: DeckState; deck: RunDeck }) {
  return (
    <div className="hidden gap-2 p-2 phone:flex">
      <Button weight="main" className="min-h-[64px] flex-1 text-xl" onClick={() => deck.toggle()}>
        {holdWord(state)}
      </Button>
      <Button className="min-h-[64px] px-5" onClick={() => deck.goTo(state.round + 1)}>
        Next round
      </Button>
    </div>
  );
}
