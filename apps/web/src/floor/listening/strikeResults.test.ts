import type { Listener } from './Listening.ts';
import { bestResults, resultsOf } from './strikeResults.ts';
import { due, listener, round, takeOf, workersOf } from './roundToHear.ts';

describe('what landed in a round', () => {
  it('is what was due against what was heard', () => {
    const [result] = resultsOf(takeOf(due.map(({ at }) => at + 0.03)), round, 40, workersOf);
    expect(result!.landed.match.misses).toEqual([]);
    expect(result!.landed.match.bias).toBeCloseTo(0.03, 3);
  });
  it('tells the device’s own ticks from strikes on them, by a microphone', () => {
    const heard: Listener = { ...listener, source: 'microphone' };
    const ticks = round.cues
      .filter(({ sound }) => sound !== undefined)
      .map(({ at }) => ({ at, strength: -40 }));
    const strikes = due.map(({ at }) => ({ at: at + 0.01, strength: -18 }));
    const onsets = [
      ...ticks.filter(({ at }) => !strikes.some((each) => Math.abs(each.at - at) < 0.05)),
      ...strikes,
    ].sort((a, b) => a.at - b.at);
    const [result] = resultsOf(takeOf([], { listener: heard, onsets }), round, 40, workersOf);
    expect(result!.landed.match).toMatchObject({ misses: [], extras: [] });
  });
  it('is, of one who is heard by two, what the better input heard, and nothing that was dropped', () => {
    const all = due.map(({ at }) => at);
    const of = (id: string, at: readonly number[], isDropped = false) =>
      resultsOf(takeOf(at, { listener: { ...listener, id }, isDropped }), round, 40, workersOf)[0]!;
    const [half, whole, dropped] = [of('bag', all.slice(0, 6)), of('phone', all), of('other', all, true)];
    expect(bestResults([half, whole, dropped]).map(({ take }) => take.listener.id)).toEqual(['phone']);
    expect(bestResults([dropped])).toEqual([]);
  });
});
