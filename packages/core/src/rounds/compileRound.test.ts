import fc from 'fast-check';
import { lettersVoice } from '../calls/testLibrary.ts';
import { seededLineText } from '../line/testLines.ts';
import { starterBook } from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';
import {
  compileRound,
  planCycle,
  wantedTexts,
  type Block,
  type BlockCombo,
  type ComboBlock,
  type CompiledRound,
  type Cue,
  type CueKind,
} from './index.ts';

const book = starterBook();
const library = lettersVoice();

const combo = (line: string, extra: Partial<BlockCombo> = {}): BlockCombo => ({
  id: 'c1',
  grade: 'Flood',
  number: 4,
  title: 'Low gate',
  line,
  beatsPerBar: 4,
  ...extra,
});
const comboBlock = (line: string, extra: Partial<ComboBlock> = {}): ComboBlock => ({
  kind: 'combo',
  id: 'b1',
  seconds: 60,
  combos: [combo(line)],
  bpm: 90,
  calls: 'on-beat',
  words: 'numbers',
  leadPlan: 'as-set',
  cyclesEach: 4,
  ...extra,
});
const compile = (...blocks: Block[]): CompiledRound =>
  compileRound({ blocks, lead: 'left', seed: 1 }, book, library);
const of = (round: CompiledRound, kind: CueKind): Cue[] => round.cues.filter((cue) => cue.kind === kind);
const texts = (cues: Cue[]): string[] => cues.map((cue) => cue.text);

