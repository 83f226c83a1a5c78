import { byOwnClock, hearClock } from './clock.ts';

const NOW = Date.parse('2026-03-05T18:30:00Z');

describe('the clock of this device', () => {
  afterEach(() => hearClock(new Date().toISOString()));
  it.each([
    ['five minutes ahead', '2026-03-05T18:25:00Z', 300_000],
    ['a minute behind', '2026-03-05T18:31:00Z', -60_000],
    ['right', '2026-03-05T18:29:59Z', 0],
  ])('that is %s', (_, header, ahead) => {
    hearClock(header, NOW);
    expect(byOwnClock(NOW) - NOW).toBe(ahead);
  });
  it('stays as it was where an answer tells none', () => {
    hearClock('2026-03-05T18:25:00Z', NOW);
    hearClock(null, NOW);
    expect(byOwnClock(0)).toBe(300_000);
  });
});
