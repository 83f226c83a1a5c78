import { BLOCK_KINDS, kindOf, tellBlock, type NameOf } from '@eurhythm/core/rounds';
import { isRightBlock, type AnyBlockDto, type ComboBlockDto } from '@eurhythm/contract';
import { laneOf, newBlock, pageOf } from './kinds.ts';

const nameOf: NameOf = ({ comboId }) => `combo ${comboId}`;

describe.each(BLOCK_KINDS)('the page of %s', (kind) => {
  const block = newBlock(kind, 'b', 'ebb-1');
  const { fields = [], Settings, what } = pageOf({ kind });

  it('has a name, and says what it is for', () => {
    expect(kindOf({ kind }).name).toMatch(/^[A-Z][a-z ]+$/);
    expect(what.length).toBeGreaterThan(10);
  });
  it('begins a block that is right', () => expect(isRightBlock(block)).toBe(true));
  it('has fields for what the block has, each with a label of its own', () => {
    const values = block as unknown as Record<string, Record<string, unknown>>;
    for (const field of fields) {
      const [key = '', inner] = field.name.split('.');
      // Lists may be missing for none.
      if (field.kind === 'words' || field.kind === 'numbers' || field.kind === 'groups') continue;
      expect(inner === undefined ? values[key] : values[key]![inner]).toBeDefined();
    }
    expect(new Set(fields.map(({ label }) => label)).size).toBe(fields.length);
    if (Settings) expect(fields).toEqual([]);
  });
  it('offers the choice that the block has', () => {
    const values = block as unknown as Record<string, unknown>;
    for (const field of fields)
      if (field.kind === 'choice')
        expect(field.choices.map(({ value }) => value)).toContain(values[field.name]);
  });
  it('tells it in one line, also while a number is being typed', () => {
    expect(tellBlock(block, nameOf)).not.toContain('undefined');
    const typed = Object.fromEntries(
      Object.entries(block).map(([key, value]) => [key, typeof value === 'number' ? NaN : value]),
    ) as unknown as AnyBlockDto;
    expect(tellBlock(typed, nameOf)).not.toMatch(/NaN|undefined/);
  });
  it('lets a group rest that it is not for, and says nothing of one that does the same', () => {
    expect(laneOf({ ...block, who: ['Ebb'] }, 'Flood', nameOf)).toMatchObject({ text: 'rests' });
    expect(laneOf(block, 'Flood', nameOf)).toBeNull();
  });
});

describe('a lane', () => {
  it('does not say its own name again where there is little room', () => {
    const block = {
      ...newBlock('combo', 'b', 'ebb-1'),
      lanes: [{ group: 'combo', combos: [{ comboId: 'x' }, { comboId: 'y' }] }],
    } as ComboBlockDto;
    expect(laneOf(block, 'combo', nameOf)).toEqual({ text: 'combo x, combo y', short: 'x, y', share: 1 });
  });
  it('of a count that is half typed is not drawn', () => {
    const count = { ...newBlock('count', 'b', null), groups: [{ group: 'Ebb', reps: NaN }] } as AnyBlockDto;
    expect(laneOf(count, 'Ebb', nameOf)).toBeNull();
  });
});
