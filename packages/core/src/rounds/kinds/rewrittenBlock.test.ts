import { kindOf, withCombo, withLines, type WrittenBlock } from '../index.ts';

const BLOCKS: readonly WrittenBlock[] = [
  { id: 'a', kind: 'count', seconds: 20, line: 'jab', groups: [] } as unknown as WrittenBlock,
  {
    id: 'b',
    kind: 'count',
    seconds: 20,
    line: 'jab',
    groups: [{ group: 'Juniors', reps: 5, line: '2' }],
  } as unknown as WrittenBlock,
  {
    id: 'c',
    kind: 'combo',
    seconds: 60,
    combos: [{ comboId: 'one' }, { line: '1 2' }],
    lanes: [{ group: 'Juniors', combos: [{ comboId: 'one' }, { line: '3' }, { comboId: 'two' }] }],
  } as unknown as WrittenBlock,
  {
    id: 'd',
    kind: 'react',
    seconds: 60,
    line: '1',
    more: [{ line: '2', word: 'red' }],
  } as unknown as WrittenBlock,
  { id: 'e', kind: 'rest', seconds: 30 } as WrittenBlock,
];

describe('a block that is written anew', () => {
  it.each(BLOCKS)('$id ($kind) has every line changed, and nothing else', (block) => {
    const before = structuredClone(block);
    const after = withLines(block, (line) => `${line} x`);
    const lines = (of: WrittenBlock): string[] =>
      kindOf(of)
        .written(of)
        .map(({ line }) => line);
    expect(lines(after)).toEqual(lines(block).map((line) => `${line} x`));
    expect(withLines(after, (line) => line.replace(' x', ''))).toEqual(before);
    expect(block).toEqual(before);
  });
  it('is the same one where no line changes', () => {
    for (const block of BLOCKS) expect(withLines(block, () => null)).toBe(block);
  });
  it('names the stand-in wherever it named the combo, in lanes too', () => {
    const after = withCombo(BLOCKS[2]!, 'one', 'new');
    expect(
      kindOf(after)
        .named(after)
        .map(({ comboId }) => comboId),
    ).toEqual(['new', 'new', 'two']);
    expect(withCombo(BLOCKS[2]!, 'three', 'new')).toBe(BLOCKS[2]);
  });
});
