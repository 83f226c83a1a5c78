import fc from 'fast-check';
import { lettersVoice } from '../calls/testLibrary.ts';
import { seededLineText } from '../line/testLines.ts';
import { starterBook } from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';
import { COUNT_LANGUAGES } from '../calls/index.ts';
import {
  TIME_CALLS,
  compileRound,
  countedLength,
  momentOfRound,
  wantedTexts,
  type Block,
  type CompiledRound,
  type RoundPlan,
} from './index.ts';

const book = starterBook();
const voice = lettersVoice();
const line: fc.Arbitrary<string> = fc.nat(3000).map((seed) => seededLineText(seededRandom(seed)));
const title = fc.constantFrom('Round kick', 'LOW stance', 'Squats');
const seconds = fc.integer({ min: 5, max: 150 });
const every = fc.record({ min: fc.integer({ min: 1, max: 9 }), more: fc.nat(9) }).map(({ min, more }) => ({
  min,
  max: min + more,
}));
const groups = fc.constantFrom([], [{ group: 'Minnows', reps: 4 }], [{ group: 'Herons', reps: 30 }]);
const sides = fc.constantFrom('both' as const, 'one' as const);
const of = <K extends Block['kind']>(kind: K) => ({ kind: fc.constant(kind), id: fc.uuid(), seconds });

const block: fc.Arbitrary<Block> = fc.oneof(
  fc.record({
    ...of('combo'),
    combos: fc.array(line, { minLength: 1, maxLength: 3 }).map((lines) =>
      lines.map((text, i) => ({
        id: `x${i}`,
        grade: 'Ebb',
        number: 3,
        title: 'Own',
        line: text,
        beatsPerBar: 4,
      })),
    ),
    bpm: fc.integer({ min: 40, max: 160 }),
    calls: fc.constantFrom('on-beat' as const, 'holder' as const, 'one-count' as const),
    words: fc.constantFrom('numbers' as const, 'names' as const),
    leadPlan: fc.constantFrom('as-set' as const, 'halves' as const),
    cyclesEach: fc.integer({ min: 1, max: 5 }),
  }),
  fc.record({
    ...of('count'),
    title,
    line,
    reps: fc.integer({ min: 1, max: 40 }),
    groups,
    sides,
    sets: fc.integer({ min: 1, max: 3 }),
    rest: fc.nat(30),
    repSeconds: fc.constantFrom(null, 1, 2.5),
    method: fc.constantFrom('whole' as const, 'parts' as const, 'build-up' as const),
    direction: fc.constantFrom('up' as const, 'down' as const),
    levels: fc.constantFrom('fixed' as const, 'in-turn' as const, 'rising' as const),
    from: fc.constantFrom('standing' as const, 'kneeling' as const, 'seated' as const),
    shoutLast: fc.boolean(),
  }),
  fc.record({ ...of('burst'), title }),
  fc.record({
    ...of('hold'),
    title,
    holdSeconds: fc.integer({ min: 3, max: 60 }),
    sides,
    times: fc.integer({ min: 1, max: 3 }),
  }),
  fc.record({
    ...of('free'),
    prompts: fc.constantFrom([], ['Hands high'], ['Circle out', 'Hands high', 'Change lead']),
    every,
    leadPlan: fc.constantFrom('as-set' as const, 'other' as const, 'halves' as const),
  }),
  fc.record({ ...of('react'), call: fc.constantFrom('', 'Now'), line, every, regular: fc.nat(40) }),
  fc.record({
    ...of('footwork'),
    there: fc.constantFrom('in', 'left'),
    back: fc.constantFrom('out', 'right'),
    steps: fc.integer({ min: 1, max: 6 }),
    strike: fc.constantFrom('', '2', 'r:round'),
    room: fc.constantFrom(null, 1, 4),
    bpm: fc.integer({ min: 40, max: 160 }),
  }),
  fc.record({
    ...of('condition'),
    title,
    reps: fc.option(fc.integer({ min: 1, max: 120 })),
    groups,
    repSeconds: fc.constantFrom(0.8, 2, 4),
  }),
  fc.record({ ...of('rest'), next: fc.constantFrom('', 'Pads, Ebb 1') }),
  fc.record({ ...of('talk'), title, notes: fc.constant('') }),
);

