import { jest } from '@jest/globals';
import type { Cue } from '@eurhythm/core/rounds';
import { spliced, type RoundToPlay } from '@eurhythm/core/run';
import { RoundPlayer, type ClockedOutput } from './RoundPlayer.ts';

/** A worker whose beats the test gives. */
class HandWorker {
  static last: HandWorker;
  onmessage: (() => void) | null = null;
  ended = false;
  constructor() {
    HandWorker.last = this;
  }
  terminate(): void {
    this.ended = true;
  }
}

/** An output with a clock that the test turns, and a list of what stands on it. */
class StubOutput {
  readonly context = Object.assign(new EventTarget(), { currentTime: 0 });
  wake(): void {}
  audible = true;
  placed: { at: number; when: number }[] = [];
  play(event: { at: number }, when: number): () => void {
    const sound = { at: event.at, when };
    this.placed.push(sound);
    return () => {
      this.placed = this.placed.filter((other) => other !== sound);
    };
  }
}

const tick = (at: number): Cue => ({ at, kind: 'tick', text: '1', block: 'b', sound: 'tick-bar' });
const round: RoundToPlay = {
  duration: 20,
  cues: Array.from({ length: 20 }, (_, i) => tick(i)),
  cycles: [],
  findings: [],
  combos: [],
  workEnds: 60,
  scenes: [],
};

let output: StubOutput;
let ended: number;
let held: number;
let slept: number;
let player: RoundPlayer;
beforeEach(() => {
  Object.assign(globalThis, { Worker: HandWorker });
  output = new StubOutput();
  ended = 0;
  held = 0;
  slept = 0;
  player = new RoundPlayer(output as unknown as ClockedOutput, round, (end) =>
    end.kind === 'over' ? (ended += 1) : end.kind === 'held' ? (held += 1) : (slept += 1),
  );
});
afterEach(() => player.dispose());

function pass(seconds: number): void {
  for (let i = 0; i < seconds * 5; i++) {
    output.context.currentTime += 0.2;
    HandWorker.last.onmessage!();
  }
}

