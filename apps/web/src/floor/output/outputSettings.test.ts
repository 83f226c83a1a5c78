import { DESK_DEFAULTS, keepOutputSettings, readOutputSettings } from './outputSettings.ts';

/** The browser's store, as far as the settings need it. */
const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
  });
});

describe('settings of the output', () => {
  it('are the usual ones until somebody changes them, and stay then', () => {
    expect(readOutputSettings()).toEqual(DESK_DEFAULTS);
    const loud = { volumes: { ...DESK_DEFAULTS.volumes, call: 1.4 }, latency: 0.18 };
    keepOutputSettings(loud);
    expect(readOutputSettings()).toEqual(loud);
  });
  it('fill what an older release did not keep', () => {
    kept.set('eurhythm.desk', JSON.stringify({ volumes: { call: 0.5 } }));
    expect(readOutputSettings()).toEqual({
      ...DESK_DEFAULTS,
      volumes: { ...DESK_DEFAULTS.volumes, call: 0.5 },
    });
  });
  it('are the usual ones where something else stands in their place', () => {
    kept.set('eurhythm.desk', '{not json');
    expect(readOutputSettings()).toEqual(DESK_DEFAULTS);
  });
});
