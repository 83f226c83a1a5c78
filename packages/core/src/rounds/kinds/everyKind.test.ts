import fc from 'fast-check';
import { PACE_FACTORS } from '../../body/index.ts';
import { lettersVoice } from '../../calls/testLibrary.ts';
import { starterBook } from '../../moves/index.ts';
import {
  BLOCK_KINDS,
  blockFaults,
  compileRound,
  countedLength,
  fillBlock,
  isCounted,
  isPause,
  kindOf,
  placeholderBlock,
  usualBlock,
  wantedTexts,
  withExactLength,
  type Block,
  type BlockKindName,
  type WrittenBlock,
} from '../index.ts';

const book = starterBook();
const combo = { id: 'a', grade: 'Ebb', number: 1, title: 'Door', line: '1 2 3', beatsPerBar: 4 };
const combos = new Map([[combo.id, combo]]);

/** A block as a coach begins it, with a combo where it takes one, as long as it needs. */
function begun(kind: BlockKindName): WrittenBlock {
  const usual: WrittenBlock = usualBlock(kind, 'b');
  return withExactLength(
    usual.kind === 'combo' ? { ...usual, combos: [{ comboId: 'a' }] } : usual,
    book,
    PACE_FACTORS.club,
  );
}
const filled = (kind: BlockKindName): Block => fillBlock(begun(kind), combos);
const played = (blocks: readonly Block[], seed = 1) =>
  compileRound({ blocks, lead: 'left', seed }, book, lettersVoice());

describe.each(BLOCK_KINDS)('a block of the kind %s', (kind) => {
  it('is right as a coach begins it', () => {
    expect(begun(kind)).toMatchObject({ kind, id: 'b' });
    expect(blockFaults(begun(kind), combos, book)).toEqual([]);
    expect(begun(kind).seconds).toBeGreaterThanOrEqual(5);
  });
  it('is played from its start to its end, and never over it', () => {
    const block = filled(kind);
    const { cues, duration, findings } = played([block]);
    expect(duration).toBe(block.seconds);
    for (const cue of cues) {
      expect(cue.at).toBeGreaterThanOrEqual(0);
      expect(cue.at).toBeLessThanOrEqual(duration);
      if (cue.kind === 'strike') expect(cue.at).toBeLessThan(duration);
    }
    expect(findings.filter(({ severity }) => severity === 'caution')).toEqual([]);
  });
  it('says only what was asked of the voice beforehand', () => {
    const block = filled(kind);
    const known = new Set(wantedTexts([block], book));
    for (const { clip, text } of played([block]).cues) if (clip) expect(known).toContain(text);
  });
  it('plays the same with the same seed, whatever stands around it', () => {
    const rest = fillBlock(usualBlock('rest', 'r'), combos);
    expect(played([rest, filled(kind)], 7)).toEqual(played([rest, filled(kind)], 7));
  });
  it('tells its length where its work is counted, and leaves it alone where the clock counts', () => {
    const block = begun(kind);
    expect(isCounted(block)).toBe(countedLength(block, book, 1) !== null);
    if (isCounted(block)) {
      expect(withExactLength({ ...block, seconds: NaN }, book, PACE_FACTORS.club).seconds).toBe(
        block.seconds,
      );
      expect(countedLength(block, book, 2)!).toBeGreaterThanOrEqual(countedLength(block, book, 1)!);
    } else expect(withExactLength({ ...block, seconds: 77 }, book, 1).seconds).toBe(77);
  });
  it('rings its bells, or is a pause without any', () => {
    const bells = played([filled(kind)]).cues.filter((cue) => cue.kind === 'bell');
    expect(bells.length > 0).toBe(!isPause({ kind }));
  });
  it('names every line that is done in it, each of which can be read', () => {
    const { done, written, named, groups } = kindOf({ kind });
    const block = begun(kind);
    for (const { line } of written(block)) expect(typeof line).toBe('string');
    if (named(block).length > 0) expect(named(block)).toEqual([{ field: 'combos.0', comboId: 'a' }]);
    expect(groups(block)).toEqual([]);
    for (const line of done(filled(kind), book)) expect(line.length).toBeGreaterThan(0);
  });
});

describe('a block that is not right yet', () => {
  it('gives way to one that asks nothing, as long as it where that is right', () => {
    fc.assert(
      fc.property(fc.oneof(fc.double(), fc.constantFrom(NaN, -1, 1e9, 0, 60)), (seconds) => {
        const stand = placeholderBlock({ id: 'b', seconds });
        expect(stand).toMatchObject({ kind: 'talk', id: 'b' });
        expect(stand.seconds).toBe(seconds >= 0 && seconds <= 3600 ? seconds : 0);
      }),
    );
  });
});

describe('faults of a block', () => {
  it('are reported where they are: a combo that is gone, a line that cannot be read', () => {
    const gone: WrittenBlock = { ...usualBlock('combo', 'b'), combos: [{ comboId: 'gone' }] };
    expect(blockFaults(gone, combos, book)).toMatchObject([{ field: 'combos.0' }]);
    const count = { ...usualBlock('count', 'b'), line: 'rund' };
    expect(blockFaults(count, combos, book)).toMatchObject([{ field: 'line' }]);
    expect(blockFaults(count, combos, book)[0]!.message).toContain('round');
  });
  it('are reported about each lane', () => {
    const lanes: WrittenBlock = {
      ...usualBlock('combo', 'b'),
      combos: [{ comboId: 'a' }],
      lanes: [{ group: 'Ebb', combos: [{ comboId: 'a' }, { line: '1 (' }] }],
    };
    expect(blockFaults(lanes, combos, book)).toMatchObject([{ field: 'lanes.0.combos.1' }]);
    expect(kindOf(lanes).groups(lanes)).toEqual(['Ebb']);
    expect(kindOf(lanes).done(fillBlock({ ...lanes, lanes: [] }, combos), book)).toEqual(['1 2 3']);
  });
});
