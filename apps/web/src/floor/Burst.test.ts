import { jest } from '@jest/globals';
import { Burst, type BurstEnd } from './Burst.ts';
import type { Player, PlayerEnd } from './player.ts';

const READY = 6;
const SECONDS = 10;

let clock: number;
let ends: BurstEnd[];
let player: Player & { position: number; running: boolean; tell: (end: PlayerEnd) => void };
const output = { latency: 0 };
const over: PlayerEnd = {
  kind: 'over',
  handOver: { anchor: { clock: 'audio', zero: 16 }, placed: [], next: 0 },
};

function burstOf(): Burst {
  const open = (tell: (end: PlayerEnd) => void): Player => {
    const start = (): void => void (player.running = true);
    const hold = (): number => ((player.running = false), player.position);
    player = { position: 0, running: false, round: {}, tell, start, hold, dispose: hold } as never;
    return player;
  };
  return new Burst(
    output,
    open,
    () => clock,
    (end) => ends.push(end),
  );
}

/** Both the clock and the sound go on. */
function pass(seconds: number): void {
  clock += seconds;
  player.position += seconds;
}

beforeEach(() => {
  jest.useFakeTimers();
  output.latency = 0.2;
  clock = 1000;
  ends = [];
});
afterEach(() => {
  jest.useRealTimers();
});

describe('a burst', () => {
  it('begins when its bell is heard, not when it is due', () => {
    const burst = burstOf();
    burst.start();
    pass(READY + 0.1);
    expect(burst.at).toBeCloseTo(-0.1, 9);
    pass(0.1);
    expect(burst.at).toBeCloseTo(0, 9);
  });

  it('is over when its last bell is heard, and counts up to there', () => {
    const burst = burstOf();
    burst.start();
    pass(READY + SECONDS);
    player.running = false;
    player.tell(over);
    expect(burst.at).toBeCloseTo(SECONDS - 0.2, 9);
    clock += 0.15; // the sound stands still
    expect(burst.at).toBeCloseTo(SECONDS - 0.05, 9);
    jest.advanceTimersByTime(199);
    expect(ends).toEqual([]);
    jest.advanceTimersByTime(1);
    expect(ends).toEqual(['over']);
  });

  it('tells nothing once it is gone', () => {
    const burst = burstOf();
    burst.start();
    pass(READY + SECONDS);
    player.tell(over);
    burst.dispose();
    jest.runAllTimers();
    expect(ends).toEqual([]);
  });

  it('counts for nothing where the device slept, and goes on where only the page was too busy to look', () => {
    const burst = burstOf();
    burst.start();
    pass(READY + 6);
    player.tell({ kind: 'slept' });
    expect(ends).toEqual([]);
    expect(burst.running).toBe(true);
    clock += 60;
    player.tell({ kind: 'slept' });
    expect(ends).toEqual(['slept']);
    expect(burst.running).toBe(false);
  });
});
