import fc from 'fast-check';
import { planSeason, type SeasonCombo, type SeasonLog, type SeasonWish } from './season.ts';

const wish: SeasonWish = {
  ...{ from: '2026-01-05', until: '2026-03-28', isGrading: true, classes: 2, minutes: 60, edits: {} },
};
const combos: SeasonCombo[] = Array.from({ length: 8 }, (_, i) => ({
  ...{ id: `c${i}`, name: `Reef ${i}`, isAsked: i < 4, focus: [i % 2 ? 'kicks' : 'hands'] },
}));
const nothing: SeasonLog = { setsOf: () => [], lastDay: () => null };

describe('a season', () => {
  const weeks = planSeason(wish, combos, nothing, ['ada'], '2026-01-05');
  it('goes from its first day to the grading, with a lighter week in four and a test before the end', () => {
    expect(weeks.map(({ kind }) => kind)).toEqual([
      ...['build', 'build', 'test', 'light', 'build', 'build', 'test', 'light'],
      ...['build', 'build', 'test', 'grading'],
    ]);
    expect([weeks[0]!.from, weeks.at(-1)!.until]).toEqual(['2026-01-05', '2026-03-28']);
  });
  it('introduces everything once, what is asked first, and leaves time to repeat it', () => {
    const introduced = weeks.flatMap((week) => week.introduced);
    expect([...introduced].sort()).toEqual(combos.map(({ id }) => id));
    const weekOf = (id: string) => weeks.findIndex((week) => week.introduced.includes(id));
    for (const asked of ['c0', 'c1', 'c2', 'c3'])
      for (const other of ['c4', 'c5', 'c6', 'c7']) expect(weekOf(asked)).toBeLessThanOrEqual(weekOf(other));
    for (const { id } of combos) {
      const again = weeks.flatMap((week, i) => (week.repeated.includes(id) ? [i] : []));
      expect(again.length).toBeGreaterThan(1);
      expect(Math.min(...again)).toBeGreaterThan(weekOf(id));
      expect(weekOf(id)).toBeLessThan(9);
    }
    expect(weeks.at(-1)!.introduced).toEqual([]);
  });
  it('tests what the grading asks, and is light where it says so', () => {
    for (const { kind, tested, load, contact } of weeks) {
      expect(tested.length > 0).toBe(kind === 'test' || kind === 'grading');
      if (kind === 'light' || kind === 'grading') expect([load < 0.7, contact]).toEqual([true, 25]);
      else expect(load).toBeGreaterThanOrEqual(1);
    }
    expect(weeks[1]!.minutes).toBeGreaterThan(weeks[3]!.minutes);
  });
  it('is planned again from what happened: what was done is not new, what is not clean comes at once', () => {
    const done: SeasonLog = {
      lastDay: (id) => (['c0', 'c1', 'c4'].includes(id) ? '2026-01-20' : null),
      setsOf: (_, id) => [{ bpm: 80, quality: id === 'c1' ? 'loose' : 'clean' }],
    };
    const later = planSeason(wish, combos, done, ['ada'], '2026-01-26');
    const introduced = later.flatMap((week) => week.introduced);
    expect([...introduced].sort()).toEqual(['c2', 'c3', 'c5', 'c6', 'c7']);
    expect(later.slice(0, 3).every((week) => week.introduced.length + week.repeated.length === 0)).toBe(true);
    const next = (id: string) => later.findIndex((week) => week.repeated.includes(id));
    expect(next('c1')).toBe(3);
    expect(next('c0')).toBeGreaterThanOrEqual(3);
    expect(later.slice(3).every((week) => week.introduced.length + week.repeated.length >= 3)).toBe(true);
  });
  it('keeps what a coach changed', () => {
    const edits = { '2026-01-12': { theme: 'clinch', kind: 'light' } } as const;
    const changed = planSeason({ ...wish, edits }, combos, nothing, [], '2026-01-05');
    expect(changed[1]).toMatchObject({ theme: 'clinch', kind: 'light', load: 0.6 });
    expect(changed[1]!.introduced).toEqual([]);
  });
  it('never loses a combo that is asked, however few weeks are left', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 20 }),
        fc.boolean(),
        (length, n, isGrading) => {
          const until = new Date(Date.parse('2026-01-05T12:00Z') + (7 * length - 1) * 86_400_000)
            .toISOString()
            .slice(0, 10);
          const some = Array.from({ length: n }, (_, i) => ({ ...combos[0]!, id: `x${i}` }));
          const all = planSeason({ ...wish, until, isGrading }, some, nothing, [], '2026-01-05');
          expect(all).toHaveLength(length);
          expect(new Set(all.flatMap((week) => [...week.introduced, ...week.repeated])).size).toBe(n);
        },
      ),
    );
  });
});
