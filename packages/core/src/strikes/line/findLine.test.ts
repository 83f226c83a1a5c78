import { findLine, findLines, fitAlike } from './findLine.ts';

const three = { id: 'three', beats: [0, 1, 2] };
const broken = { id: 'broken', beats: [0, 1, 1.5, 2.5] };
const two = { id: 'two', beats: [0, 1] };

/** A line struck again and again, a little off. */
const struck = (beats: readonly number[], beat: number, times: number, every: number): number[] =>
  Array.from({ length: times }, (_, n) =>
    beats.map((each, k) => n * every + each * beat + 0.008 * Math.sin(7 * n + 3 * k)),
  ).flat();

describe('a line among what was heard', () => {
  it('is found with its tempo and every time through it', () => {
    const fit = findLine(struck(broken.beats, 0.5, 4, 3), broken)!;
    expect(Math.abs(fit.bpm - 120)).toBeLessThan(2);
    expect(fit.times.map(({ from }) => from)).toEqual([0, 4, 8, 12]);
    expect(fit.off).toBeLessThan(0.01);
  });
  it('is distinguished from the others, the longest that explains it first', () => {
    const onsets = struck(broken.beats, 0.5, 5, 3.3);
    expect(findLines(onsets, [two, three, broken])[0]!.id).toBe('broken');
    expect(findLines(struck(three.beats, 0.6, 5, 4), [two, broken, three])[0]!.id).toBe('three');
  });
  it('is looked for at one tempo where that is reported', () => {
    expect(findLine(struck(three.beats, 0.5, 4, 3), three, 120)!.times).toHaveLength(4);
    expect(findLine(struck(three.beats, 0.5, 4, 3), three, 60)).toBeNull();
  });
  it('is one of two that nobody can tell apart where both fit all that was struck, and else not', () => {
    const even = { id: 'even', beats: [0, 1, 2, 3] };
    const [best, next] = findLines(struck(even.beats, 0.5, 4, 3.1), [two, even]);
    expect([best!.id, fitAlike(best!, next!)]).toEqual(['even', true]);
    const [longer, shorter] = findLines(struck(three.beats, 0.5, 4, 3.1), [two, three]);
    expect([longer!.id, fitAlike(longer!, shorter!)]).toEqual(['three', false]);
  });
  it('is the best of those that were looked for at one tempo', () => {
    const onsets = struck(three.beats, 0.5, 4, 3);
    expect(findLines(onsets, [two, three], 120).map(({ id }) => id)).toEqual(['three', 'two']);
  });
  it('is not found in too little, nor where a line has one impact', () => {
    expect(findLine([1, 2], three)).toBeNull();
    expect(findLine([1, 2, 3], { id: 'one', beats: [0] })).toBeNull();
    expect(findLines([], [two])).toEqual([]);
  });
  it('passes over strikes that belong to nothing', () => {
    const onsets = [0.05, ...struck(three.beats, 0.5, 3, 3).map((at) => at + 1)];
    expect(findLine(onsets, three)!.times.map(({ from }) => from)).toEqual([1, 4, 7]);
  });
});
