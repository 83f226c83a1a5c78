import { forgetLearnt, keepLearnt, keepPlace, learntOf, readInputSettings } from './inputSettings.ts';

const kept = new Map<string, string>();
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, text: string) => kept.set(key, text),
};
const calibration = { quiet: -60, loudestQuiet: -50, strike: -20, leastStrength: -30, warning: '' };

beforeEach(() => {
  kept.clear();
  Object.assign(globalThis, { localStorage: storage });
});

describe('what was learnt of a device', () => {
  it('is kept for its place', () => {
    keepLearnt('Built-in', { calibration });
    keepLearnt('Built-in', { latency: 0.012 });
    expect(learntOf('Built-in')).toMatchObject({ calibration, latency: 0.012 });
    expect(learntOf('Other')).toBeNull();
    keepPlace('cellar');
    expect(learntOf('Built-in')).toBeNull();
    keepPlace('The hall ');
    expect(learntOf('Built-in')!.latency).toBe(0.012);
  });
  it('may be forgotten', () => {
    keepLearnt('Built-in', { calibration });
    forgetLearnt('Built-in');
    expect(learntOf('Built-in')).toBeNull();
  });
  it('is nothing where something else is written there', () => {
    kept.set('eurhythm.ears', '{"place": 3}');
    expect(readInputSettings().learnt).toEqual({});
    kept.set('eurhythm.ears', '{');
    expect(learntOf('Built-in')).toBeNull();
  });
});
