import { trialSpan } from './trialSpan.ts';

it.each([
  ['a burst from its bell to its end', 'burst', [1, 9], [], { from: 0, to: 10.5 }],
  ['a burst that went on behind its end', 'burst', [1, 11], [], { from: 0, to: 11.5 }],
  [
    'a combo from what came first to what came last',
    'combo-time',
    [92, 120],
    [91.5, 119],
    { from: 91, to: 120.5 },
  ],
  ['a number that somebody told, with nothing to show', 'combo-time', [], [], { from: 0, to: 10.5 }],
] as const)('a trial is shown: %s', (_, kind, onsets, due, span) =>
  expect(trialSpan({ kind, seconds: 10 }, onsets, due)).toEqual(span),
);
