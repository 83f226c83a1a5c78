import { landedOf } from './landed.ts';
import type { Listener } from './Listening.ts';
import { due, listener, round, takeOf, workersOf } from './roundToHear.ts';

describe('what landed in a round', () => {
  it('is what was due against what was heard, without the latency of the device', () => {
    const [landed] = landedOf(takeOf(due.map(({ at }) => at + 0.03)), round, 40, workersOf);
    expect(landed!.heard.match.misses).toEqual([]);
    expect(landed!.heard.match.bias).toBeCloseTo(0.03, 3);
  });
  it('counts nothing as missed from before it listened, and nothing that has not come yet', () => {
    const [late] = landedOf(takeOf([], { from: 20 }), round, 30, workersOf);
    const inTime = due.filter(({ at }) => at >= 20 && at <= 30).length;
    expect([late!.heard.match.misses.length, late!.due.length]).toEqual([inTime, inTime]);
  });
  it('tells the device’s own ticks from strikes on them, by a microphone', () => {
    const heard: Listener = { ...listener, source: 'microphone', latency: 0 };
    const ticks = round.cues
      .filter(({ sound }) => sound !== undefined)
      .map(({ at }) => ({ at, strength: -40 }));
    const strikes = due.map(({ at }) => ({ at: at + 0.01, strength: -18 }));
    const onsets = [
      ...ticks.filter(({ at }) => !strikes.some((each) => Math.abs(each.at - at) < 0.05)),
      ...strikes,
    ].sort((a, b) => a.at - b.at);
    const [landed] = landedOf(takeOf([], { listener: heard, onsets }), round, 40, workersOf);
    expect(landed!.heard.match).toMatchObject({ misses: [], extras: [] });
  });
});
