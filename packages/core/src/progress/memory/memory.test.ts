import { asked, comboNeed, memoryNow, memoryOf, RECALLS } from './memory.ts';

const DAY = 86_400_000;
const START = Date.parse('2026-03-05T18:00:00.000Z');
const after = (days: number): string => new Date(START + days * DAY).toISOString();

describe('the memory of a combo', () => {
  it('asks later the better it came', () => {
    const [recalled, helped, forgot] = RECALLS.map((recall) => Date.parse(asked(null, recall, after(0)).due));
    expect(forgot!).toBeLessThanOrEqual(helped!);
    expect(helped!).toBeLessThanOrEqual(recalled!);
    expect(forgot!).toBeGreaterThanOrEqual(START + DAY / 2);
  });

  it('asks ever more seldom what is recalled, and counts what is forgotten', () => {
    let card = asked(null, 'recalled', after(0));
    const waits = [1, 2, 3].map(() => {
      const before = Date.parse(card.due);
      card = asked(card, 'recalled', card.due);
      return Date.parse(card.due) - before;
    });
    expect(waits).toEqual(waits.toSorted((a, b) => a - b));
    expect(asked(card, 'forgot', card.due)).toMatchObject({ lapses: 1, times: 5 });
  });

  it('slips with time, and is due before it does', () => {
    const card = asked(null, 'recalled', after(0));
    expect(memoryNow(card, 'recalled', after(0.1))).toMatchObject({ isDue: false, isSlipping: false });
    const late = memoryNow(card, 'recalled', after(200));
    expect(late).toMatchObject({ isDue: true, isSlipping: true });
    expect(late.chance).toBeLessThan(memoryNow(card, 'recalled', after(5)).chance);
    expect(memoryNow(card, 'recalled', card.due)).toMatchObject({ isDue: true, isSlipping: false });
  });

  it('is not remembered when it was forgotten, however lately it was asked', () => {
    const card = memoryOf(RECALLS.map((recall, i) => ({ recall, at: after(3 * i) })))!;
    expect(memoryNow(card, 'forgot', after(6))).toMatchObject({ chance: 0, isSlipping: true });
  });

  it('is the same whatever the order in which answers come in', () => {
    const times = RECALLS.map((recall, i) => ({ recall, at: after(3 * i) }));
    expect(memoryOf(times.toReversed())).toEqual(memoryOf(times));
    expect(memoryOf([])).toBeNull();
  });

  it('weighs a combo by how many of those here it slips from', () => {
    const slipping = { isDue: true, isSlipping: true };
    expect(comboNeed([], 4)).toBe(1);
    expect(comboNeed([slipping, slipping], 4)).toBe(3);
    expect(comboNeed([slipping, slipping, slipping], 2)).toBe(5);
    expect(comboNeed([slipping], 0)).toBe(1);
  });
});