describe('a combo block', () => {
  const round = compile(comboBlock('1-1 2'));

  it('rings, announces, counts in, and calls every stroke exactly on its strike', () => {
    expect(of(round, 'bell').map(({ at, text }) => [at, text])).toEqual([
      [0, 'start'],
      [60, 'end'],
    ]);
    const [announced, ...calls] = of(round, 'call');
    expect(announced!.text).toBe('flood four, low gate');
    const counts = of(round, 'count').filter((cue) => cue.sound === 'count-in');
    expect(announced!.clip!.start + announced!.clip!.seconds).toBeLessThanOrEqual(counts[0]!.at - 0.08);
    const strikes = of(round, 'strike');
    const byStroke = (cue: Cue): string => `${cue.cycle}/${cue.stroke}`;
    const due = new Map(strikes.map((cue) => [byStroke(cue), cue.at]));
    const strokeCalls = calls.filter((cue) => cue.stroke !== undefined);
    expect(strokeCalls.length).toBeGreaterThan(20);
    for (const cue of strokeCalls) {
      expect(cue.at).toBeCloseTo(due.get(byStroke(cue))!, 9);
      expect(cue.clip!.start + cue.clip!.centre).toBeCloseTo(cue.at, 9);
    }
  });

  it('keeps the beat: strikes of a cycle lie where the line says', () => {
    const [a, b, c] = of(round, 'strike').filter((cue) => cue.cycle === 0);
    expect(b!.at - a!.at).toBeCloseTo(0.5 * (60 / 90), 9);
    expect(c!.at - a!.at).toBeCloseTo(1.5 * (60 / 90), 9);
    const ticks = of(round, 'tick').filter((cue) => cue.cycle === 0 && cue.sound !== 'tick-half');
    expect(ticks.map((cue) => cue.text)).toEqual(['1', '2', '3', '4']);
    expect(of(round, 'tick').filter((cue) => cue.cycle === 0 && cue.sound === 'tick-half')).toHaveLength(2);
  });

  it('says the time: halfway, ten seconds, the last five', () => {
    expect(texts(of(round, 'time'))).toEqual(['halfway', 'ten seconds']);
    const last = of(round, 'count').filter((cue) => cue.sound === 'last-five');
    last.forEach((cue, i) => expect(cue.at).toBeCloseTo(55 + i, 9));
    // Where numbers are strokes the last seconds are ticks: nobody throws a hook at "three".
    expect(last.map(({ text, clip }) => [text, clip])).toEqual(Array(5).fill(['', undefined]));
    expect(of(round, 'call').some((cue) => cue.at > 55)).toBe(true);
  });
  it('counts the last five aloud where strokes have names, but where one is called', () => {
    const named = compile(comboBlock('1 . . . . . . .', { words: 'names', bpm: 60 }));
    const counted = of(named, 'count').filter((cue) => cue.sound === 'last-five');
    expect(counted).toHaveLength(5);
    expect(counted.filter(({ clip }) => clip).length).toBeGreaterThanOrEqual(3);
    expect(named.findings.map(({ message }) => message)).toEqual([]);
  });

  it('shows the holder each pad one slot ahead', () => {
    const shows = of(round, 'show').filter((cue) => cue.cycle === 0);
    const strikes = of(round, 'strike').filter((cue) => cue.cycle === 0);
    expect(texts(shows)).toEqual(['jab, head', 'jab, head', 'cross, head']);
    expect(shows[1]!.at).toBeCloseTo(strikes[0]!.at, 9);
    expect(shows[0]!.at).toBeLessThan(strikes[0]!.at);
  });

  it('tells which calls gave way', () => {
    const crowded = compile(comboBlock('1=1=1=1=1=1', { bpm: 120 }));
    const finding = crowded.findings.find((found) => found.rule === 'call-dropped')!;
    expect(finding.message).toMatch(/^“one” at 0:\d\d\.\d is not called: another call fills its place\.$/);
  });

  it('does the second half from the other lead', () => {
    const halves = compile(comboBlock('1 2', { leadPlan: 'halves' }));
    const strikes = of(halves, 'strike');
    expect(strikes.filter((cue) => cue.at < 30).every((cue) => cue.lead === 'left')).toBe(true);
    expect(strikes.filter((cue) => cue.at > 30).every((cue) => cue.lead === 'right')).toBe(true);
    expect(strikes.some((cue) => cue.at > 30)).toBe(true);
    const switched = of(halves, 'stance');
    expect(switched).toMatchObject([{ text: 'switch, right lead', lead: 'right' }]);
    const half = of(halves, 'time')[0]!;
    expect(switched[0]!.clip!.start).toBeGreaterThan(half.clip!.start + half.clip!.seconds);
    expect(
      of(compile(comboBlock('1 2', { leadPlan: 'other' })), 'strike').every((cue) => cue.lead === 'right'),
    ).toBe(true);
  });

  it('calls the change back when a combo ends in the other lead', () => {
    const changes = of(compile(comboBlock('1 2>')), 'stance').filter((cue) => cue.cycle === 0);
    expect(changes.map((cue) => [cue.text, cue.lead])).toEqual([
      ['right lead', 'right'],
      ['switch back', 'left'],
    ]);
  });

  it('calls each style as it should', () => {
    const style = (calls: ComboBlock['calls']) => compile(comboBlock('1 2 3', { calls }));
    expect(of(style('silent'), 'call')).toEqual([]);
    expect(texts(of(style('lead-in'), 'call')).every((text) => text.includes('four'))).toBe(true);
    const ahead = style('ahead');
    const [strikes, calls] = [of(ahead, 'strike'), of(ahead, 'call').filter((cue) => cue.cycle === 0)];
    expect(calls[1]!.at).toBeCloseTo(strikes[0]!.at, 9);
    expect(texts(calls)).toEqual(['one', 'two', 'three']);
  });

  it('goes through its combos in order', () => {
    const two = compile(
      comboBlock('1 2', {
        seconds: 120,
        cyclesEach: 2,
        combos: [combo('1 2'), combo('3 2', { id: 'c2', number: 5 })],
      }),
    );
    const order = of(two, 'strike')
      .filter((cue) => cue.stroke === 0)
      .map((cue) => cue.combo);
    expect(order.slice(0, 6)).toEqual(['c1', 'c1', 'c2', 'c2', 'c1', 'c1']);
  });

  it('says when nothing fits', () => {
    expect(compile(comboBlock('1 2 3 4', { seconds: 5, bpm: 30 })).findings).toMatchObject([
      { rule: 'no-cycle-fits', severity: 'caution' },
    ]);
  });
});

