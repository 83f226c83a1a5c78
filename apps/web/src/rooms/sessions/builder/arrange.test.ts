import fc from 'fast-check';
import { seriesOf } from '@eurhythm/core/plan';
import { RoundDto, checkFields } from '@eurhythm/contract';
import {
  blockPlace,
  joinedWithBefore,
  moveRound,
  partedFromBefore,
  putDown,
  readPlace,
  roundPlace,
  withBlock,
  withRounds,
  withTimes,
} from './arrange.ts';
import { newBlock } from '../kinds/kinds.ts';
import { newRound } from './newRound.ts';

const round = (id: string): RoundDto => newRound('shadow', id, null);
const abc = ['a', 'b', 'c'].map(round);
const ids = (rounds: readonly RoundDto[]): string => rounds.map(({ id }) => id).join('');
const times = (rounds: readonly RoundDto[]): (number | undefined)[] =>
  rounds.map(({ series }) => series?.times);

describe('places', () => {
  it('are read back as they are written', () => {
    expect(readPlace(roundPlace('r-1'))).toEqual({ kind: 'round', round: 'r-1' });
    expect(readPlace(blockPlace('r-1', 'b.2'))).toEqual({ kind: 'block', round: 'r-1', block: 'b.2' });
    expect(readPlace('nowhere')).toBeNull();
  });
});

describe('putting down', () => {
  it('a round among rounds', () => {
    expect(ids(putDown(abc, { kind: 'round', round: 'a' }, { kind: 'round', round: 'c' }))).toBe('bca');
    expect(ids(moveRound(abc, 'a', 'nowhere'))).toBe('abc');
  });
  it('a block in its round, or into another round before its rest', () => {
    const busy = abc.with(0, withBlock(abc[0]!, newBlock('burst', 'x', null)));
    const swapped = putDown(
      busy,
      { kind: 'block', round: 'a', block: 'x' },
      { kind: 'block', round: 'a', block: 'a-work' },
    );
    expect(swapped[0]!.blocks.map(({ id }) => id)).toEqual(['x', 'a-work', 'a-rest']);
    const moved = putDown(busy, { kind: 'block', round: 'a', block: 'x' }, { kind: 'round', round: 'b' });
    expect(moved[0]!.blocks).toHaveLength(2);
    expect(moved[1]!.blocks.map(({ kind }) => kind)).toEqual(['free', 'burst', 'rest']);
  });
  it('never takes the last block of a round, and gives a new id where one is taken', () => {
    const single = [
      { ...round('a'), blocks: [newBlock('burst', 'x', null)] },
      { ...round('b'), blocks: [newBlock('burst', 'x', null)] },
    ];
    expect(putDown(single, { kind: 'block', round: 'a', block: 'x' }, { kind: 'round', round: 'b' })).toEqual(
      single,
    );
    expect(new Set(withBlock(single[0]!, newBlock('rest', 'x', null)).blocks.map(({ id }) => id)).size).toBe(
      2,
    );
  });
});

describe('series', () => {
  it('begin with a number of times, and end with one', () => {
    const three = withTimes(abc, 1, 3);
    expect(times(three)).toEqual([undefined, 3, undefined]);
    expect(times(withTimes(three, 1, 1))).toEqual([undefined, undefined, undefined]);
  });
  it('take in the round below, are changed as one, and are parted again', () => {
    const joined = joinedWithBefore(withTimes(abc, 0, 3), 1);
    expect(times(joined)).toEqual([3, 3, undefined]);
    expect(seriesOf(joined)).toHaveLength(2);
    expect(times(withTimes(joined, 1, 5))).toEqual([5, 5, undefined]);
    expect(seriesOf(partedFromBefore(joined, 1))).toHaveLength(3);
  });
  it('are left by a round that is moved away from them', () => {
    const joined = joinedWithBefore(withTimes(abc, 0, 3), 1);
    expect(times(moveRound(joined, 'b', 'c'))).toEqual([3, undefined, undefined]);
    expect(times(moveRound(withTimes(abc, 0, 2), 'a', 'c'))).toEqual([undefined, undefined, 2]);
  });
});

describe('rounds of the library', () => {
  it('come under ids of their own, their series too', () => {
    const twice = withTimes([round('a'), round('b')], 0, 2);
    const all = withRounds(withRounds(abc, twice), twice);
    expect(new Set(all.map(({ id }) => id)).size).toBe(7);
    expect(new Set(all.flatMap(({ series }) => series?.id ?? [])).size).toBe(2);
  });
});

describe('any arranging', () => {
  const step = fc.oneof(
    fc.record({ what: fc.constant('times' as const), at: fc.nat(3), n: fc.integer({ min: 1, max: 20 }) }),
    fc.record({ what: fc.constantFrom('join' as const, 'part' as const), at: fc.nat(3), n: fc.constant(0) }),
    fc.record({ what: fc.constant('move' as const), at: fc.nat(3), n: fc.nat(3) }),
    fc.record({ what: fc.constant('block' as const), at: fc.nat(3), n: fc.nat(3) }),
  );
  it('loses no round and no block, and leaves a session that can be kept', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
        let rounds = ['a', 'b', 'c', 'd'].map(round);
        for (const { what, at, n } of steps) {
          const [from, to] = [rounds[at]!, rounds[n]];
          if (what === 'times') rounds = withTimes(rounds, at, n);
          else if (what === 'join') rounds = joinedWithBefore(rounds, at);
          else if (what === 'part') rounds = partedFromBefore(rounds, at);
          else if (what === 'move') rounds = moveRound(rounds, from.id, to!.id);
          else
            rounds = putDown(
              rounds,
              { kind: 'block', round: from.id, block: from.blocks[0]!.id },
              { kind: 'round', round: to!.id },
            );
        }
        expect(
          rounds
            .map(({ id }) => id)
            .sort()
            .join(''),
        ).toBe('abcd');
        expect(rounds.flatMap(({ blocks }) => blocks)).toHaveLength(8);
        for (const each of rounds) expect(checkFields(RoundDto, each)).toEqual([]);
        for (const { rounds: own, times: held } of seriesOf(rounds))
          for (const { series } of own) expect(series?.times ?? 1).toBe(held);
      }),
    );
  });
});
