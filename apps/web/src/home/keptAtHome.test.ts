import { HomeKeeper, NOTHING_DONE } from './keptAtHome.ts';

const HOUR = 3_600_000;
const now = Date.UTC(2026, 10, 27, 18);
const start = { kind: 'start', at: now - HOUR, round: 0, position: 0 } as const;

function memory() {
  const all = new Map<string, string>();
  return {
    getItem: (key: string) => all.get(key) ?? null,
    setItem: (key: string, value: string) => void all.set(key, value),
  };
}

describe('what is kept of a session at home', () => {
  it('is there again when the page is opened again on the same day', () => {
    const store = memory();
    new HomeKeeper('a', store, now).keep({ events: [start], effort: 6 });
    expect(new HomeKeeper('a', store, now).kept).toEqual({ events: [start], bursts: [], effort: 6 });
    expect(new HomeKeeper('b', store, now).kept).toEqual(NOTHING_DONE);
  });
  it('is another day’s after six hours', () => {
    const store = memory();
    new HomeKeeper('a', store, now).keep({ events: [start] });
    expect(new HomeKeeper('a', store, now + 6 * HOUR).kept).toEqual(NOTHING_DONE);
  });
  it('is nothing where the browser keeps nothing, or something else', () => {
    const full = {
      getItem: () => '{',
      setItem: () => {
        throw new Error('full');
      },
    };
    for (const store of [null, full]) {
      const keeper = new HomeKeeper('a', store, now);
      expect(keeper.kept).toEqual(NOTHING_DONE);
      keeper.keep({ effort: 3 });
      expect(keeper.kept.effort).toBe(3);
    }
  });
});
