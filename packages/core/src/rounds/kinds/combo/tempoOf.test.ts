import { leadStretches } from '../../leadStretches.ts';
import { stageAt, tempoAt } from './tempoOf.ts';
import type { ComboBlock, TempoShape } from './comboBlock.ts';

const block = (tempo?: TempoShape): ComboBlock => ({
  kind: 'combo',
  id: 'b',
  seconds: 60,
  combos: [],
  bpm: 80,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'as-set',
  cyclesEach: 1,
  ...(tempo ? { tempo } : {}),
});
const at = (tempo: TempoShape | undefined, done: number, cycle = 0): number =>
  tempoAt(block(tempo), { done, cycle, at: done * 60 });

describe('tempoAt', () => {
  it.each([
    ['without a shape', undefined, 0.5, 0, 80],
    ['broken', { kind: 'broken', pause: 4 }, 0.5, 9, 80],
    ['ramp, half way', { kind: 'ramp', to: 120 }, 0.5, 0, 100],
    ['ramp, past its end', { kind: 'ramp', to: 120 }, 1.4, 0, 120],
    ['steps, before the first', { kind: 'steps', by: 5, every: 4 }, 0, 3, 80],
    ['steps, after two', { kind: 'steps', by: 5, every: 4 }, 0, 8, 90],
    ['steps down to the slowest', { kind: 'steps', by: -50, every: 1 }, 0, 9, 20],
    ['build-up, slow', { kind: 'build-up', fast: 110 }, 0.1, 0, 52],
    ['build-up, joined', { kind: 'build-up', fast: 110 }, 0.5, 0, 80],
    ['build-up, fast', { kind: 'build-up', fast: 110 }, 0.9, 0, 110],
  ] as const)('%s', (_, tempo, done, cycle, bpm) => expect(at(tempo, done, cycle)).toBeCloseTo(bpm, 9));

  it('adds the changes made while it runs, from their instants on', () => {
    const shifts = [
      { from: 10, by: 4 },
      { from: 20, by: -2 },
    ];
    const bpm = (seconds: number): number =>
      tempoAt(block(), { done: seconds / 60, cycle: 0, at: seconds }, shifts);
    expect([bpm(9.9), bpm(10), bpm(19.9), bpm(30)]).toEqual([80, 84, 84, 82]);
  });
});

describe('stageAt', () => {
  it('is as written unless the block builds up', () => {
    expect(stageAt(block({ kind: 'ramp', to: 90 }), 0.1)).toBe('as-set');
    const stages = [0, 0.34, 0.7].map((done) => stageAt(block({ kind: 'build-up', fast: 99 }), done));
    expect(stages).toEqual(['parts', 'joined', 'fast']);
  });
});

describe('leadStretches', () => {
  const time = { from: 10, to: 70 };
  it('is one stretch from the lead of the round, from the other, or half of each', () => {
    expect(leadStretches('as-set', 'left', time)).toEqual([{ ...time, lead: 'left' }]);
    expect(leadStretches('other', 'left', time)).toEqual([{ ...time, lead: 'right' }]);
    expect(leadStretches('halves', 'right', time)).toEqual([
      { from: 10, to: 40, lead: 'right' },
      { from: 40, to: 70, lead: 'left' },
    ]);
  });
});
