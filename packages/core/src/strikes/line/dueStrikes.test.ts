import { starterBook } from '../../moves/index.ts';
import { dueInLane, dueStrikes, impactBeats } from './dueStrikes.ts';

const book = starterBook();
const cue = (at: number, limb: string | undefined, more: object = {}) =>
  ({ at, kind: 'strike', text: '', block: 'b', cycle: 1, combo: 'c', stroke: 0, limb, ...more }) as never;
const cycle = (lanes: readonly object[] = []) =>
  ({ at: 10, block: 'b', combo: 'c', cycle: 1, lead: 'right', beats: 4, beatSeconds: 0.5, lanes }) as never;

describe('what is to be heard of a round', () => {
  it('is every impact, and nothing that makes no sound', () => {
    const cues = [
      cue(1, 'left-hand'),
      cue(2, 'feet', { silent: true }),
      cue(3, 'right-leg'),
      cue(3.5, 'left-hand', { kind: 'call' }),
    ];
    const due = dueStrikes({ cues, cycles: [cycle()] });
    expect(due.map(({ at }) => at)).toEqual([1, 3]);
    expect(due[0]).toMatchObject({ combo: 'c', cycle: 1, lead: 'right' });
  });
  it('counts hands that land at once as one sound', () => {
    expect(dueStrikes({ cues: [cue(1, 'left-hand'), cue(1.01, 'right-hand')], cycles: [] })).toHaveLength(1);
  });
  it('is for a group with a combo of its own what that combo strikes', () => {
    const round = {
      cues: [cue(10, 'left-hand'), cue(10.5, 'left-hand')],
      cycles: [cycle([{ group: 'Ebb', combo: 'own' }])],
    };
    const combos = [{ id: 'own', line: '1 2 1' }] as never;
    expect(dueInLane(round, 'Ebb', combos, book).map(({ at, combo }) => [at, combo])).toEqual([
      [10, 'own'],
      [10.5, 'own'],
      [11, 'own'],
    ]);
    expect(dueInLane(round, 'Flood', combos, book).map(({ combo }) => combo)).toEqual(['c', 'c']);
  });
});

describe('the impacts of a line', () => {
  it('are its strikes, on their beats', () => {
    const beats = impactBeats('1-2 (3) parry sw round', 'left', book);
    expect(beats.map(({ beat, limb }) => [beat, limb])).toEqual([
      [0, 'left-hand'],
      [0.5, 'right-hand'],
      [4.5, 'left-leg'],
    ]);
    expect(impactBeats('no such line', 'left', book)).toEqual([]);
  });
});
