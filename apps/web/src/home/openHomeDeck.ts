import { BURST_AT_HOME } from '@eurhythm/core/home';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import { burstRound, compileToPlay, runState } from '@eurhythm/core/run';
import { AudioDesk } from '../floor/AudioDesk.ts';
import { RoundPlayer } from '../floor/RoundPlayer.ts';
import { RunDeck } from '../floor/RunDeck.ts';
import { SilentDesk, makesSound, type FloorDesk } from '../floor/SilentDesk.ts';
import { WakeLock } from '../floor/wakeLock.ts';
import { callInPage, type HomeSession } from './homeSession.ts';
import type { HomeKeeper } from './keptAtHome.ts';

/** A deck that plays the session of this page, with the sound that stands in it. */
export function openHomeDeck(
  { rounds, setting, book: { items, numbers } }: HomeSession,
  keeper: HomeKeeper,
): { readonly deck: RunDeck<FloorDesk>; readonly book: MoveBook } {
  const book = moveBook(items, numbers);
  const desk = makesSound() ? new AudioDesk(callInPage(document)) : new SilentDesk();
  const deck = new RunDeck<FloorDesk>({
    desk,
    rounds: rounds.length,
    clips: [],
    done: runState(keeper.kept.events),
    compile: async (round, shifts) => compileToPlay(rounds[round]!, setting, book, shifts),
    compileBurst: async () => compileToPlay(burstRound(BURST_AT_HOME), setting, book),
    player: (round, onEnd, following) => new RoundPlayer(desk, round, onEnd, following),
    note: (event) => keeper.keep({ events: [...keeper.kept.events, event] }),
    now: Date.now,
    awake: new WakeLock(),
  });
  return { deck, book };
}
