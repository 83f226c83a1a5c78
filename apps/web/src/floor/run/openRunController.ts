import type { RoundPartners } from '@eurhythm/core/plan';
import { burstRound, keptRunEvent, readRunEvent, runState, UNTOUCHED_RUN } from '@eurhythm/core/run';
import type { RunEventView, RunPlanView, RunView } from '@eurhythm/contract';
import { newId } from '../../server/api.ts';
import { byOwnClock, byServersClock } from '../../server/clock.ts';
import { putRequest } from '../../sync/queue/queuedWrite.ts';
import { sync } from '../../sync/opened.ts';
import { SUBJECTS } from '../../sync/queue/subjects.ts';
import { coreWorkWith } from '../../workers/coreWork.ts';
import { AudioOutput } from '../output/AudioOutput.ts';
import { keepEvent, keepPartners } from './keptRun.ts';
import { RoundPlayer } from '../RoundPlayer.ts';
import { RunController } from './RunController.ts';
import { SilentOutput, makesSound, type FloorOutput } from '../output/SilentOutput.ts';
import { WakeLock } from '../wakeLock.ts';

/** A controller for a run, with the sound of this page, the plan that the server gave once, and its log. */
export function openRunController(run: RunView, plan: RunPlanView): RunController<FloorOutput> {
  const output = makesSound() ? new AudioOutput() : new SilentOutput();
  const { lead, word, count, clips, factor, book } = plan;
  const setting = { seedKey: run.sessionId, lead, word, count, clips, factor };
  const done = runState(
    run.events.flatMap((kept) => {
      const event = readRunEvent(kept);
      return event ? { ...event, at: byOwnClock(event.at) } : [];
    }),
  );
  return new RunController({
    output,
    rounds: plan.rounds.length,
    clips: clips.map(({ id }) => id),
    done: run.endedAt === null ? done : { ...UNTOUCHED_RUN, phase: 'over' },
    compile: async (round, shifts) =>
      (await coreWorkWith(book)).compile(plan.rounds[round]!, setting, shifts),
    compileBurst: async (seconds, isHeard) =>
      (await coreWorkWith(book)).compile(burstRound(seconds, isHeard), setting, []),
    player: (round, onEnd, following) => new RoundPlayer(output, round, onEnd, following),
    note: (event, along) => {
      const id = newId();
      const kept = keptRunEvent(event);
      // As the server would tell it, to a page that is loaded while the server is away.
      const own = { ...kept, id, sequence: 0, receivedAt: kept.at } as RunEventView;
      keepEvent(run.id, { ...own, at: new Date(byServersClock(event.at)).toISOString() });
      void sync.put(
        putRequest(SUBJECTS.step, `runs/${run.id}/events/${id}`, {
          ...kept,
          ...(along ? { partners: groupsAlone(along.partners) } : {}),
        }),
      );
      if (along) keepPartners(run.id, along.partners);
    },
    now: Date.now,
    awake: new WakeLock(),
  });
}

/** Who stands together, without the turns, which the server works out as this page does. */
function groupsAlone(partners: readonly RoundPartners[]): object[] {
  return partners.map(({ round, groups }) => ({
    round,
    groups: groups.map(({ members }) => ({ members })),
  }));
}
