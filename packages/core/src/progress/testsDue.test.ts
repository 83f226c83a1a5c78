import { testsDue } from './testsDue.ts';

const tried = (fighterId: string, last: string, testId = 'burst') => ({
  testId,
  title: testId,
  fighterId,
  last,
});
const come = new Set(['a', 'b', 'c', 'd']);

describe('testsDue', () => {
  it('names a test that half of those who come were not measured in for six weeks', () => {
    const all = [
      tried('a', '2026-01-01'),
      tried('b', '2026-01-15'),
      tried('c', '2026-03-01'),
      tried('d', '2026-03-01'),
    ];
    expect(testsDue(all, come, '2026-03-05')).toEqual([
      { testId: 'burst', title: 'burst', late: 2, of: 4, weeks: 7 },
    ]);
    expect(testsDue(all.slice(1), come, '2026-03-05')).toEqual([]);
  });
  it('takes the newest trial of each, from whichever lead', () => {
    const all = [tried('a', '2026-01-01'), tried('a', '2026-03-01'), tried('b', '2026-01-01')];
    expect(testsDue([...all, tried('c', '2026-01-01')], come, '2026-03-05')[0]).toMatchObject({
      late: 2,
      of: 3,
    });
  });
  it('leaves out who does not come any more, and a test of one or two', () => {
    const gone = ['x', 'y', 'z'].map((id) => tried(id, '2025-12-01'));
    expect(testsDue(gone, come, '2026-03-05')).toEqual([]);
    expect(testsDue([tried('a', '2026-01-01'), tried('b', '2026-01-01')], come, '2026-03-05')).toEqual([]);
  });
});
