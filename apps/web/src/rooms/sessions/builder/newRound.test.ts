import { PACE_FACTORS } from '@eurhythm/core/body';
import { starterBook } from '@eurhythm/core/moves';
import { BLOCK_KINDS, tellBlock } from '@eurhythm/core/rounds';
import { RoundDto, checkFields, withRightLength, type AnyBlockDto } from '@eurhythm/contract';
import { newBlock } from '../kinds/kinds.ts';
import { ROUND_BEGINNINGS, copyRound, freeBlockId, freeRoundId, newRound } from './newRound.ts';

const book = starterBook();

describe('rounds in the builder', () => {
  it('begin complete', () => {
    expect(checkFields(RoundDto, newRound('pads', 'r1', 'ebb-1'))).toEqual([]);
    expect(checkFields(RoundDto, newRound('shadow', 'r1', null))).toEqual([]);
    expect(checkFields(RoundDto, newRound('pads', 'r1', null))).toMatchObject([
      { field: 'blocks.0.combos', message: 'Choose at least one combo.' },
    ]);
  });
  it.each(ROUND_BEGINNINGS.map(({ value }) => [value]))(
    'begin as %s with blocks that are right',
    (beginning) => {
      const round = newRound(beginning, 'r1', 'ebb-1');
      expect(checkFields(RoundDto, round)).toEqual([]);
      expect(new Set(round.blocks.map((block) => block.id)).size).toBe(round.blocks.length);
      for (const block of round.blocks)
        expect(withRightLength(block, book, 1.25).seconds).toBeGreaterThanOrEqual(5);
    },
  );
  it('take blocks of every kind, each complete and with an id of its own', () => {
    const round = newRound('pads', 'r1', 'ebb-1');
    for (const kind of BLOCK_KINDS) round.blocks.push(newBlock(kind, freeBlockId(round), 'ebb-1'));
    expect(checkFields(RoundDto, round)).toEqual([]);
    expect(new Set(round.blocks.map((block) => block.id)).size).toBe(round.blocks.length);
  });
  it('know how long what is counted takes, and leave the clock alone', () => {
    const count = withRightLength(
      { ...newBlock('count', 'c', null), repSeconds: 2, reps: 10, sets: 2, rest: 20 } as AnyBlockDto,
      book,
      PACE_FACTORS.club,
    );
    expect(count.seconds).toBe(2 * 2 * (3 + 10 * 2) + 20);
    const hold = withRightLength(newBlock('hold', 'h', null), book, PACE_FACTORS.club);
    expect(hold.seconds).toBe(66);
    expect(
      withRightLength({ ...hold, holdSeconds: NaN } as AnyBlockDto, book, PACE_FACTORS.club).seconds,
    ).toBe(66);
    expect(withRightLength(newBlock('free', 'f', null), book, PACE_FACTORS.club).seconds).toBe(120);
  });
  it('tell each block in a line', () => {
    const name = ({ comboId }: { comboId?: string }): string => `combo ${comboId}`;
    expect(BLOCK_KINDS.map((kind) => tellBlock(newBlock(kind, 'b', 'ebb-1'), name))).toEqual([
      'combo ebb-1 · 80 a minute',
      'Round kick: 15 each side × 2',
      'Two straights',
      'Low stance: 30 s each side × 1',
      'Hands high, Move your head, Circle out, Change lead',
      '“now”: 1 2',
      '3 × in, 2, 3 × out',
      'Squats: 15',
      'Slow breaths: in 4, out 6',
      'Line up, Eyes closed, Bow',
      '',
      'What comes next',
    ]);
  });
  it('never share ids', () => {
    const first = newRound('pads', 'round-1', 'ebb-1');
    const id = freeRoundId([first]);
    const copy = copyRound(first, id);
    expect(id).not.toBe('round-1');
    expect(copy.blocks.map((block) => block.id)).not.toEqual(first.blocks.map((block) => block.id));
  });
});
