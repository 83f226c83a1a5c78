import { useRef } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import type { FighterView, RunView } from '@eurhythm/contract';
import type { RunController } from '../../../../floor/run/RunController.ts';
import type { RunListening } from '../../../../floor/listening/RunListening.ts';
import { newId } from '../../../../server/api.ts';
import { useRoundWatch } from '../../listening/useRoundWatch.ts';
import { classBurst } from './classBurst.ts';
import { askMore, askedBursts, keepAsked } from './keptBurst.ts';
import { endedBursts, numbersToAsk } from './plannedBursts.ts';

interface PlannedBurstsProps {
  readonly run: RunView;
  readonly controller: RunController;
  readonly fighters: readonly FighterView[];
  readonly book: MoveBook;
  readonly heard: Pick<RunListening, 'listensTo' | 'strikesIn'>;
}

/**
 * Asks for the numbers of a planned burst as soon as its last bell has rung, of everybody to whom nothing listens; of whom nothing was
 * heard, when the round is over.
 */
export function usePlannedBursts({ run, controller, fighters, book, heard }: PlannedBurstsProps): void {
  const position = useRef(0);
  const ask = (round: number, until: number, isOver: boolean): void => {
    const before = askedBursts(run.id);
    const { asked, kept } = numbersToAsk(
      endedBursts(run, round, until, fighters, book),
      before,
      (burst) => `${round}/${burst}`,
      {
        listensTo: (fighterId, from) => heard.listensTo(fighterId, round, from),
        isUnheard: (fighterId, from) => isOver && heard.strikesIn(fighterId, round, from) === 0,
      },
    );
    if (kept.length !== before.length || asked.length > 0) keepAsked(run.id, kept);
    if (asked.length > 0) askMore(run.id, classBurst(asked, new Date().toISOString(), newId));
  };
  useRoundWatch(run, controller, {
    reached: (round, at) => {
      position.current = at;
      ask(round, at, false);
    },
    again: (round) =>
      keepAsked(
        run.id,
        askedBursts(run.id).filter((each) => !each.startsWith(`${round}/`)),
      ),
    rests: () => undefined,
    ends: (round) => ask(round, controller.endedRounds.has(round) ? Infinity : position.current, true),
  });
}
