import { lettersVoice } from '../../calls/testLibrary.ts';
import { starterBook } from '../../moves/index.ts';
import {
  blockFaults,
  compileRound,
  countedLength,
  kindOf,
  usualBlock,
  wantedTexts,
  type Block,
  type CallStyle,
  type CompiledRound,
  type CountWords,
  type Cue,
  type WrittenBlock,
} from '../index.ts';

const book = starterBook();
const combo = (line: string) => ({ id: 'c', grade: 'Ebb', number: 1, title: 'Door', line, beatsPerBar: 4 });

/** A block with a voice that has exactly what was asked for beforehand, as on every device. */
function heard(block: Block, count?: CountWords): CompiledRound {
  const plan = { blocks: [block], lead: 'left' as const, seed: 3, ...(count ? { count } : {}) };
  const asked = new Set(wantedTexts([block], book, count));
  const voice = lettersVoice();
  return compileRound(plan, book, {
    find: (text, rate) => (asked.has(text) ? voice.find(text, rate) : null),
  });
}
const combos = (line: string, more: object = {}): Block =>
  ({ ...usualBlock('combo', 'b'), seconds: 60, combos: [combo(line)], bpm: 60, ...more }) as Block;
const said = ({ cues }: CompiledRound): Cue[] => cues.filter(({ clip }) => clip !== undefined);
const texts = (round: CompiledRound): string[] => said(round).map(({ text }) => text);

describe('a cue that a line speaks', () => {
  const STYLES: readonly CallStyle[] = ['on-beat', 'ahead', 'lead-in', 'one-count', 'holder', 'silent'];
  it.each(STYLES)('is heard when calls are %s', (calls) => {
    const round = heard(combos('1 . . [say "Hands high"] .', { calls }));
    const cue = said(round).find(({ text }) => text === 'hands high')!;
    const { at, beatSeconds } = round.cycles[0]!;
    expect(cue.at).toBeGreaterThanOrEqual(at + 3 * beatSeconds - 1e-9);
    expect(cue.at).toBeLessThan(at + 3 * beatSeconds + 0.7);
  });
  it.each([
    ['count', { line: 'r:round [say "Toes back"]', repSeconds: 4 }],
    ['react', { line: '1 2 [say "Toes back"]' }],
    ['footwork', { there: 'in . [say "Toes back"] .', steps: 1 }],
  ] as const)('is heard in a block of the kind %s', (kind, more) => {
    expect(texts(heard({ ...usualBlock(kind, 'b'), seconds: 60, ...more } as Block))).toContain('toes back');
  });
  it('in counted strokes stands behind the stroke that it is written behind', () => {
    const count = { line: '1 2 [say "Hips"] 3', method: 'strokes', repSeconds: 6, reps: 2, sides: 'one' };
    const round = heard({ ...usualBlock('count', 'b'), seconds: 60, sets: 1, ...count } as Block);
    const counts = said(round).filter(({ text }) => ['one', 'two', 'three'].includes(text));
    const hips = said(round).filter(({ text }) => text === 'hips');
    expect(hips.length).toBe(2);
    // On the third count, which is the stroke behind it, of each repetition.
    expect(hips.map(({ at }) => Math.round(at - counts[2]!.at))).toEqual([0, 6]);
  });
  it('that finds no room is reported', () => {
    const round = heard(
      combos('1-2 [say "A long word about the hips and the hands"] 3-2-1-2-3-2-1-2', { bpm: 120 }),
    );
    expect(round.findings.map(({ message }) => message).join()).toContain('hips and the hands');
  });
});

describe('the holder', () => {
  const holder = (line: string) =>
    said(heard(combos(line, { calls: 'holder' })))
      .filter(({ stroke }) => stroke !== undefined)
      .slice(0, 4)
      .map(({ text, stroke }) => `${stroke} ${text}`);
  it('is told what to throw, what to hold for, and where', () => {
    expect(holder('o:1 . parry . 2 . o:round@l .')).toEqual([
      '0 throw jab',
      '2 cross',
      '3 throw round kick low',
      '0 throw jab',
    ]);
  });
  it('is reported both at once where they land together', () => {
    expect(holder('2 . o:1+1@b . . .')[1]).toBe('1 throw jab, jab body');
  });
  it('is reported one slot ahead', () => {
    const round = heard(combos('1 . 2 . o:3 .', { calls: 'holder' }));
    const { at } = round.cycles[0]!;
    const thrown = said(round).find(({ text }) => text.startsWith('throw'))!;
    expect(thrown.clip!.start + thrown.clip!.centre).toBeCloseTo(at + 2, 6);
  });
});

