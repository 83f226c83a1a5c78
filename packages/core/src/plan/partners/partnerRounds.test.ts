import { usualBlock, type WrittenBlock } from '../../rounds/index.ts';
import { fairTurns } from './fairTurns.ts';
import { inTurns, oneTurn, rotationsOf, turnAt, turnInRun, announcePartners } from './partnerRounds.ts';

const work: WrittenBlock = { ...usualBlock('free', 'w'), seconds: 60 };
const rest: WrittenBlock = { kind: 'rest', id: 'r', seconds: 30 };
const round = (turns: 1 | 2 | 3 | null, blocks: WrittenBlock[] = [work, rest]) => ({
  kind: 'pads' as const,
  title: 'Pads',
  blocks,
  turns,
});
const reported = (blocks: readonly WrittenBlock[]): [string, number][] =>
  blocks.map(({ id, seconds }) => [id, seconds]);

describe('a round in turns', () => {
  it('is worked once by each who stands together, and roles change in between', () => {
    expect(reported(inTurns(round(2)).blocks)).toEqual([
      ['w', 60],
      ['turn.1', 15],
      ['w.t2', 60],
      ['r', 30],
    ]);
    expect(reported(inTurns(round(3)).blocks).map(([id]) => id)).toEqual([
      'w',
      'turn.1',
      'w.t2',
      'turn.2',
      'w.t3',
      'r',
    ]);
    expect(inTurns(round(2)).blocks[1]).toMatchObject({ next: 'change: holders work' });
    expect(inTurns(round(3)).blocks[1]).toMatchObject({ next: 'change: watchers work' });
    // As the partners are planned: who held works by two, who watched by three.
    const [pair] = fairTurns([['a', 'b']], 2, new Map());
    const [three] = fairTurns([['a', 'b', 'c']], 3, new Map());
    expect(pair!.turns[1]![pair!.turns[0]!.indexOf('hold')]).toBe('work');
    expect(three!.turns[1]![three!.turns[0]!.indexOf('watch')]).toBe('work');
  });
  it('leaves who works alone a rest of half a minute and a little', () => {
    expect(reported(inTurns(round(1, [work])).blocks)).toEqual([
      ['w', 60],
      ['turn.1', 35],
    ]);
    expect(reported(inTurns(round(1)).blocks)).toEqual([
      ['w', 60],
      ['r', 30],
    ]);
  });
  it('goes from any number to any other, and back to what was written', () => {
    for (const from of [1, 2, 3] as const)
      for (const to of [1, 2, 3, null] as const) {
        const again = inTurns({ ...inTurns(round(from)), turns: to });
        expect(again).toEqual(inTurns(round(to)));
        expect(oneTurn(again.blocks)).toEqual([work, rest]);
      }
  });
  it('says whose turn it is', () => {
    const { blocks } = inTurns(round(3));
    expect([0, 59, 61, 76, 150, 151].map((at) => turnAt(blocks, at))).toEqual([0, 0, 1, 1, 2, 2]);
  });
  it('shows the partners of the next round in the rest that ends one, and not in a change of roles', () => {
    const rounds = [inTurns(round(2)), inTurns(round(1, [work]))];
    expect([0, 61, 76, 134, 135, 160].map((at) => turnInRun(rounds, 0, at))).toEqual([
      { round: 0, turn: 0 },
      { round: 0, turn: 1 },
      { round: 0, turn: 1 },
      { round: 0, turn: 1 },
      { round: 1, turn: 0 },
      { round: 1, turn: 0 },
    ]);
    expect(turnInRun(rounds, 1, 70)).toEqual({ round: 1, turn: 1 });
  });
});

describe('rotations', () => {
  it('belong to pads and to rounds in turns, and begin again when all are through', () => {
    const technique = { ...round(2), kind: 'technique' as const };
    const stretch = { ...round(null), kind: 'stretch' as const };
    const rounds = [stretch, round(null), technique, stretch, round(2), round(2)];
    expect(rotationsOf(rounds, 3)).toEqual([null, 0, 1, null, 2, 0]);
    expect(rotationsOf(rounds, 0)).toEqual(rounds.map(() => null));
  });
  it('are reported in the rest before them, and the first is not', () => {
    const rounds = [round(null), round(null), round(null)].map((each, i) => ({
      ...each,
      title: `Pads ${i}`,
    }));
    const next = (given: readonly (number | null)[]) =>
      announcePartners(rounds, given).map(({ blocks }) => (blocks.at(-1) as { next?: string }).next);
    expect(next([0, 1, 1])).toEqual(['Pads 1, change partners', undefined, undefined]);
    expect(next([0, null, 1])).toEqual([undefined, 'Pads 2, change partners', undefined]);
    expect(next([null, null, null])).toEqual([undefined, undefined, undefined]);
  });
});