describe('a round', () => {
  const free: Block = {
    kind: 'free',
    id: 'f',
    seconds: 90,
    prompts: ['Hands high', 'Circle', 'Move your head'],
    every: { min: 6, max: 10 },
    leadPlan: 'as-set',
  };
  const rest: Block = { kind: 'rest', id: 'r', seconds: 30, next: 'Flood four' };

  it('adds up to the second and rests between its bells', () => {
    const round = compile(comboBlock('1 2'), rest, free);
    expect(round.duration).toBe(180);
    expect(of(round, 'bell').map((cue) => cue.at)).toEqual([0, 60, 90, 180]);
    const spoken = texts(of(round, 'time').filter((cue) => cue.block === 'r'));
    expect(spoken).toEqual(['rest', 'ten seconds', 'next, flood four', 'ready']);
  });

  it('says at once who works now when a rest is there to change roles', () => {
    const change: Block = { kind: 'rest', id: 'turn.1', seconds: 15, next: 'change: holders work' };
    const round = compile(comboBlock('1 2'), change, free);
    const spoken = of(round, 'time').filter((cue) => cue.block === 'turn.1');
    expect(texts(spoken)).toEqual(['change, holders work', 'ready']);
    expect(spoken[0]!.clip!.start).toBeLessThan(60 + 3);
  });

  it('prompts at seeded random waits, never the same twice in a row', () => {
    const [a, b] = [compile(free), compile(free)];
    expect(a).toEqual(b);
    const prompts = of(a, 'call');
    expect(prompts.length).toBeGreaterThan(6);
    prompts.slice(1).forEach((cue, i) => {
      expect(cue.text).not.toBe(prompts[i]!.text);
      expect(cue.clip!.start - prompts[i]!.clip!.start).toBeGreaterThan(3.9);
    });
    const other = compileRound({ blocks: [free], lead: 'left', seed: 2 }, book, library);
    expect(of(other, 'call').map((cue) => cue.at)).not.toEqual(prompts.map((cue) => cue.at));
  });

  it('opens with get ready when it begins with a rest', () => {
    const round = compile({ kind: 'rest', id: 'g', seconds: 10, next: '' }, comboBlock('1 2'));
    expect(texts(of(round, 'time')).slice(0, 2)).toEqual(['get ready', 'ready']);
    expect(of(round, 'bell').map((cue) => cue.at)).toEqual([10, 70]);
  });

  it('holds its rules for any line, tempo and style', () => {
    fc.assert(
      fc.property(
        fc.record({
          seed: fc.nat(5000),
          bpm: fc.integer({ min: 40, max: 200 }),
          calls: fc.constantFrom('on-beat', 'ahead', 'lead-in', 'silent'),
          words: fc.constantFrom('numbers', 'names'),
          leadPlan: fc.constantFrom('as-set', 'other', 'halves'),
          seconds: fc.integer({ min: 20, max: 120 }),
        }),
        ({ seed, ...extra }) => {
          const round = compile(comboBlock(seededLineText(seededRandom(seed)), extra), rest);
          const ats = round.cues.map((cue) => cue.at);
          expect(ats).toEqual([...ats].sort((a, b) => a - b));
          for (const cue of of(round, 'strike')) expect(cue.at).toBeLessThan(extra.seconds);
          const clips = round.cues.flatMap((cue) => cue.clip ?? []).sort((a, b) => a.start - b.start);
          clips
            .slice(1)
            .forEach((clip, i) => expect(clip.start).toBeGreaterThan(clips[i]!.start + clips[i]!.seconds));
          for (const cue of round.cues)
            if (cue.clip) expect(cue.clip.start + cue.clip.centre).toBeCloseTo(cue.at, 9);
        },
      ),
      { numRuns: 200 },
    );
  });

  it('asks only for texts that it lists beforehand', () => {
    const blocks: Block[] = [
      comboBlock('1 sw (2) f:round@l', { leadPlan: 'halves', words: 'names' }),
      rest,
      free,
    ];
    const asked = new Set<string>();
    compileRound({ blocks, lead: 'left', seed: 1 }, book, {
      find: (text, rate) => (asked.add(text), library.find(text, rate)),
    });
    const listed = wantedTexts(blocks, book);
    expect([...asked].filter((text) => !listed.includes(text))).toEqual([]);
  });
});

describe('planCycle', () => {
  it.each([
    ['1 2', 4, 90],
    ['1 2 3 2', 4, 90],
    ['1 2 3 2 1', 8, 90],
    ['1-1 2 3 -', null, 90],
    ['1 . . . .', 8, 90],
    ['r:round 1 2 r:round', 4, 60],
    ['1 2 3 2>', 8, 90],
    ['r:round 1 2 r:round', 8, 200],
  ])('%j is %p beats long at %i', (line, beats, bpm) => {
    expect(planCycle(combo(line), book, 'left', bpm)?.beats ?? null).toBe(beats);
  });
});
