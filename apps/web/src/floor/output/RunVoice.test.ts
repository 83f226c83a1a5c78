import { jest } from '@jest/globals';
import type { RoundToPlay } from '@eurhythm/core/run';
import type { SoundOutput } from '../player.ts';
import { RunVoice } from './RunVoice.ts';

const round = (...clips: readonly string[]): RoundToPlay =>
  ({
    duration: 10,
    cues: clips.map((id) => ({ at: 0, clip: { id } })),
  }) as unknown as RoundToPlay;
const ROUNDS = [round('a'), round('b'), round('c'), round('d', 'e')];
const FIRST_LOADED = ['a', 'b'];

let loaded: string[];
let away: Set<string>;
const output = {
  load: async (ids: readonly string[], onShare: (share: number) => void) => {
    if (ids.some((id) => away.has(id))) throw new Error('away');
    loaded.push(...ids);
    onShare(1);
  },
} as unknown as SoundOutput;

beforeEach(() => {
  jest.useFakeTimers();
  loaded = [];
  away = new Set();
});
afterEach(() => jest.useRealTimers());
const passes = (): Promise<void> => jest.advanceTimersByTimeAsync(0);

describe('the calls of a run', () => {
  it('come in the order in which they are called, those of two rounds before it begins', async () => {
    const voice = new RunVoice(output, () => {});
    away.add('c');
    await voice.load(ROUNDS, 0, ['x'], () => {});
    expect(loaded).toEqual(FIRST_LOADED);
    away.clear();
    await jest.advanceTimersByTimeAsync(3000);
    expect(loaded.slice(0, 6)).toEqual([...FIRST_LOADED, 'c', 'd', 'e', 'x']);
    voice.dispose();
  });
  it('begin where the run stands, and what was before comes last', async () => {
    const voice = new RunVoice(output, () => {});
    await voice.load(ROUNDS, 2, ['x'], () => {});
    await passes();
    expect(loaded).toEqual(['c', 'd', 'e', 'x', 'a', 'b', 'c', 'd', 'e']);
    voice.dispose();
  });
  it('are asked for again and again while they cannot be had, and it is distinguished from where on', async () => {
    const reported: (number | null)[] = [];
    const voice = new RunVoice(output, (lacks) => reported.push(lacks));
    away.add('d');
    await voice.load(ROUNDS, 0, ['x'], () => {});
    await passes();
    expect(reported).toEqual([3]);
    await jest.advanceTimersByTimeAsync(3000);
    away.clear();
    await jest.advanceTimersByTimeAsync(3000);
    expect(reported).toEqual([3, 3, null]);
    expect(loaded).toContain('e');
    voice.dispose();
  });
  it('are not asked for when the page is gone', async () => {
    const voice = new RunVoice(output, () => {});
    away.add('c');
    await voice.load(ROUNDS, 0, [], () => {});
    await passes();
    voice.dispose();
    away.clear();
    await jest.advanceTimersByTimeAsync(10_000);
    expect(loaded).toEqual(FIRST_LOADED);
  });
  it('that come first are an error when they cannot be had', async () => {
    away.add('b');
    await expect(new RunVoice(output, () => {}).load(ROUNDS, 0, [], () => {})).rejects.toThrow('away');
  });
});
