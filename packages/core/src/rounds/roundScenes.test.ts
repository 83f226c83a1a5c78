import { PACE_FACTORS } from '../body/index.ts';
import { starterBook } from '../moves/index.ts';
import { BLOCK_KINDS, roundScenes, sceneAt, usualBlock, type Block, type PlacedScene } from './index.ts';

const book = starterBook();
const usual = { lead: 'left', factor: PACE_FACTORS.club } as const;
const scenesOf = (...blocks: Block[]): PlacedScene[] => roundScenes(blocks, usual, book);
const reported = ({ at, what, how, count }: PlacedScene) =>
  [at, what, ...(how ?? []), ...(count ? [`${count.n} of ${count.of}`] : [])].join(' | ');

describe('what there is to see', () => {
  it('of a technique block is each count on its instant, from each lead, and how far each group is', () => {
    const block: Block = {
      ...usualBlock('count', 'c'),
      seconds: 60,
      repSeconds: 2,
      reps: 3,
      sets: 1,
      groups: [
        { group: 'Minnows', reps: 2 },
        { group: 'Flood', reps: 4, line: 'f:push' },
      ],
    };
    const scenes = scenesOf(block);
    expect(scenes.map(reported)).toEqual([
      '0 | Round kick | right side | left lead',
      '4.8 | Round kick | right side | left lead | 1 of 4',
      '6.8 | Round kick | right side | left lead | 2 of 4',
      '8.8 | Round kick | right side | left lead | 3 of 4',
      '10.8 | Round kick | right side | left lead | 4 of 4',
      '12.8 | Round kick | left side | right lead',
      '15.8 | Round kick | left side | right lead | 1 of 4',
      '17.8 | Round kick | left side | right lead | 2 of 4',
      '19.8 | Round kick | left side | right lead | 3 of 4',
      '21.8 | Round kick | left side | right lead | 4 of 4',
    ]);
    expect(scenes[3]!.lanes).toEqual([
      { group: 'Minnows', what: 'Round kick', count: { n: 2, of: 2 }, isDone: true },
      { group: 'Flood', what: 'push kick', count: { n: 3, of: 4 }, isDone: false },
    ]);
  });
  it('of parts on the count is the part with what to look at, and which repetition it belongs to', () => {
    const block: Block = { ...usualBlock('count', 'c'), method: 'parts', reps: 2, sides: 'one', sets: 1 };
    const [, first] = scenesOf(block);
    expect(first!.how![0]).toMatch(/^[^:]+: .+/);
    expect(first!.how).toContain('1 of 2');
    expect(first!.count!.n).toBe(1);
    expect(first!.count!.of).toBeGreaterThan(1);
  });
  it('of a hold is its side, and when it is over', () => {
    const scenes = scenesOf({ ...usualBlock('hold', 'h'), holdSeconds: 30 });
    expect(scenes.map(reported)).toEqual([
      '0 | Low stance | first side | 1 of 2 | get into it',
      '3 | Low stance | first side | 1 of 2',
      '33 | Low stance | other side | 2 of 2 | get into it',
      '36 | Low stance | other side | 2 of 2',
    ]);
    expect(scenes.map(({ until }) => until)).toEqual([3, 33, 36, 66]);
  });
  it('of a reaction is nothing that would give it away', () => {
    const [scene] = scenesOf({ ...usualBlock('react', 'r'), line: '2 3', call: 'heron' });
    expect(scene).toMatchObject({ what: 'wait', isSurprise: true });
    expect(JSON.stringify(scene)).not.toContain('heron');
  });
  it('of shadowboxing is the lead, in each half its own', () => {
    expect(scenesOf(usualBlock('free', 'f')).map(reported)).toEqual([
      '0 | Shadow | left lead',
      '60 | Shadow | right lead',
    ]);
  });
  it('of breathing is each phase until the next one', () => {
    const scenes = scenesOf({ ...usualBlock('breath', 'b'), seconds: 23, holdSeconds: 0 });
    expect(scenes.map(({ at, what, until }) => [at, what, until])).toEqual([
      [0, 'Slow breaths', 3],
      [3, 'breathe in', 7],
      [7, 'breathe out', 13],
      [13, 'breathe in', 17],
      [17, 'breathe out', 23],
    ]);
  });
  it('of a talk are its notes, and for whom it is', () => {
    const talk = { ...usualBlock('talk', 't'), notes: 'Pivot first', who: ['Herons'] };
    expect(scenesOf(talk)).toMatchObject([{ notes: 'Pivot first', how: ['for Herons'] }]);
  });
  it('never comes before its block or at its end, in any kind', () => {
    for (const kind of BLOCK_KINDS) {
      const block = kind === 'combo' ? usualBlock('rest', 'x') : (usualBlock(kind, 'x') as Block);
      const [talk, ...scenes] = scenesOf(usualBlock('talk', 't'), block);
      expect(talk!.block).toBe('t');
      for (const scene of scenes) {
        expect(scene.at).toBeGreaterThanOrEqual(60);
        expect(scene.at).toBeLessThan(60 + block.seconds);
        expect(sceneAt([talk!, ...scenes], 'x', scene.at)).toBe(scene);
      }
      expect(sceneAt(scenes, 't', 70)).toBeNull();
    }
  });
});
