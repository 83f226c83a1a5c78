import { useState, useSyncExternalStore } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import { useShortcut } from '../ui/focus/useShortcut.ts';
import { Button, Key } from '../ui/buttons/Button.tsx';
import { NO_SOUND, makesSound } from '../floor/output/SilentOutput.ts';
import { Board } from '../rooms/floor/board/Board.tsx';
import { HomeBurstPane } from './HomeBurstPane.tsx';
import { HomeEnd } from './HomeEnd.tsx';
import { HomeStart } from './HomeStart.tsx';
import type { HomeProps } from './homeProps.ts';

/** A session at home: what it is, the session itself, bursts, and the code at its end. */
export function HomePage({ session, controller, book, keeper }: HomeProps & { readonly book: MoveBook }) {
  const state = useSyncExternalStore(controller.subscribe, controller.snapshot);
  const [isBurst, setBurst] = useState(false);
  const free = (action: () => void) => () => !isBurst && action();
  const openBurst = (): void => {
    controller.hold();
    setBurst(true);
  };
  useShortcut(
    ' ',
    free(() => controller.toggle()),
  );
  useShortcut(
    'n',
    free(() => controller.goTo(state.round + 1)),
  );
  useShortcut(
    'r',
    free(() => controller.goTo(state.round)),
  );

  if (state.phase === 'failed') return <p className="p-6 text-xl">{state.failure}</p>;
  if (isBurst)
    return (
      <HomeBurstPane
        lead={session.fighter.lead}
        controller={controller}
        onCounted={(burst) => keeper.keep({ bursts: [...keeper.kept.bursts, burst] })}
        onClose={() => setBurst(false)}
      />
    );
  if (state.phase === 'over') return <HomeEnd {...{ session, controller, keeper }} onBurst={openBurst} />;
  if (state.phase === 'loading' || state.phase === 'ready')
    return <HomeStart session={session} controller={controller} isReady={state.phase === 'ready'} />;
  return (
    <main className="mat hall flex h-dvh flex-col overflow-hidden" onPointerDown={() => controller.touch()}>
      <div className="flex min-h-0 flex-1 flex-col overflow-clip">
        <Board
          run={{ rounds: session.rounds as never, partners: [] }}
          fighters={[]}
          controller={controller}
          state={state}
          book={book}
        />
        {!makesSound() && <p role="status">{NO_SOUND}</p>}
      </div>
      <div className="flex flex-wrap gap-3 px-6 py-3 text-lg">
        <Button weight="main" className="min-h-[64px] flex-1 px-6" onClick={() => controller.toggle()}>
          <Key>Space</Key> {state.phase === 'running' ? 'hold' : 'go on'}
        </Button>
        <Button className="min-h-[64px] px-5" onClick={() => controller.goTo(state.round)}>
          <Key>R</Key> again
        </Button>
        <Button className="min-h-[64px] px-5" onClick={() => controller.goTo(state.round + 1)}>
          <Key>N</Key> next round
        </Button>
        <Button className="min-h-[64px] px-5" onClick={openBurst}>
          Ten-second burst
        </Button>
      </div>
    </main>
  );
}
