import fc from 'fast-check';
import type { DueInRound, Onset } from '../strikes/index.ts';
import { normalDraw, seededRandom } from '../units/index.ts';
import { evaluateTake, type Take, type TakeDue } from './evaluateTake.ts';
import { evaluateTrial } from './evaluateTrial.ts';

const strike = (at: number, cycle: number, stroke: number): DueInRound => ({
  at,
  cycle,
  stroke,
  combo: 'c',
  block: 'b',
  limb: 'left-hand',
  lead: 'left',
});
/** Five times through a line of three strokes, three seconds apart. */
const due = [0, 1, 2, 3, 4].flatMap((n) => [1, 1.5, 2.25].map((at, k) => strike(3 * n + at, n, k)));
const take = (onsets: readonly Onset[], more: Partial<Take> = {}): Take => ({
  onsets,
  source: 'sensor',
  from: 0,
  reference: [],
  ...more,
});
const dueAll: TakeDue = { strikesOf: () => due, bursts: [], calls: [] };
const alone = { fighterIds: ['ada'], workerAt: () => 'ada', until: 60 };

describe('what a take comes to', () => {
  it('gives each of two who work by turns what is theirs, and nobody what nobody worked at', () => {
    const workerAt = (at: number): string | null => (at < 6 ? 'ada' : at < 12 ? 'bo' : null);
    const onsets = due.map(({ at }) => ({ at }));
    const rules = { fighterIds: ['ada', 'bo', 'cy'], workerAt, until: 60 };
    const results = evaluateTake(take(onsets), dueAll, rules);
    expect(
      results.map(({ fighterId, landed }) => [
        fighterId,
        landed.match.hits.length,
        landed.match.extras.length,
      ]),
    ).toEqual([
      ['ada', 6, 0],
      ['bo', 6, 0],
    ]);
  });
  it('has no whole time where one strike of each is only doubtful, but a miss of each', () => {
    const onsets = due.map(({ at, stroke }) => ({ at, ...(stroke === 1 ? { doubtful: true } : {}) }));
    const [ada] = evaluateTake(take(onsets), dueAll, alone);
    expect([ada!.landed.match.misses.length, ada!.doubtful]).toEqual([5, 5]);
    expect(ada!.trials).toEqual([]);
  });
  it('counts nothing as missed from before it listened, nor what has not come yet', () => {
    const [ada] = evaluateTake(take([], { from: 4 }), dueAll, { ...alone, until: 8 });
    expect(ada!.landed.match.misses).toHaveLength(due.filter(({ at }) => at >= 4 && at <= 8).length);
  });
  it('measures bursts from their own bell on, and answers from their calls', () => {
    const tests = { strikesOf: () => [], bursts: [{ from: 10, seconds: 10 }], calls: [31, 35] };
    const onsets = [9.5, 10.5, 11, 12.25, 25, 31.4, 35.3].map((at) => ({ at }));
    const [ada] = evaluateTake(take(onsets), tests, alone);
    expect(ada!.trials.map(({ kind, result }) => [kind, result.instants, result.value])).toEqual([
      ['burst', [0.5, 1, 2.25], null],
      ['reaction', onsets.map(({ at }) => at), 0.35],
    ]);
    // Who came to the bag after the bell has no burst.
    expect(evaluateTake(take(onsets, { from: 11 }), { ...tests, calls: [] }, alone)).toEqual([]);
  });
  it('takes the ticks of the devices out of what a microphone hears, and of nothing else', () => {
    const reference = [0, 10].map((at) => ({ at, kind: 'bell' }));
    const onsets = [0.01, 1, 2, 10.02].map((at) => ({ at, strength: -20 }));
    const tests = { strikesOf: () => [], bursts: [{ from: 0, seconds: 10 }], calls: [] };
    const instants = (source: Take['source']) =>
      evaluateTake(take(onsets, { source, reference }), tests, alone)[0]!.trials[0]!.result.instants;
    expect(instants('microphone')).toEqual([1, 2]);
    expect(instants('sensor')).toEqual([0.01, 1, 2]);
  });
  it('evaluates each trial as it is evaluated again from its evidence', () => {
    const jitter = fc.array(fc.double({ min: -0.04, max: 0.04, noNaN: true }), {
      minLength: 15,
      maxLength: 15,
    });
    const doubts = fc.array(fc.boolean(), { minLength: 15, maxLength: 15 });
    fc.assert(
      fc.property(jitter, doubts, (late, doubtful) => {
        const onsets = due.map(({ at }, i) => ({ at: at + late[i]!, doubtful: doubtful[i]! }));
        const [ada] = evaluateTake(take(onsets), dueAll, alone);
        const whole = [0, 1, 2, 3, 4].filter((n) => !doubtful.slice(3 * n, 3 * n + 3).includes(true)).length;
        expect(ada!.trials.length === 0 ? 0 : ada!.trials[0]!.result.times.length).toBe(whole);
        for (const { kind, evidence, result } of ada!.trials)
          expect(
            evaluateTrial(
              { kind, seconds: 0 },
              { source: 'sensor', device: '', detector: null, ...evidence },
            ),
          ).toEqual(result);
      }),
    );
  });
});

it('the strip and the trial count the same: a time through is whole where no pin of it is missed', () => {
  const random = seededRandom(5);
  for (let n = 0; n < 200; n++) {
    const due: DueInRound[] = [];
    let at = 1;
    const gap = 0.25 + 0.4 * random();
    for (let cycle = 0; cycle < 16; cycle++) {
      const combo = cycle % 2 === 0 ? 'three' : 'four';
      for (let stroke = 0; stroke < (cycle % 2 === 0 ? 3 : 4); stroke++, at += gap)
        due.push({ at, cycle, stroke, combo, block: 'b', limb: 'left-hand', lead: 'left' });
      if (random() < 0.5) at += gap;
    }
    const [jitter, bias] = [0.01 + 0.06 * random(), 0.05 * normalDraw(random)];
    const onsets = [
      ...due.flatMap((each) =>
        random() < 0.05 ? [] : [{ at: each.at + bias + jitter * normalDraw(random) }],
      ),
      { at: at * random() },
    ].sort((a, b) => a.at - b.at);
    const [one] = evaluateTake(
      { onsets, source: 'sensor', from: 0, reference: [] },
      { strikesOf: () => due, bursts: [], calls: [] },
      { fighterIds: ['ada'], workerAt: () => 'ada', until: at },
    );
    const missed = new Set(one!.landed.match.misses.map((i) => due[i]!.cycle));
    for (const combo of ['three', 'four']) {
      const whole = new Set(
        due.filter((each) => each.combo === combo && !missed.has(each.cycle)).map(({ cycle }) => cycle),
      );
      const trial = one!.trials.find((each) => each.kind === 'combo-time' && each.combo.combo === combo);
      expect(trial?.result.times.length ?? 0).toBe(whole.size);
    }
  }
});
