import { Board } from '../floor/board/Board.tsx';
import type { HallProps } from './hallProps.ts';

/** The big screen: what the coach's board shows, and nothing to press. */
export function WallView({ view, controller, state, book, joined }: HallProps) {
  return (
    <main className="mat hall flex h-dvh flex-col overflow-hidden pb-4">
      <Board
        run={{ rounds: view.plan.rounds as never, partners: view.partners }}
        fighters={view.fighters}
        controller={controller}
        state={state}
        book={book}
        landed={joined.landed}
      />
    </main>
  );
}