describe('counted work', () => {
  const count = (more: object): Block =>
    ({ ...usualBlock('count', 'b'), sides: 'one', sets: 1, repSeconds: 2, ...more }) as Block;
  const long = (reps: number): Block => count({ reps, seconds: 3 + reps * 2 });

  it('has every count and no time call', () => {
    const round = heard(long(60));
    expect(texts(round).filter((text) => /halfway|seconds|ready/.test(text))).toEqual([]);
    const counts = said(round).filter(({ kind, text }) => kind === 'call' && !text.startsWith('round kick'));
    expect(counts).toHaveLength(60);
    expect(round.findings).toEqual([]);
  });
  it('has none beside work by the clock either, where a count would be in its place', () => {
    const clock = { ...usualBlock('free', 'f'), seconds: 60, prompts: [] } as Block;
    const blocks = [long(30), clock];
    const round = compileRound({ blocks, lead: 'left', seed: 1 }, book, lettersVoice());
    expect(texts(round)).toEqual(expect.arrayContaining(['thirteen', 'thirty, shout', 'ten seconds']));
    expect(texts(round)).not.toContain('halfway');
  });
  it.each([
    ['count', (reps: number, groups: object[]) => count({ reps, groups, seconds: 3 + reps * 2 })],
    [
      'condition',
      (reps: number, groups: object[]) =>
        ({ ...usualBlock('condition', 'b'), reps, groups, repSeconds: 2, seconds: 3 + reps * 2 }) as Block,
    ],
  ] as const)('of the kind %s tells a group that it is done before the next count', (_, block) => {
    const round = heard(block(20, [{ group: 'Minnows', reps: 12 }]));
    const order = texts(round);
    const done = order.findIndex((text) => text === 'minnows done' || text === 'minnows');
    expect([order[done - 1], order[done + 1]]).toEqual(['twelve', 'thirteen']);
  });
  it('says when the gym’s own words end, and does not count on in English', () => {
    const own = { language: 'own', own: ['hop', 'hep', 'hup'] } as const;
    const round = heard(long(6), own);
    expect(texts(round).slice(-3)).toEqual(['hop', 'hep', 'hup']);
    expect(round.findings).toMatchObject([{ rule: 'count-words-end', severity: 'caution' }]);
    expect(round.findings[0]!.message).toContain('end at 3; from 4 on');
    expect(heard(long(3), own).findings).toEqual([]);
  });
  it('goes to 120 in every language', () => {
    const round = heard({ ...long(120), repSeconds: 3, seconds: 363 } as Block, {
      language: 'korean',
      own: [],
    });
    expect(texts(round)).toContain('baek-seumul, shout');
    expect(round.findings.filter(({ rule }) => rule === 'count-words-end')).toEqual([]);
  });
});

describe('reactions', () => {
  const react = (more: object): Block =>
    ({
      ...usualBlock('react', 'b'),
      seconds: 300,
      regular: 0,
      every: { min: 0.5, max: 1 },
      ...more,
    }) as Block;
  const three = react({
    call: 'left',
    line: '1',
    more: [
      { call: 'right', line: '2' },
      { call: 'low', line: 'r:round@l' },
    ],
  });
  const calls = (round: CompiledRound): string[] =>
    texts(round).filter((text) => /^(left|right|low)$/.test(text));

  it('come in no order that could be foreseen, and none more than three times in a row', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const round = compileRound({ blocks: [three], lead: 'left', seed }, book, lettersVoice());
      const order = calls(round);
      for (const call of ['left', 'right', 'low']) {
        const share = order.filter((each) => each === call).length / order.length;
        expect(share).toBeGreaterThan(0.2);
        expect(share).toBeLessThan(0.5);
      }
      for (let i = 3; i < order.length; i++)
        expect(new Set(order.slice(i - 3, i + 1)).size).toBeGreaterThan(1);
      expect(order.some((call, i) => i > 0 && call === order[i - 1])).toBe(true);
    }
  });
  it('are never swallowed by a time call', () => {
    for (let seed = 0; seed < 20; seed++) {
      const round = compileRound(
        { blocks: [react({ call: 'now', line: '1' })], lead: 'left', seed },
        book,
        lettersVoice(),
      );
      const triggers = round.cues.filter(({ kind }) => kind === 'show').length;
      expect(texts(round).filter((text) => text === 'now')).toHaveLength(triggers);
    }
  });
  it('show the holder his own part, never the answer', () => {
    const shown = (more: object) => heard(react(more)).cues.find(({ kind }) => kind === 'show')!.text;
    expect(shown({ call: '', line: 'o:1 parry-2' })).toBe('jab');
    expect(shown({ call: '', line: '1 2' })).toBe('give the sign');
    expect(shown({ call: 'now', line: '1 2' })).toBe('now');
  });
});

