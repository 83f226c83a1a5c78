import { starterBook } from '../moves/index.ts';
import { BLOCK_KINDS, usualBlock, type WrittenBlock } from '../rounds/index.ts';
import { compileToPlay, workDone, type WhoDid } from './index.ts';

const book = starterBook();
const who: WhoDid = { group: '', lead: 'left', seedKey: 's', word: '', until: null };
const done = (block: WrittenBlock, more: Partial<WhoDid> = {}) =>
  workDone({ id: 'r', blocks: [block] }, { ...who, ...more }, book);
const count = { ...usualBlock('count', 'c'), title: 'Own kick', line: 'r:round', reps: 15, sets: 2 } as const;

describe('workDone', () => {
  it('says what was counted, how many and on which side', () => {
    expect(done({ ...count, sides: 'both' })).toEqual(['Own kick (round kick): 2 sets of 15 each side']);
    expect(done({ ...count, sides: 'one', sets: 1 })).toEqual(['Own kick (round kick): 15, right side']);
    expect(done({ ...count, sides: 'one', sets: 1 }, { lead: 'right' })).toEqual([
      'Own kick (round kick): 15, left side',
    ]);
    expect(done({ ...count, sides: 'in-turn', title: 'Round kick', sets: 1 })).toEqual([
      'round kick: 15, sides in turn',
    ]);
  });
  it('says it as one of a group did it', () => {
    const groups = [{ group: 'Reef', reps: 25, line: 'f:push' }];
    expect(done({ ...count, sets: 1, groups }, { group: 'Reef' })).toEqual(['push kick: 25 each side']);
    const burst = { ...usualBlock('burst', 'b'), groups: [{ group: 'Reef', title: 'Push-ups' }] };
    expect([done(burst), done(burst, { group: 'Reef' })]).toEqual([
      ['Two straights: 10 s'],
      ['Push-ups: 10 s'],
    ]);
  });
  it('counts the calls that really came, and those before a fighter stopped', () => {
    const react = { ...usualBlock('react', 'x'), seconds: 90, call: 'go', line: '1-2' };
    const { cues } = compileToPlay(
      { id: 'r', blocks: [react] },
      { seedKey: 's', lead: 'left', word: '', count: { language: 'english', own: [] }, clips: [] },
      book,
    );
    const shown = cues.filter(({ kind }) => kind === 'show');
    expect(shown.length).toBeGreaterThan(5);
    expect(done(react)).toEqual([`“go”: jab, cross: ${shown.length} calls`]);
    expect(done(react, { until: shown[1]!.at })).toEqual(['“go”: jab, cross: 1 call']);
  });
  it('leaves out what was not begun when a fighter stopped, and says of what was begun that it was not all', () => {
    const blocks = [
      { ...count, id: 'a', sets: 1, sides: 'one', seconds: 40 } as const,
      { ...usualBlock('hold', 'b'), seconds: 66 },
      usualBlock('burst', 'c'),
    ];
    const until = (at: number | null) => workDone({ id: 'r', blocks }, { ...who, until: at }, book);
    expect(until(null)).toEqual([
      'Own kick (round kick): 15, right side',
      'Low stance: 30 s each side',
      'Two straights: 10 s',
    ]);
    expect(until(60)).toEqual([
      'Own kick (round kick): 15, right side',
      'Low stance: 30 s each side, not to its end',
    ]);
    expect(until(20)).toEqual(['Own kick (round kick): 15, right side, not to its end']);
  });
  it('says a line of one’s own, and leaves to the combos of the book what they say', () => {
    const combos = [{ comboId: 'ebb-1' }, { line: '1 2>' }];
    expect(done({ ...usualBlock('combo', 'k'), combos })).toEqual(['jab, cross forward, right lead']);
  });
  it('says something or nothing of every kind, and never a code', () => {
    for (const kind of BLOCK_KINDS)
      for (const text of done(usualBlock(kind, 'b'))) expect(text).not.toMatch(/[a-z]:[a-z]|undefined|null/);
  });
});

describe('a round in turns', () => {
  it('is done once by each who stands together', () => {
    const work = {
      kind: 'hold',
      seconds: 33,
      title: 'Low stance',
      holdSeconds: 30,
      sides: 'one',
      times: 1,
    } as const;
    const blocks = [
      { ...work, id: 'w' },
      { kind: 'rest', id: 'turn.1', seconds: 15 } as const,
      { ...work, id: 'w.t2' },
    ];
    const who = { group: '', lead: 'left', seedKey: 's', word: '', until: null } as const;
    expect(workDone({ id: 'r', blocks }, who, book)).toEqual(['Low stance: 30 s']);
  });
});
