import { BURST_AT_HOME } from '@eurhythm/core/home';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import { burstRound, compileToPlay, runState } from '@eurhythm/core/run';
import { AudioOutput } from '../floor/output/AudioOutput.ts';
import { RoundPlayer } from '../floor/RoundPlayer.ts';
import { RunController } from '../floor/run/RunController.ts';
import { SilentOutput, makesSound, type FloorOutput } from '../floor/output/SilentOutput.ts';
import { WakeLock } from '../floor/wakeLock.ts';
import { callInPage, type HomeSession } from './homeSession.ts';
import type { HomeKeeper } from './keptAtHome.ts';

/** A controller that plays the session of this page, with the sound that stands in it. */
export function openHomeController(
  { rounds, setting, book: { items, numbers, sides } }: HomeSession,
  keeper: HomeKeeper,
): { readonly controller: RunController<FloorOutput>; readonly book: MoveBook } {
  const book = moveBook(items, numbers, sides);
  const output = makesSound() ? new AudioOutput(callInPage(document)) : new SilentOutput();
  const controller = new RunController<FloorOutput>({
    output,
    rounds: rounds.length,
    clips: [],
    done: runState(keeper.kept.events),
    compile: async (round, shifts) => compileToPlay(rounds[round]!, setting, book, shifts),
    compileBurst: async () => compileToPlay(burstRound(BURST_AT_HOME), setting, book),
    player: (round, onEnd, following) => new RoundPlayer(output, round, onEnd, following),
    note: (event) => keeper.keep({ events: [...keeper.kept.events, event] }),
    now: Date.now,
    awake: new WakeLock(),
  });
  return { controller, book };
}
