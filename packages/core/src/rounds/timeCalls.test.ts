import { lettersVoice } from '../calls/testLibrary.ts';
import { starterBook } from '../moves/index.ts';
import { TIME_CALLS, compileRound, wantedTexts, type Block, type TimeCall } from './index.ts';

const book = starterBook();
const blocks: Block[] = [
  { kind: 'rest', id: 'r0', seconds: 10, next: 'Shadow' },
  { kind: 'free', id: 'f', seconds: 120, prompts: [], every: { min: 5, max: 9 }, leadPlan: 'as-set' },
  { kind: 'rest', id: 'r', seconds: 40, next: 'Pads' },
];
const heard = (timeCalls?: readonly TimeCall[]): string[] =>
  compileRound(
    { blocks, lead: 'left', seed: 1, ...(timeCalls ? { timeCalls } : {}) },
    book,
    lettersVoice(),
  ).cues.map((cue) => `${cue.text}@${Math.floor(cue.at)}`);

describe('time calls', () => {
  it('are all but the thirty seconds, unless the round says otherwise', () => {
    const usual = heard();
    for (const call of [
      'start@10',
      'halfway@70',
      'ten seconds@120',
      'five@125',
      'end@130',
      'ten seconds@160',
    ])
      expect(usual).toContain(call);
    expect(usual.some((text) => text.startsWith('thirty'))).toBe(false);
    expect(usual.some((text) => text.startsWith('ready'))).toBe(true);
  });
  it('halfway that was asked for and never comes is reported; where nobody chose nothing is', () => {
    const foundIn = (seconds: number, timeCalls?: readonly TimeCall[]): string[] =>
      compileRound(
        {
          blocks: [{ ...blocks[1]!, seconds }],
          lead: 'left',
          seed: 1,
          ...(timeCalls ? { timeCalls } : {}),
        },
        book,
        lettersVoice(),
      ).findings.map(({ message }) => message);
    expect(foundIn(20, ['halfway'])).toEqual([
      '“halfway” is not called: this work is shorter than 30 seconds.',
    ]);
    expect([foundIn(20), foundIn(40, ['halfway'])]).toEqual([[], []]);
  });
  it.each([
    ['start-bell', 'start@10'],
    ['halfway', 'halfway@70'],
    ['thirty', 'thirty seconds@100'],
    ['ten', 'ten seconds@120'],
    ['last-five', 'five@125'],
    ['end-bell', 'end@130'],
    ['ready', 'ready@'],
  ] as const)('%s can be switched on and off by itself', (call, text) => {
    expect(heard([call]).some((each) => each.startsWith(text))).toBe(true);
    expect(heard(TIME_CALLS.filter((each) => each !== call)).some((each) => each.startsWith(text))).toBe(
      false,
    );
  });
  it('say ready so that it is over just before the last three ticks of each rest', () => {
    const { cues } = compileRound({ blocks, lead: 'left', seed: 1 }, book, lettersVoice());
    const ready = cues.filter(({ text, clip }) => text === 'ready' && clip);
    const ends = ready.map(({ clip }) => clip!.start + clip!.seconds);
    expect(ends).toHaveLength(2);
    for (const [i, end] of [10, 170].entries()) expect(ends[i]).toBeCloseTo(end - 3.1, 6);
  });
  it('are asked of the voice beforehand', () => {
    const none = { language: 'english', own: [] } as const;
    expect(wantedTexts(blocks, book, none, { timeCalls: ['thirty'] })).toContain('thirty seconds');
    expect(wantedTexts(blocks, book)).not.toContain('thirty seconds');
  });
  it('still say a rest and what comes next when nothing is reported about the time', () => {
    expect(heard([]).some((text) => text.startsWith('next, pads'))).toBe(true);
    expect(heard([]).some((text) => /^(start|halfway|ten|five|end|ready)@/.test(text))).toBe(false);
  });
  it('say that the session is over behind its last round, and get nobody ready for another', () => {
    const last: Block[] = [blocks[1]!, { kind: 'rest', id: 'r', seconds: 60, next: 'session over' }];
    const { cues } = compileRound({ blocks: last, lead: 'left', seed: 1 }, book, lettersVoice());
    const after = cues.filter(({ at, kind }) => at > 120.5 && kind !== 'bell');
    expect(after.map(({ text }) => text)).toEqual(['session over']);
  });
});