describe('footwork', () => {
  it('calls each step, the strike and the way back, every leg on the beat', () => {
    const block = { ...usualBlock('footwork', 'b'), seconds: 60, bpm: 60, steps: 2, strike: '2' } as Block;
    const round = heard(block);
    const { at } = round.cycles[0]!;
    const first = round.cues.filter(({ kind, cycle }) => kind === 'strike' && cycle === 0);
    expect(first.map((cue) => [cue.text, cue.at - at])).toEqual([
      ['Step in', 0],
      ['Step in', 1],
      ['Cross', 1.5],
      ['Step out', 2],
      ['Step out', 3],
    ]);
    expect(texts(round).filter((text) => /step in|^in$/.test(text)).length).toBeGreaterThan(4);
    expect(texts(round).filter((text) => /step out|^out$/.test(text)).length).toBeGreaterThan(4);
  });
});

describe('groups on one count', () => {
  const lanes = {
    ...usualBlock('count', 'b'),
    line: 'r:round',
    reps: 10,
    sides: 'both',
    sets: 1,
    groups: [
      { group: 'Minnows', reps: 6, line: 'f:push' },
      { group: 'Herons', reps: 8, line: '1 2 r:round' },
    ],
  } as Block;
  const timed = { ...lanes, seconds: countedLength(lanes, book, 1.25)! } as Block;

  it('are each reported what they do, once, before the first count', () => {
    const round = heard(timed);
    const order = texts(round);
    expect(order.slice(0, 4)).toEqual([
      'round kick, right side',
      'minnows, push kick',
      'herons, jab cross round',
      'one',
    ]);
    expect(order.filter((text) => text.startsWith('minnows, '))).toHaveLength(1);
    expect(round.findings).toEqual([]);
  });
  it('go by the group whose line takes longest', () => {
    const alone = countedLength({ ...lanes, groups: [] } as Block, book, 1.25)!;
    expect(timed.seconds).toBeGreaterThan(alone);
  });
  it('have their lines looked at', () => {
    const wrong = { ...lanes, groups: [{ group: 'Minnows', reps: 6, line: 'psh' }] } as WrittenBlock;
    expect(blockFaults(wrong, new Map(), book)).toMatchObject([{ field: 'groups.0.line' }]);
    expect(kindOf(timed).done(timed, book)).toEqual(['r:round', 'f:push', '1 2 r:round']);
  });
});

it('a stretch is counted down in the gym’s language, and the sides of a kick by their names', () => {
  const hold = { ...usualBlock('hold', 'h'), holdSeconds: 12, seconds: 30, sides: 'one' } as Block;
  const plan = { blocks: [hold], lead: 'left', seed: 1, count: { language: 'spanish', own: [] } } as const;
  const round = compileRound(plan, book, lettersVoice());
  expect(texts(round).slice(-5)).toEqual(['cinco', 'cuatro', 'tres', 'dos', 'uno']);
  const kicks = { ...usualBlock('count', 'c'), line: 'r:round', seconds: 120 } as Block;
  for (const [lead, ...sides] of [
    ['left', 'right', 'left'],
    ['right', 'left', 'right'],
  ] as const) {
    const counted = texts(compileRound({ blocks: [kicks], lead, seed: 1 }, book, lettersVoice()));
    const named = counted.filter((text) => text.includes(' side'));
    expect(named.slice(0, 2).map((text) => text.split(' ').at(-2))).toEqual(sides);
  }
});
