import type { Cycle, TempoShift } from '@eurhythm/core/rounds';
import { UNTOUCHED_RUN, placeInRun, runState, type RoundToPlay, type RunEvent } from '@eurhythm/core/run';
import type { SoundOutput, HandOver, Player, PlayerEnd } from '../player.ts';
import { RunController } from './RunController.ts';

const SECONDS = 60;

/** A round of ten times through, six seconds each, faster from where it is changed on. */
function roundOf(shifts: readonly TempoShift[]): RoundToPlay {
  const by = shifts.reduce((sum, shift) => sum + shift.by, 0);
  const cycles = Array.from({ length: 10 }, (_, i): Cycle => ({
    at: i * 6,
    block: 'b',
    combo: 'c',
    cycle: i,
    lead: 'left',
    beats: 6,
    beatSeconds: 60 / (60 + by),
    intensity: null,
  }));
  return { duration: SECONDS, cues: [], cycles, scenes: [], findings: [], combos: [], workEnds: 40 };
}

/** A player that stands where the test puts it. */
class HandPlayer implements Player {
  round: RoundToPlay;
  running = false;
  position = 0;
  counted = 0;
  heldAt: number | null = null;
  isGone = false;
  tookOver: HandOver | null = null;
  following: RoundToPlay | null;
  private readonly onEnd: (end: PlayerEnd) => void;
  constructor(round: RoundToPlay, onEnd: (end: PlayerEnd) => void, following: RoundToPlay | null) {
    this.round = round;
    this.onEnd = onEnd;
    this.following = following;
  }
  end(kind: PlayerEnd['kind']): void {
    const handOver: HandOver = { anchor: { clock: 'audio', zero: 60 }, placed: [], next: 0 };
    this.onEnd(kind === 'over' ? { kind, handOver } : { kind });
  }
  follow(following: RoundToPlay | null): void {
    this.following = following;
  }
  takeOver(handOver: HandOver): void {
    Object.assign(this, { running: true, position: 0, tookOver: handOver });
  }
  start(position: number, beat = 0): void {
    Object.assign(this, { running: true, position, counted: beat });
  }
  hold(): number {
    this.running = false;
    return this.position;
  }
  holdAt(position: number | null): void {
    this.heldAt = position;
  }
  swap(round: RoundToPlay): void {
    this.round = round;
  }
  dispose(): void {
    this.isGone = true;
  }
}

class StubOutput implements SoundOutput {
  audible = true;
  latency = 0.25;
  loaded: string[] = [];
  isAway = false;
  wake(): void {}
  load(ids: readonly string[], onShare: (share: number) => void): Promise<void> {
    if (this.isAway) return Promise.reject(new Error('A spoken call could not be loaded.'));
    this.loaded.push(...ids);
    onShare(1);
    return Promise.resolve();
  }
  play(): () => void {
    return () => {};
  }
  close(): void {}
}

let output: StubOutput;
let players: HandPlayer[];
let log: RunEvent[];
let now: number;
let awake: string[];
function deckOf(done = UNTOUCHED_RUN, rounds = 3): RunController {
  return new RunController({
    output,
    rounds,
    clips: ['ready', 'ten'],
    done,
    compile: (_, shifts) => Promise.resolve(roundOf(shifts)),
    compileBurst: (seconds) => Promise.resolve({ ...roundOf([]), duration: seconds + 6 }),
    player: (round, onEnd, following) => {
      players.push(new HandPlayer(round, onEnd, following));
      return players.at(-1)!;
    },
    note: (event) => log.push(event),
    now: () => now,
    awake: {
      hold: () => awake.push('on'),
      release: () => awake.push('off'),
      dispose: () => awake.push('gone'),
    },
  });
}
const player = (): HandPlayer => players.at(-1)!;
beforeEach(() => {
  output = new StubOutput();
  [players, log, awake] = [[], [], []];
  now = 1_000_000;
});

