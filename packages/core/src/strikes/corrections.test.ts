import fc from 'fast-check';
import { correctionsBy, validOnsets, type LoudOnset } from './index.ts';

const onset = (at: number, more: Partial<LoudOnset> = {}): LoudOnset => ({ at, strength: -20, ...more });
const ats = (some: readonly { readonly at: number }[]) => some.map(({ at }) => at);

describe('what was reported about strikes', () => {
  it('stands in the order of time without what was withdrawn, the nearest of it where two are near', () => {
    const reported = [{ at: 1 }, { at: 1.05 }, { at: 3 }, { at: 1.04, withdrawn: true }, { at: 2 }];
    expect(ats(validOnsets(reported))).toEqual([1, 2, 3]);
    // Both are so near that either could be meant.
    expect(ats(validOnsets([{ at: 1 }, { at: 1.03 }, { at: 1.02, withdrawn: true }]))).toEqual([1]);
    expect(ats(validOnsets([{ at: 1 }, { at: 1.03 }, { at: 1.005, withdrawn: true }]))).toEqual([1.03]);
  });
  it('stands where nothing was reported at what is withdrawn', () =>
    expect(ats(validOnsets([{ at: 1 }, { at: 1.2, withdrawn: true }]))).toEqual([1]));

  const reported = [onset(1), onset(2), onset(3), onset(4, { doubtful: true }), onset(9)];
  it('is changed only where it is heard otherwise, and only between the instants that were heard again', () => {
    const again = { from: 1.5, until: 8, onsets: [onset(2.005), onset(3, { doubtful: true }), onset(5)] };
    const { withdrawn, added } = correctionsBy(reported, again);
    expect(ats(withdrawn)).toEqual([3, 4]);
    expect(added).toEqual([onset(3, { doubtful: true }), onset(5)]);
  });
  it('stands as it was heard again, to a few hundredths of a second', () => {
    const strikes = fc
      .uniqueArray(fc.integer({ min: 0, max: 100 }), { maxLength: 30 })
      .map((places) => places.map((place) => onset(place / 10)).sort((a, b) => a.at - b.at));
    fc.assert(
      fc.property(strikes, strikes, (before, onsets) => {
        const { withdrawn, added } = correctionsBy(before, { from: 0, until: 11, onsets });
        const gone = withdrawn.map((one) => ({ ...one, withdrawn: true }));
        expect(ats(validOnsets([...before, ...gone, ...added]))).toEqual(ats(onsets));
      }),
    );
  });
});
