import fc from 'fast-check';
import { usualBlock, type WrittenBlock } from '../../rounds/index.ts';
import { roundSeconds, sessionSeconds, type RoundLike } from '../plannedRound.ts';
import { fitRounds } from './fitRounds.ts';

type Round = RoundLike<WrittenBlock>;
const pads = (id: string, combo: string, seconds = 120): Round => ({
  ...{ id, title: `Pads ${combo}`, kind: 'pads' },
  blocks: [
    { ...usualBlock('combo', 'w'), seconds, combos: [{ comboId: combo }] },
    { ...usualBlock('rest', 'r'), seconds: 30 },
  ],
});
const other = (id: string, kind: Round['kind'], seconds: number): Round => ({
  ...{ id, title: id, kind },
  blocks: [{ ...usualBlock('free', 'w'), seconds }],
});
const hour: Round[] = [
  other('warm', 'warm-up', 300),
  pads('a', 'ebb-1'),
  pads('b', 'ebb-1'),
  pads('c', 'ebb-2'),
  other('strength', 'conditioning', 120),
  other('shadow', 'shadow', 120),
  other('end', 'stretch', 120),
];

describe('a session brought to another length', () => {
  it('drops whole rounds that matter least, and shortens nothing below what it was meant to be', () => {
    const { rounds, dropped, total, missing } = fitRounds(hour, 16 * 60, []);
    expect(dropped.map(({ id }) => id)).toEqual(['strength', 'shadow']);
    expect([total, missing, sessionSeconds(rounds)]).toEqual([960, 0, 960]);
    for (const round of rounds) {
      const before = hour.find(({ id }) => id === round.id)!;
      expect(roundSeconds(round)).toBeGreaterThanOrEqual(roundSeconds(before));
    }
  });
  it('keeps what the class is about', () => {
    const strong = fitRounds(hour, 16 * 60, ['strength']);
    expect(strong.rounds.map(({ id }) => id)).toContain('strength');
    expect(strong.dropped.map(({ id }) => id)).toEqual(['shadow', 'b']);
  });
  it('does rounds again when half an hour becomes an hour', () => {
    const { rounds, added, total, missing } = fitRounds(hour, 45 * 60, []);
    expect(added.length).toBeGreaterThan(3);
    expect([total, missing]).toEqual([2700, 0]);
    expect(new Set(rounds.map(({ id }) => id)).size).toBe(rounds.length);
    expect(rounds[0]!.id).toBe('warm');
    expect(rounds.at(-1)!.id).toBe('end');
    expect(added.every(({ kind }) => kind !== 'warm-up' && kind !== 'stretch')).toBe(true);
  });
  it('takes a few seconds off here and there before it drops a round', () => {
    expect(fitRounds(hour, sessionSeconds(hour) - 10, []).dropped).toEqual([]);
  });
  it('is a sum of whole seconds whatever is asked, with series too', () => {
    const round = fc.record({
      kind: fc.constantFrom('warm-up', 'technique', 'combos', 'pads', 'conditioning', 'stretch'),
      seconds: fc.integer({ min: 30, max: 400 }),
      times: fc.constantFrom(1, 1, 2, 3),
    });
    fc.assert(
      fc.property(
        fc.array(round, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 300, max: 7200 }),
        (all, wanted) => {
          const written = all.map(({ kind, seconds, times }, i): Round => ({
            ...other(`r${i}`, kind as Round['kind'], seconds),
            series: times === 1 ? null : { id: `s${i}`, times },
          }));
          const { rounds, total, missing } = fitRounds(written, wanted, []);
          expect(sessionSeconds(rounds)).toBeCloseTo(total, 9);
          expect(total + missing).toBeCloseTo(wanted, 9);
          for (const { blocks } of rounds)
            for (const { seconds } of blocks) expect(Number.isInteger(seconds)).toBe(true);
        },
      ),
    );
  });
});