describe('RunController', () => {
  it('takes another tempo for the round that comes, also when it is skipped to, begun again or loaded anew', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    expect(await controller.advance(4)).toBeNull();
    const faster = controller.rounds[1]!;
    expect(faster.cycles).toEqual(roundOf([{ from: 0, by: 4 }]).cycles);
    expect(player().following).toBe(faster);
    expect(log.at(-1)).toMatchObject({ kind: 'tempo', round: 1, position: 0, by: 4 });
    controller.goTo(1);
    expect([controller.rounds[1], controller.state.tempoBy]).toEqual([faster, 4]);
    controller.goTo(1);
    expect(player().round).toBe(faster);
    const again = deckOf(runState(log));
    await again.load();
    expect(again.rounds[1]!.cycles).toEqual(faster.cycles);
    controller.goTo(2);
    expect(await controller.advance(4)).toBe('No round comes after this one.');
  });
  it('is ready with the calls of the first rounds, fetches the rest behind them, and waits', async () => {
    const controller = deckOf();
    await controller.load();
    expect(controller.state).toMatchObject({ phase: 'ready', round: 0, share: 1, cameBackAt: null });
    expect(log).toEqual([]);
    await new Promise(setImmediate);
    expect(output.loaded).toEqual(['ready', 'ten']);
    expect(controller.state.lacksFrom).toBeNull();
  });
  it('keeps a start that is pressed while it loads, and takes it back with the next press', async () => {
    const controller = deckOf();
    const loading = controller.load();
    controller.toggle();
    expect(controller.state).toMatchObject({ phase: 'loading', startsSoon: true });
    await loading;
    expect(controller.state.phase).toBe('running');
    expect(log).toMatchObject([{ kind: 'start', round: 0, position: 0 }]);
    const other = deckOf();
    other.toggle();
    other.toggle();
    await other.load();
    expect(other.state.phase).toBe('ready');
  });
  it('says why when it cannot be loaded', async () => {
    output.isAway = true;
    const controller = deckOf();
    await controller.load();
    expect(controller.state).toMatchObject({
      phase: 'failed',
      failure: 'A spoken call could not be loaded.',
    });
  });
  it('notes what is done, by the clock of the device, and keeps the screen awake while it runs', async () => {
    const controller = deckOf();
    await controller.load();
    controller.toggle();
    expect(player().running).toBe(true);
    player().position = 12.5;
    expect(controller.position).toBe(12.25); // the loudspeaker is a quarter of a second late
    now += 12_500;
    controller.toggle();
    expect(controller.position).toBe(12.5);
    now += 60_000;
    controller.toggle();
    expect(player().counted).toBe(1);
    expect(log).toEqual([
      { kind: 'start', at: 1_000_000, round: 0, position: 0 },
      { kind: 'hold', at: 1_012_500, round: 0, position: 12.5 },
      { kind: 'go-on', at: 1_072_500, round: 0, position: 12.5 },
    ]);
    expect(awake).toEqual(['on', 'off', 'on']);
  });
  it('comes back to the second at which its log says it is', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    now += 75_000;
    const back = deckOf(runState(log));
    await back.load();
    expect(back.state).toMatchObject({ phase: 'running', round: 1, cameBackAt: { round: 1, position: 15 } });
    expect(player().position).toBe(15);
    back.touch();
    expect(back.state.cameBackAt).toBeNull();
    const held = deckOf(runState([...log, { kind: 'hold', at: now, round: 1, position: 15 }]));
    now += 600_000;
    await held.load();
    expect(held.state).toMatchObject({ phase: 'held', round: 1, cameBackAt: { round: 1, position: 15 } });
  });
  it('stands where the class stands when its device has slept, and rings what ran out meanwhile', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    player().position = 20;
    now += 75_000;
    player().end('slept');
    expect(controller.state).toMatchObject({
      phase: 'running',
      round: 1,
      cameBackAt: { round: 1, position: 15 },
    });
    expect(player().position).toBe(15);
    expect([...controller.endedRounds.keys()]).toEqual([0]);
    // Sound that went on meanwhile is where it should be.
    const same = player();
    same.position = 16;
    now += 1500;
    same.end('slept');
    expect(player()).toBe(same);
    now += 600_000;
    same.end('slept');
    expect(controller.state.phase).toBe('over');
    expect(same.isGone).toBe(true);
  });
  it('goes from round to round by itself, and is over behind the last one', async () => {
    const controller = deckOf(UNTOUCHED_RUN, 2);
    await controller.load();
    controller.start();
    expect(player().following).toBe(controller.rounds[1]);
    player().end('over');
    expect(controller.state).toMatchObject({ phase: 'running', round: 1 });
    // On the clock on which the first one ended, not whenever that was noticed.
    expect(player().tookOver?.anchor).toEqual({ clock: 'audio', zero: 60 });
    expect(player().following).toBeNull();
    player().end('over');
    expect(controller.state).toMatchObject({ phase: 'over', round: 1 });
    expect(log).toMatchObject([{ kind: 'start' }, { kind: 'bell', round: 0 }, { kind: 'bell', round: 1 }]);
    expect(players.every(({ isGone }) => isGone)).toBe(true);
    now += 130_000;
    expect(placeInRun(runState(log), [SECONDS, SECONDS], now)).toEqual({ over: true });
  });
  it('counts a round whose last rest is cut short, and none whose work is', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    player().position = 39;
    controller.goTo(1);
    player().position = 41;
    controller.goTo(2);
    player().position = 41;
    controller.goTo(2);
    player().position = 60;
    controller.goTo(3);
    expect([...controller.endedRounds.keys()]).toEqual([1, 2]);
  });
  it('rings the end bells of rounds that ran out while nobody looked, each once, and not of those that were skipped', async () => {
    const controller = deckOf(UNTOUCHED_RUN, 4);
    await controller.load();
    controller.start();
    controller.goTo(1);
    now += 2 * SECONDS * 1000 + 5000;
    const back = deckOf(runState(log), 4);
    await back.load();
    expect(back.state.round).toBe(3);
    expect([...back.endedRounds.keys()]).toEqual([1, 2]);
    const again = deckOf(runState(log), 4);
    await again.load();
    expect(log.filter(({ kind }) => kind === 'bell')).toMatchObject([{ round: 1 }, { round: 2 }]);
    again.allClean(2);
    expect([...again.endedRounds]).toEqual([
      [1, { isClean: false }],
      [2, { isClean: true }],
    ]);
  });
  it('holds after the combo, and runs on after all when asked again', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    player().position = 8;
    controller.holdAfterCombo();
    expect([player().heldAt, controller.state.holdsSoon]).toEqual([12, true]);
    controller.holdAfterCombo();
    expect([player().heldAt, controller.state.holdsSoon]).toEqual([null, false]);
    controller.holdAfterCombo();
    player().position = 12;
    player().end('held');
    expect(controller.state).toMatchObject({ phase: 'held', holdsSoon: false });
    expect(log.at(-1)).toMatchObject({ kind: 'hold', position: 12 });
  });
  it('changes the tempo from the next time through on, one change after the other', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    player().position = 7;
    expect(await Promise.all([controller.changeTempo(2), controller.changeTempo(2)])).toEqual([null, null]);
    expect(controller.state.tempoBy).toBe(4);
    const { cycles } = player().round;
    expect([cycles[1]!.beatSeconds, cycles[2]!.beatSeconds]).toEqual([1, 60 / 64]);
    expect(log.slice(1)).toMatchObject([
      { kind: 'tempo', round: 0, position: 12, by: 2 },
      { kind: 'tempo', round: 0, position: 12, by: 2 },
    ]);
    player().position = 58;
    expect(await controller.changeTempo(2)).toBe('No combo comes after this one in the round.');
  });
  it('begins a round again at its planned tempo', async () => {
    const controller = deckOf();
    await controller.load();
    controller.start();
    await controller.changeTempo(10);
    controller.goTo(0);
    expect(controller.state).toMatchObject({ phase: 'running', tempoBy: 0 });
    expect(player().round.cycles[3]!.beatSeconds).toBe(1);
    expect(log.at(-1)).toMatchObject({ kind: 'again', round: 0, running: true });
  });
  it('skips held as held, and behind the last round it is over until a round is wanted again', async () => {
    const controller = deckOf();
    await controller.load();
    controller.goTo(1);
    expect(controller.state).toMatchObject({ phase: 'held', round: 1 });
    controller.goTo(2);
    controller.goTo(3);
    expect(controller.state).toMatchObject({ phase: 'over', round: 2 });
    controller.goTo(3);
    controller.goTo(2);
    expect(controller.state).toMatchObject({ phase: 'held', round: 2 });
    expect(log.map(({ kind }) => kind)).toEqual(['skip', 'skip', 'skip', 'again']);
    expect(placeInRun(runState(log), [60, 60, 60], now)).toMatchObject({ round: 2, running: false });
  });
  it('does not begin again once it is closed', async () => {
    const controller = deckOf(runState([{ kind: 'end', at: now }]));
    await controller.load();
    controller.goTo(0);
    controller.toggle();
    expect(controller.state.phase).toBe('over');
    expect(log).toEqual([]);
  });
  it('plays a burst without asking anybody', async () => {
    const controller = deckOf();
    await controller.load();
    const burst = await controller.burst(10, () => {});
    expect([burst.at, burst.round.duration]).toEqual([-6.25, 16]);
  });
});
