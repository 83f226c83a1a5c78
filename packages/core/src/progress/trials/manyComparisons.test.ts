import { seededRandom } from '../../units/index.ts';
import { standTogether } from './manyComparisons.ts';

const stand = (chances: readonly (number | null)[]): number =>
  standTogether(chances, (chance) => chance).size;

describe('many comparisons', () => {
  it('are held to a stricter limit than one', () => {
    expect(stand([0.04])).toBe(1);
    expect(stand([0.04, 0.5, 0.6, 0.7])).toBe(0);
    expect(stand([0.001, 0.02, 0.6, 0.7])).toBe(2);
    expect(stand([null, 0.04])).toBe(1);
    expect(stand([])).toBe(0);
  });
  it('leave nineteen of twenty lists empty where nothing changed', () => {
    const random = seededRandom(3);
    const lists = Array.from({ length: 2000 }, () => stand(Array.from({ length: 30 }, random)));
    expect(lists.filter((size) => size > 0).length / lists.length).toBeLessThan(0.065);
  });
  it('are false in one of twenty at the most where some did change', () => {
    const random = seededRandom(4);
    let [kept, wrong] = [0, 0];
    for (let i = 0; i < 2000; i++) {
      const all = Array.from({ length: 30 }, (_, k) => ({
        isReal: k < 5,
        chance: random() * (k < 5 ? 1e-4 : 1),
      }));
      const found = [...standTogether(all, ({ chance }) => chance)];
      kept += found.length;
      wrong += found.filter(({ isReal }) => !isReal).length;
    }
    expect(kept).toBeGreaterThan(9000);
    expect(wrong / kept).toBeLessThan(0.06);
  });
});
