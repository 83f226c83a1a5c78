import type { ShownRun } from './shown.ts';
import { nextText, roundAfterRest } from './whatComes.ts';

const block = (kind: string, id: string, seconds: number) => ({ kind, id, seconds });
const run = {
  rounds: [
    {
      title: 'Shadow',
      blocks: [block('rest', 'get-ready', 10), block('free', 's', 60), block('rest', 'r', 30)],
    },
    {
      title: 'Pads',
      blocks: [
        block('free', 'w', 60),
        block('rest', 'turn.1', 15),
        block('free', 'w.t2', 60),
        block('rest', 'r', 30),
      ],
    },
  ],
  partners: [],
} as unknown as ShownRun;
const then = (round: number, at: number): string => nextText(run, roundAfterRest(run, round, at));

describe('what comes after a rest', () => {
  it('is the round itself while people get ready, and while they change roles', () => {
    expect(then(0, 5)).toBe('Shadow');
    expect(then(1, 65)).toBe('Pads');
  });
  it('is the next round at the end of one, and the end behind the last', () => {
    expect(then(0, 75)).toBe('Pads');
    expect(then(1, 140)).toBe('the end');
  });
});