const plan: fc.Arbitrary<RoundPlan> = fc.record({
  blocks: fc.array(block, { minLength: 1, maxLength: 5 }),
  lead: fc.constantFrom('left' as const, 'right' as const),
  seed: fc.nat(1e6),
  word: fc.constantFrom('', 'Tide'),
  timeCalls: fc.subarray([...TIME_CALLS]),
  count: fc.record({
    language: fc.constantFrom(...COUNT_LANGUAGES),
    own: fc.constantFrom([], ['hup', 'hey']),
  }),
});

function overlapping(round: CompiledRound): string[] {
  const clips = round.cues
    .flatMap((cue) => (cue.clip ? [{ ...cue.clip, text: cue.text }] : []))
    .sort((a, b) => a.start - b.start);
  return clips
    .slice(1)
    .flatMap((clip, i) =>
      clip.start < clips[i]!.start + clips[i]!.seconds ? [`${clips[i]!.text} | ${clip.text}`] : [],
    );
}

describe('any round of blocks of any kind', () => {
  const ways = { numRuns: 150 };

  it('lasts as long as its blocks, and everything in it lies within its time, in order', () => {
    fc.assert(
      fc.property(plan, (wanted) => {
        const round = compileRound(wanted, book, voice);
        expect(round.duration).toBe(wanted.blocks.reduce((sum, each) => sum + each.seconds, 0));
        const ats = round.cues.map((cue) => cue.at);
        expect(ats).toEqual(ats.toSorted((a, b) => a - b));
        expect(ats.filter((at) => at < 0 || at > round.duration + 1e-9)).toEqual([]);
        const outside = round.cues.filter(
          ({ clip }) => clip && (clip.start < 0 || clip.start + clip.seconds > round.duration + 1),
        );
        expect(outside).toEqual([]);
        expect(overlapping(round)).toEqual([]);
      }),
      ways,
    );
  });
  it('asks the voice only for texts that are listed beforehand', () => {
    fc.assert(
      fc.property(plan, (wanted) => {
        const listed = new Set(wantedTexts(wanted.blocks, book, wanted.count, wanted));
        const unlisted = new Set<string>();
        compileRound(wanted, book, {
          find: (text, rate) => {
            if (!listed.has(text)) unlisted.add(text);
            return voice.find(text, rate);
          },
        });
        expect([...unlisted]).toEqual([]);
      }),
      ways,
    );
  });
  it('belongs to its blocks: every cue and finding names one of them', () => {
    fc.assert(
      fc.property(plan, (wanted) => {
        const { cues, cycles, findings } = compileRound(wanted, book, voice);
        const ids = new Set(wanted.blocks.map(({ id }) => id));
        expect([...cues, ...cycles, ...findings].filter((each) => !ids.has(each.block))).toEqual([]);
      }),
      ways,
    );
  });
  it('is the same for the same seed', () => {
    fc.assert(
      fc.property(plan, (wanted) => {
        expect(compileRound(wanted, book, voice)).toEqual(compileRound(wanted, book, voice));
      }),
      { numRuns: 60 },
    );
  });
  it('can be shown at any instant', () => {
    fc.assert(
      fc.property(plan, fc.double({ min: -2, max: 400, noNaN: true }), (wanted, at) => {
        const round = compileRound(wanted, book, voice);
        expect(() => momentOfRound(round, at)).not.toThrow();
      }),
      ways,
    );
  });
  it('has an exact length for each counted block that its last call keeps', () => {
    fc.assert(
      fc.property(block, (any) => {
        const length = countedLength(any, book, 1);
        if (length === null) return;
        expect(length).toBeGreaterThan(0);
        const round = compileRound(
          { blocks: [{ ...any, seconds: length }], lead: 'left', seed: 1 },
          book,
          voice,
        );
        const last = Math.max(...round.cues.filter((cue) => cue.kind !== 'bell').map((cue) => cue.at));
        expect(last).toBeLessThanOrEqual(length);
      }),
      ways,
    );
  });
});
