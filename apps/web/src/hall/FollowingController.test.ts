import type { RoundToPlay } from '@eurhythm/core/run';
import type { RunEventView } from '@eurhythm/contract';
import { FollowingController } from './FollowingController.ts';

const T0 = Date.parse('2026-03-05T18:30:00Z');
let sequence = 0;
const event = (
  kind: RunEventView['kind'],
  seconds: number,
  more: Partial<RunEventView> = {},
): RunEventView => ({
  id: `e${(sequence += 1)}`,
  sequence,
  kind,
  at: new Date(T0 + seconds * 1000).toISOString(),
  receivedAt: new Date(T0 + seconds * 1000).toISOString(),
  ...more,
});

/** A controller of three rounds of a minute; faster rounds are shorter. The clock stands where it is set. */
async function deckAt(events: readonly RunEventView[], seconds: number) {
  const clock = { now: T0 + seconds * 1000 };
  const controller = new FollowingController({
    events,
    rounds: 3,
    compile: async (_, shifts) =>
      Promise.resolve({ duration: shifts.length > 0 ? 50 : 60 } as unknown as RoundToPlay),
    now: () => clock.now,
  });
  await controller.load();
  const after = (later: number): void => {
    clock.now = T0 + later * 1000;
    controller.look();
  };
  return { controller, after };
}
const started = event('start', 0, { round: 0, position: 0 });

describe('a controller that follows', () => {
  it('that comes late shows the right round and second', async () => {
    const { controller } = await deckAt([started], 75);
    expect([controller.state.phase, controller.state.round, controller.position]).toEqual(['running', 1, 15]);
  });
  it('waits where the run was held, goes on with it, and is over when it is', async () => {
    const { controller, after } = await deckAt([started], 10);
    controller.hear(event('hold', 12, { round: 0, position: 12 }));
    after(40);
    expect([controller.state.phase, controller.position]).toEqual(['held', 12]);
    controller.hear(event('go-on', 40, { round: 0, position: 12 }));
    after(45);
    expect([controller.state.phase, controller.position]).toEqual(['running', 17]);
    controller.hear(event('end', 46));
    expect(controller.state.phase).toBe('over');
  });
  it('believes the pulse of who plays it until something else is done', async () => {
    const { controller, after } = await deckAt([started], 10);
    // What is heard is half a second behind the log.
    controller.pulse({ at: T0 + 10_000, phase: 'running', round: 0, position: 9.5 });
    after(12);
    expect(controller.position).toBeCloseTo(11.5);
    controller.hear(event('skip', 12, { round: 2, running: true }));
    after(13);
    expect([controller.state.round, controller.position]).toEqual([2, 1]);
  });
  it('goes by the log alone when the pulses have stopped', async () => {
    const { controller, after } = await deckAt([started], 10);
    controller.pulse({ at: T0 + 10_000, phase: 'running', round: 0, position: 2 });
    after(20);
    expect(controller.position).toBe(20);
  });
  it('hears each thing once, however often it is reported', async () => {
    const { controller, after } = await deckAt([started], 10);
    const skip = event('skip', 11, { round: 1, running: true });
    controller.hear(skip);
    controller.catchUp([started, skip]);
    after(14);
    expect([controller.state.round, controller.position]).toEqual([1, 3]);
  });
  it('plays a round as its tempo was changed, and anew as planned', async () => {
    const { controller } = await deckAt([started], 10);
    controller.hear(event('tempo', 10, { round: 0, position: 12, by: 4 }));
    await Promise.resolve().then(() => Promise.resolve());
    expect(controller.rounds[0]!.duration).toBe(50);
    controller.hear(event('again', 11, { round: 0, running: true }));
    await Promise.resolve().then(() => Promise.resolve());
    expect(controller.rounds[0]!.duration).toBe(60);
  });
});
