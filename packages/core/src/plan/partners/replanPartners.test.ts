import { partnerPlan } from './partnerPlan.ts';
import { replanPartners, withGroups } from './replanPartners.ts';

const trainee = (id: string) => ({ id, rank: 0, size: null, apart: [] });
const people = ['a', 'b', 'c', 'd'].map(trainee);
const plan = partnerPlan(
  people.map((each) => ({ ...each, from: 0, until: null })),
  3,
  2,
).map(({ groups }, i) => ({ round: 2 * i + 1, groups }));
const membersOf = (groups: readonly { readonly members: readonly string[] }[]): string[] =>
  groups.flatMap(({ members }) => [...members]).sort();

describe('replanPartners', () => {
  it('changes nothing that was or is', () => {
    const now = replanPartners(plan, 3, [...people, trainee('e')]);
    expect(now.slice(0, 2)).toEqual(plan.slice(0, 2));
    expect(membersOf(now[2]!.groups)).toEqual(['a', 'b', 'c', 'd', 'e']);
  });
  it('leaves out who has left, and everybody who is there works', () => {
    const now = replanPartners(plan, 0, people.slice(0, 3));
    for (const { groups } of now) expect(membersOf(groups)).toEqual(['a', 'b', 'c']);
    // Three in three rounds of two turns: two each.
    const working = now.flatMap(({ groups }) =>
      groups.flatMap(({ members, turns }) =>
        turns.flatMap((turn) => members.filter((_, i) => turn[i] === 'work')),
      ),
    );
    expect(working.sort()).toEqual(['a', 'a', 'b', 'b', 'c', 'c']);
  });
  it('reported as groups alone is the same plan again', () => {
    const now = replanPartners(plan, 1, people.slice(0, 3));
    const reported = now.map(({ round, groups }) => ({
      round,
      groups: groups.map(({ members }) => ({ members })),
    }));
    expect(withGroups(plan, 1, reported)).toEqual(now);
  });
  it('parts those who worked together before', () => {
    const [first, second] = replanPartners(plan, 1, people);
    const pairs = (groups: readonly { readonly members: readonly string[] }[]) =>
      groups.map(({ members }) => [...members].sort().join());
    expect(pairs(second!.groups).filter((pair) => pairs(first!.groups).includes(pair))).toEqual([]);
  });
});
