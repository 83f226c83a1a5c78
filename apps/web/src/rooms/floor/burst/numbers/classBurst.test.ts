import { askedOf, attemptOf, classBurst, nextOpen, oddCount, withCount } from './classBurst.ts';

const people = [
  { id: 'ines', lead: 'left' },
  { id: 'oskar', lead: 'right' },
  { id: 'lumi', lead: 'left' },
] as const;
const made = (lead: 'own' | 'left' | 'right' = 'own') => {
  let n = 0;
  const asked = askedOf(people, { title: 'Two straights', seconds: 10 }, lead);
  return classBurst(asked, 'then', () => `t${(n += 1)}`);
};

describe('a burst of the class', () => {
  it('has a trial for each, from their own lead or from one for all', () => {
    expect(made().trials.map(({ lead }) => lead)).toEqual(['left', 'right', 'left']);
    expect(made('right').trials.map(({ lead }) => lead)).toEqual(['right', 'right', 'right']);
  });
  it('asks for who is still open, after the one that was reported and then from the first', () => {
    const some = withCount(withCount(made(), 0, 21), 2, 19);
    expect([nextOpen(made().trials, -1), nextOpen(some.trials, 0), nextOpen(some.trials, 2)]).toEqual([
      0, 1, 1,
    ]);
    expect(nextOpen(withCount(some, 1, 5).trials, 1)).toBe(2);
  });
  it('sends what a partner counted, the same trial again when it is corrected', () => {
    const burst = withCount(made(), 1, 23);
    expect(attemptOf(burst.trials[1]!, 'run')).toEqual({
      fighterId: 'oskar',
      runId: 'run',
      title: 'Two straights',
      seconds: 10,
      lead: 'right',
      instants: [],
      said: 23,
      measured: 'partner',
      at: 'then',
    });
    expect(withCount(burst, 1, 24).trials[1]!.id).toBe(burst.trials[1]!.id);
  });
  it.each([
    ['23', null],
    ['0', null],
    ['230', 'That would be 23 a second. Enter once more keeps it.'],
    ['', 'A number from 0 to 2000.'],
    ['2001', 'A number from 0 to 2000.'],
  ])('thinks of %j in ten seconds: %j', (typed, sentence) => {
    expect(oddCount(typed, 10)).toBe(sentence);
  });
});

it('a number far from what this person usually does is asked about once', () => {
  expect(oddCount('190', 60, 19)).toBe('190 is 10 times the usual 19. Enter once more keeps it.');
  expect(oddCount('9', 10, 19)).toBe('9 is 47 % of the usual 19. Enter once more keeps it.');
  expect(oddCount('22', 10, 19)).toBeNull();
  expect(oddCount('40', 10, null)).toBeNull();
});
