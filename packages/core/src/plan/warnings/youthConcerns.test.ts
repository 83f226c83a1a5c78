import { starterBook } from '../../moves/index.ts';
import { usualBlock, type Block } from '../../rounds/index.ts';
import { youthConcerns, type ClassMember } from '../index.ts';

const book = starterBook();
const limits = { headContact: false, knees: false, elbows: false, spins: false, jumps: false };
const small = { band: 'Minnows', ...limits };
const big = { band: 'Herons', ...limits, headContact: true, contact: 30 };
const member = (name: string, youth: ClassMember['youth'], group = ''): ClassMember => ({
  name,
  youth,
  group,
});
const combo = (line: string, more: object = {}): Block =>
  ({
    ...usualBlock('combo', 'c'),
    combos: [{ id: 'c', grade: '', number: 1, title: 'Own', line, beatsPerBar: 4 }],
    ...more,
  }) as Block;
const told = (blocks: Block[], people: ClassMember[]) =>
  youthConcerns(blocks, people, book).map(
    ({ names, faults }) => `${names.join(' and ')}: ${faults.join('; ')}`,
  );

describe('what children in a class should not do of it', () => {
  it('is told with their names, each fault once, and of no adult', () => {
    const people = [member('Ada', null), member('Bo', small), member('Cy', big), member('Di', small)];
    expect(told([combo('1 1 r:knee'), combo('1')], people)).toEqual([
      'Bo and Di: jab: no contact to the head; knee: no knees',
      'Cy: knee: no knees',
    ]);
    expect(told([combo('1 r:knee'), combo('2 f:hook')], [member('Bo', small)])).toEqual([
      'Bo: jab, cross, hook: no contact to the head; knee: no knees',
    ]);
    expect(told([combo('1@b 2@b')], people)).toEqual([]);
  });
  it('counts a jump that is made of two kicks, and contact above the limit or where none is set', () => {
    expect(told([combo('r:round@b=^f:round@b')], [member('Bo', small)])).toEqual([
      'Bo: round kick: no jumps',
    ]);
    expect(told([combo('1@b', { intensity: [20, 50] })], [member('Bo', small), member('Cy', big)])).toEqual([
      'Bo: 50 % contact: none is allowed',
      'Cy: 50 % contact: at most 30 %',
    ]);
  });
  it('looks at what the own group does, and not at what others do', () => {
    const own = {
      ...usualBlock('count', 'c'),
      line: 'r:knee',
      groups: [{ group: 'Small', reps: 5, line: 'f:push' }],
    } as Block;
    expect(told([own], [member('Bo', small, 'Small'), member('Di', small, 'Big')])).toEqual([
      'Di: knee: no knees',
    ]);
    expect(told([{ ...combo('r:knee'), who: ['Big'] }], [member('Bo', small, 'Small')])).toEqual([]);
  });
});
