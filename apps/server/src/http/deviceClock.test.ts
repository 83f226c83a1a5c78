import { clockOffset, doneAt, pressedAt } from './deviceClock.ts';

const NOW = Date.parse('2026-03-05T18:30:00Z');

describe('the clock of a device', () => {
  it.each([
    ['five minutes ahead', '2026-03-05T18:35:00Z', -300_000],
    ['an hour behind', '2026-03-05T17:30:00Z', 3_600_000],
    ['as right as the network lets it be told', '2026-03-05T18:29:59Z', 0],
    ['not told', undefined, 0],
    ['told as no time', 'noon', 0],
  ])('that is %s', (_, sentAt, offset) => expect(clockOffset(sentAt, NOW)).toBe(offset));

  it('that is wrong is corrected, and what it reported is kept', () => {
    const { at, toldAt } = doneAt('2026-03-05T18:34:00Z', -300_000);
    expect([at.toISOString(), toldAt?.toISOString()]).toEqual([
      '2026-03-05T18:29:00.000Z',
      '2026-03-05T18:34:00.000Z',
    ]);
  });
  it('that is right is taken at its word', () => {
    expect(doneAt('2026-03-05T18:29:00Z', 0)).toEqual({
      at: new Date('2026-03-05T18:29:00Z'),
      toldAt: null,
    });
  });
  it('no press was done years from now', () => {
    const { at, toldAt } = pressedAt('2099-01-01T00:00:00Z', 0, NOW);
    expect([at.getTime(), toldAt?.getUTCFullYear()]).toEqual([NOW, 2099]);
  });
});
