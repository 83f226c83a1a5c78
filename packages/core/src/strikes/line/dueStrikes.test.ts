import { dueStrikes } from './dueStrikes.ts';

const cue = (at: number, limb: string | undefined, kind = 'strike') =>
  ({ at, kind, text: '', block: 'b', cycle: 1, combo: 'c', stroke: 0, ...(limb ? { limb } : {}) }) as never;

it('is every impact of a round, and nothing that makes no sound', () => {
  const cues = [
    cue(1, 'left-hand'),
    cue(2, 'feet'),
    cue(2.5, 'holder'),
    cue(3, 'right-leg'),
    cue(3.5, 'left-hand', 'call'),
  ];
  const cycles = [{ at: 0, block: 'b', combo: 'c', cycle: 1, lead: 'right' }] as never;
  const due = dueStrikes({ cues, cycles });
  expect(due.map(({ at }) => at)).toEqual([1, 3]);
  expect(due[0]).toMatchObject({ combo: 'c', cycle: 1, lead: 'right' });
});
it('counts hands that land at once as one sound', () => {
  expect(dueStrikes({ cues: [cue(1, 'left-hand'), cue(1.01, 'right-hand')], cycles: [] })).toHaveLength(1);
});