describe('RoundPlayer', () => {
  it('puts sounds on the clock well ahead, each at its place, none twice', () => {
    player.start(0);
    const zero = output.placed[0]!.when;
    expect(output.placed.length).toBeGreaterThanOrEqual(4);
    expect(zero).toBeGreaterThan(output.context.currentTime);
    pass(6);
    expect(output.placed.map((sound) => sound.at)).toEqual(
      Array.from({ length: output.placed.length }, (_, i) => i),
    );
    for (const { at, when } of output.placed) expect(when - zero).toBeCloseTo(at, 9);
    expect(output.placed.at(-1)!.when - output.context.currentTime).toBeGreaterThan(2.9);
  });

  it('survives a page that stalls for three seconds without a late sound', () => {
    player.start(0);
    pass(2);
    const before = output.placed.length;
    output.context.currentTime += 3;
    expect(output.placed[before - 1]!.when).toBeGreaterThan(output.context.currentTime);
    HandWorker.last.onmessage!();
    for (const { when } of output.placed.slice(before))
      expect(when).toBeGreaterThan(output.context.currentTime);
  });

  it('holds at once, and goes on from there without repeating', () => {
    player.start(0);
    pass(4);
    const heldAt = player.hold();
    expect(output.placed.filter((sound) => sound.when > output.context.currentTime)).toEqual([]);
    expect(player.running).toBe(false);
    output.context.currentTime += 100;
    expect(player.position).toBe(heldAt);
    player.start(heldAt);
    expect(output.placed.every((sound) => sound.at >= heldAt)).toBe(true);
    expect(player.position).toBeCloseTo(heldAt, 9);
  });

  it('runs on the wall clock while the page is silent, and moves to the audio clock at the same second', async () => {
    output.audible = false;
    player.start(5);
    await new Promise((done) => setTimeout(done, 60));
    expect(player.position).toBeGreaterThan(5.04);
    expect(output.placed).toEqual([]);
    output.audible = true;
    const before = player.position;
    output.context.dispatchEvent(new Event('statechange'));
    expect(output.placed[0]!.at).toBe(6);
    expect(player.position).toBeCloseTo(before, 1);
  });

  it('ends once, at its length', () => {
    player.start(15);
    pass(4);
    expect([ended, player.running]).toEqual([0, true]);
    pass(4);
    expect([ended, player.running, player.position]).toEqual([1, false, 20]);
  });

  it('counts two beats before it goes on, and shows the second at which it was held meanwhile', () => {
    player.start(7.5, 0.5);
    const now = output.context.currentTime;
    expect(output.placed.slice(0, 2).map((sound) => sound.at)).toEqual([6.5, 7]);
    expect(output.placed[0]!.when - now).toBeLessThan(0.2);
    expect(output.placed[1]!.when - output.placed[0]!.when).toBeCloseTo(0.5, 9);
    // the next sound is due half a second after the second count and half a beat on
    expect(output.placed[2]!).toMatchObject({ at: 8 });
    expect(output.placed[2]!.when - output.placed[0]!.when).toBeCloseTo(1.5, 9);
    expect(player.position).toBe(7.5);
    pass(1);
    expect(player.position).toBe(7.5);
    pass(1);
    expect(player.position).toBeGreaterThan(7.9);
  });

  it('runs on to where it is to be held, is silent behind it, and tells', () => {
    player.start(0);
    pass(1);
    player.holdAt(2.5);
    expect(output.placed.every((sound) => sound.at < 2.5)).toBe(true);
    pass(3);
    expect([held, ended, player.running, player.position]).toEqual([1, 0, false, 2.5]);
  });

  it('runs on after all when the hold is taken back', () => {
    player.start(0);
    pass(1);
    player.holdAt(2.5);
    player.holdAt(null);
    pass(4);
    expect([held, player.running]).toEqual([0, true]);
    expect(output.placed.map((sound) => sound.at)).toContain(4);
    expect(new Set(output.placed.map((sound) => sound.at)).size).toBe(output.placed.length);
  });

  it('goes on with another compile from an instant ahead, and leaves what is before', () => {
    player.start(0);
    pass(1);
    const faster = { ...round, cues: Array.from({ length: 40 }, (_, i) => tick(i / 2)) };
    player.swap(spliced(round, faster, 3), 3);
    pass(3);
    const ats = output.placed.map((sound) => sound.at);
    expect(ats.filter((at) => at < 3)).toEqual([0, 1, 2]);
    expect(ats.filter((at) => at >= 3 && at <= 5)).toEqual([3, 3.5, 4, 4.5, 5]);
    expect(player.round.cues.filter((cue) => cue.at < 3)).toHaveLength(3);
  });

  it('is followed by the next round on the same clock, to the sample, whenever that is noticed', () => {
    const second = { ...round, cues: [tick(0), tick(0.5), tick(7)] };
    let next: RoundPlayer | null = null;
    const first = new RoundPlayer(
      output as unknown as ClockedOutput,
      round,
      (end) => {
        if (end.kind !== 'over') return;
        next = new RoundPlayer(output as unknown as ClockedOutput, second, () => {});
        next.takeOver(end.handOver);
      },
      second,
    );
    const beats = HandWorker.last;
    first.start(16);
    const zero = output.placed[0]!.when - output.placed[0]!.at;
    // A page that sleeps over the end, for less than what is placed ahead, is late with nothing.
    for (const seconds of [0.2, 1.7, 1.6, 1.3]) {
      output.context.currentTime += seconds;
      beats.onmessage!();
    }
    expect(next).not.toBeNull();
    expect(next!.position).toBeCloseTo(output.context.currentTime - zero - 20, 9);
    HandWorker.last.onmessage!();
    output.context.currentTime += 4;
    HandWorker.last.onmessage!();
    const whens = output.placed.map(({ when }) => when - zero);
    for (const at of [20, 20.5, 27])
      expect(whens.filter((when) => Math.abs(when - at) < 1e-9)).toHaveLength(1);
    next!.hold();
    expect(output.placed.some(({ when }) => when > output.context.currentTime)).toBe(false);
    next!.dispose();
    first.dispose();
  });

  it('lets what sounds at its end ring out', () => {
    player.start(18);
    pass(3);
    expect(ended).toBe(1);
    const ringing = output.placed.length;
    expect(ringing).toBeGreaterThan(0);
    player.dispose();
    expect(output.placed).toHaveLength(ringing);
  });

  it('takes the beginning of the next round back when it is held before its end', () => {
    const two = new RoundPlayer(output as unknown as ClockedOutput, round, () => {}, round);
    two.start(18);
    expect(output.placed.some(({ at }) => at >= 20)).toBe(true);
    two.hold();
    expect(output.placed.filter(({ when }) => when > output.context.currentTime)).toEqual([]);
    two.dispose();
  });

  it('is followed by another round than it was, in place of the one whose beginning stands on the clock', () => {
    const other = { ...round, cues: [tick(0.25), tick(0.75)] };
    const two = new RoundPlayer(output as unknown as ClockedOutput, round, () => {}, round);
    two.start(18);
    expect(output.placed.some(({ at }) => at === 20)).toBe(true);
    two.follow(other);
    const zero = output.placed[0]!.when - output.placed[0]!.at;
    const behind = output.placed.map(({ when }) => when - zero).filter((at) => at >= 20 - 1e-9);
    expect(behind).toEqual([20.25, 20.75]);
    two.dispose();
  });

  it('tells when its device slept, once, and only while it runs', () => {
    const clock = jest.spyOn(Date, 'now');
    let now = Date.now();
    clock.mockImplementation(() => now);
    HandWorker.last.onmessage!();
    now += 60_000;
    HandWorker.last.onmessage!();
    expect(slept).toBe(0);
    player.start(0);
    pass(1);
    now += 60_000;
    pass(1);
    expect(slept).toBe(1);
    clock.mockRestore();
  });
  it('lets its heartbeat go', () => {
    player.dispose();
    expect(HandWorker.last.ended).toBe(true);
  });
});
