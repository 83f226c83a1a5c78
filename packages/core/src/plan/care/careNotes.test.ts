import { starterBook } from '../../moves/index.ts';
import { usualBlock, type Block } from '../../rounds/index.ts';
import { NO_CARE, careNotes, type CaredFor } from './careNotes.ts';

const book = starterBook();
const combo = (line: string, more: object = {}): Block =>
  ({
    ...usualBlock('combo', 'c'),
    combos: [{ id: 'c', grade: '', number: 1, title: 'Own', line, beatsPerBar: 4 }],
    ...more,
  }) as Block;
const round = (id: string, block: Block, kind: 'pads' | 'combos' | 'conditioning' = 'pads') => ({
  ...{ id, title: `Round ${id}`, kind, blocks: [block] },
});
const someone = (care: Partial<CaredFor['care']>, more: Partial<CaredFor> = {}): CaredFor => ({
  ...{ name: 'Ada', lead: 'left', group: '', care: { ...NO_CARE, ...care } },
  ...more,
});
const told = (rounds: ReturnType<typeof round>[], person: CaredFor) =>
  careNotes(rounds, [person], book).map(({ round: id, message }) => `${id} ${message}`);

describe('what somebody does otherwise', () => {
  it('starts light in the first half alone, and leaves bursts out wherever they are', () => {
    const hard = combo('1 2', { intensity: [20, 60] });
    const burst = usualBlock('burst', 'b') as Block;
    expect(
      told(
        [round('a', hard), round('b', hard), round('c', hard), round('d', burst, 'conditioning')],
        someone({ startsLight: true }),
      ),
    ).toEqual([
      'a starts light: at most 25 % contact, whatever is called.',
      'b starts light: at most 25 % contact, whatever is called.',
      'd starts light: steady straights instead of the burst, and no count.',
    ]);
  });
  it('goes to the body where a partner holds, and is left alone in the air', () => {
    const rounds = [
      round('a', combo('1 2 r:knee')),
      round('b', combo('1 2'), 'combos'),
      round('c', combo('1@b')),
    ];
    expect(told(rounds, someone({ noHeadContact: true }))).toEqual([
      'a no contact to the head: 1@b 2@b r:knee instead of 1 2 r:knee.',
    ]);
  });
  it('spares a limb where it would strike with all its power, whichever lead that limb is in', () => {
    const hard = combo('1 2 3', { intensity: [60] });
    expect(told([round('a', hard)], someone({ spared: ['right-hand'] }))).toEqual([
      "a right hand without full power: 1 2' 3 from the own lead instead of 1 2 3.",
    ]);
    expect(told([round('a', hard)], someone({ spared: ['right-hand'] }, { lead: 'right' }))).toEqual([
      "a right hand without full power: 1' 2 3' from the own lead instead of 1 2 3.",
    ]);
    expect(
      told(
        [round('a', combo('1 2*')), round('b', combo('1 2', { intensity: [30] }))],
        someone({ spared: ['right-hand'] }),
      ),
    ).toEqual(["a right hand without full power: 1 2' from the own lead instead of 1 2*."]);
  });
  it('looks at what the own group does', () => {
    const lanes = [
      {
        group: 'Reef',
        combos: [{ id: 'k', grade: '', number: 1, title: 'K', line: 'r:knee', beatsPerBar: 4 }],
      },
    ];
    const block = combo('1 2', { lanes });
    expect(told([round('a', block)], someone({ noHeadContact: true }, { group: 'Reef' }))).toEqual([]);
    expect(told([round('a', block)], someone({ noHeadContact: true }, { group: 'Shore' }))).toHaveLength(1);
  });
  it('says nothing of who takes care of nothing', () => {
    expect(told([round('a', combo('1 2*', { intensity: [80] }))], someone({}))).toEqual([]);
  });
});
