import { lettersVoice } from '../../calls/testLibrary.ts';
import { starterBook } from '../../moves/index.ts';
import {
  compileRound,
  countedLength,
  kindOf,
  roundScenes,
  usualBlock,
  wantedTexts,
  type Block,
  type WrittenBlock,
} from '../index.ts';

const book = starterBook();
const lengthOf = (block: Block) => countedLength(block as WrittenBlock, book, 1, new Map());
/** The block with the time that it asks for. */
const whole = (block: Block): Block => ({
  ...block,
  seconds: lengthOf(block) ?? block.seconds,
});
const played = (block: Block) =>
  compileRound({ blocks: [whole(block)], lead: 'left', seed: 1 }, book, lettersVoice());
/** What is said, in order, without bells and time calls. */
const said = (block: Block): string[] =>
  played(block)
    .cues.filter(
      ({ clip, sound, kind }) =>
        clip && !sound?.startsWith('bell') && (kind === 'call' || kind === 'time' || kind === 'count'),
    )
    .map(({ text }) => text);
const count = (more: object): Block =>
  ({
    ...usualBlock('count', 'c'),
    reps: 6,
    sets: 1,
    rest: 0,
    sides: 'one',
    repSeconds: 2,
    shoutLast: false,
    ...more,
  }) as Block;

describe('one set', () => {
  it('goes from slow to full speed in equal parts, each said before it begins', () => {
    const words = said(count({ speeds: ['slow', 'usual', 'full'] }));
    expect(words.slice(0, 9)).toEqual([
      ...['round kick, slow', 'one', 'two'],
      ...['usual speed', 'three', 'four'],
      ...['full speed', 'five', 'six'],
    ]);
    expect(played(count({ speeds: ['slow', 'usual', 'full'] })).findings).toEqual([]);
  });
  it('begins slow again on the other side', () => {
    const words = said(count({ speeds: ['slow', 'full'], sides: 'both' }));
    expect(words.filter((text) => /slow|speed/.test(text))).toEqual(
      [...['round kick, right side, slow', 'full speed'], ...['left side, slow', 'full speed']].map(
        (text) => expect.stringMatching(new RegExp(`${text.split(', ').at(-1)}$`)) as string,
      ),
    );
  });
  it('takes more contact part by part, and counts as much as the hardest of them', () => {
    const block = count({ intensity: [20, 50, 80] });
    expect(said(block).filter((text) => /percent/.test(text))).toEqual([
      'round kick, twenty percent',
      'fifty percent',
      'eighty percent',
    ]);
    expect(kindOf(block).contact(block)).toBe(80);
    const boards = roundScenes([whole(block)], { lead: 'left', factor: 1 }, book).map(({ how }) => how ?? []);
    expect(boards[1]).toContain('contact 20 %');
    expect(boards.at(-1)).toContain('contact 80 %');
  });
  it('of several sets each has its own, and nothing changes within one', () => {
    expect(said(count({ sets: 2, intensity: [20, 50], speeds: ['slow', 'usual'], rest: 5 }))).toEqual([
      ...['round kick, slow, twenty percent', 'one', 'two', 'three', 'four', 'five', 'six', 'rest'],
      ...['round kick, usual speed, fifty percent', 'one', 'two', 'three', 'four', 'five', 'six'],
    ]);
  });
});

describe('a chamber', () => {
  it('is a count of its own before its strike', () => {
    const block = count({ line: 'f:push 2', reps: 1, method: 'chambers' });
    const shown = played(block)
      .cues.filter(({ kind }) => kind === 'show')
      .map(({ text }) => text);
    expect(shown).toHaveLength(4);
    expect(shown.map((text) => text.split(', ')[0])).toEqual(['Push kick', 'Push kick', 'Cross', 'Cross']);
    expect(said(block)).toEqual(['round kick', 'one', 'two', 'three', 'four']);
  });
});

describe('sides', () => {
  it('an exercise on each side is counted on both, with the change said', () => {
    const lunges = { ...usualBlock('condition', 'c'), title: 'Lunges', reps: 4, sides: 'both' } as Block;
    expect(said(lunges)).toEqual([
      ...['lunges', 'one', 'two', 'three', 'four'],
      ...['lunges, other side', 'one', 'two', 'three', 'four'],
    ]);
    expect(played(lunges).findings).toEqual([]);
    expect(kindOf(lunges).tell(lunges, () => '')).toBe('Lunges: 4 each side');
    expect(kindOf(lunges).worked(lunges, '', { lead: 'left', book })).toEqual(['Lunges: 4 each side']);
  });
  it('by the clock each side has half of it', () => {
    const plank = {
      ...usualBlock('condition', 'c'),
      title: 'Side plank',
      reps: null,
      seconds: 60,
      sides: 'both',
    } as Block;
    const { cues } = compileRound({ blocks: [plank], lead: 'left', seed: 1 }, book, lettersVoice());
    const change = cues.find(({ text }) => text === 'side plank, other side')!;
    expect(change.clip!.start).toBeGreaterThanOrEqual(30);
    expect(change.clip!.start).toBeLessThan(31.6);
  });
});

describe('go, hold, relax', () => {
  const block = {
    ...usualBlock('hold', 'h'),
    title: 'Hamstring',
    holdSeconds: 8,
    relaxSeconds: 10,
    sides: 'both',
    times: 2,
  } as Block;
  it('is one block: into it, go, held and counted down, relax, on each side', () => {
    const words = said(block).filter((text) => !/^(one|two|three|four|five)$/.test(text));
    expect(words).toEqual([
      ...['hamstring', 'go', 'relax', 'hamstring, other side', 'go', 'relax'],
      ...['hamstring', 'go', 'relax', 'hamstring, other side', 'go', 'relax'],
    ]);
    expect(lengthOf(block)).toBe(4 * (3 + 8 + 10));
  });
  it('fetches what it says, and a plain hold says none of it', () => {
    expect([...wantedTexts([block], book)]).toEqual(expect.arrayContaining(['go', 'relax']));
    expect(said({ ...block, relaxSeconds: null } as Block)).not.toContain('relax');
  });
  it('is told where the block ends before the hold does', () => {
    const short = {
      ...block,
      sides: 'one',
      times: 1,
      holdSeconds: 60,
      relaxSeconds: null,
      seconds: 33,
    } as Block;
    const { findings } = compileRound({ blocks: [short], lead: 'left', seed: 1 }, book, lettersVoice());
    expect(findings.map(({ message }) => message)).toEqual([
      'The block ends 30 s before its hold of 60 s does. It needs more time.',
    ]);
  });
});
