import fc from 'fast-check';
import { walkStance, type WalkedStroke } from '../body/index.ts';
import { ABOUT_SPOKEN, hear, type StrokeWords } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import {
  SIDE_NAMES,
  STARTER_MOVES,
  STARTER_NUMBERS,
  isStrike,
  moveBook,
  type MoveBook,
  type SideNames,
} from '../moves/index.ts';
import { seededRandom } from '../units/index.ts';
import { compileRound, usualBlock, type Block, type CompiledRound, type TempoShape } from './index.ts';

const bookOf = Object.fromEntries(
  SIDE_NAMES.map((sides) => [sides, moveBook(STARTER_MOVES, STARTER_NUMBERS, sides)]),
) as Record<SideNames, MoveBook>;

/** What a stroke is to whoever does it, as one text. */
const asText = (stroke: object): string => JSON.stringify(stroke, Object.keys(stroke).sort());
function written({ move, side, level, stroke }: WalkedStroke): string {
  const { feint, conditional, step, by } = stroke;
  const travel = step === 'through' ? 'forward' : step;
  const isHolders = by === 'holder';
  return asText({ code: move.code, side, level, feint, travel, isHolders, isConditional: conditional });
}

interface Listener {
  readonly line: string;
  readonly sides: SideNames;
  readonly words: StrokeWords;
  readonly lead: 'left' | 'right';
  readonly calls: 'on-beat' | 'ahead' | 'holder';
  readonly bpm: number;
  readonly tempo: TempoShape;
}

/** Strokes of a line that nobody who only hears its calls would do as they are written, and that no finding names. */
function misheard(given: Listener): string[] {
  const { line, words, lead, calls, bpm, tempo } = given;
  const book = bookOf[given.sides];
  const parsed = parseLine(line, book);
  if (!parsed.ok) return [];
  const combo = { id: 'a', grade: 'Ebb', number: 1, title: 'A', line, beatsPerBar: 4 };
  const block = {
    ...usualBlock('combo', 'c'),
    seconds: 90,
    combos: [combo],
    words,
    calls,
    bpm,
    tempo,
  } as Block;
  const round = compileRound({ blocks: [block], lead, seed: 1 }, book, ABOUT_SPOKEN);
  const heardBy = calls === 'holder' ? 'names' : words;
  return round.cycles.flatMap((cycle) => {
    const { strokes } = walkStance(parsed.line, book, cycle.lead);
    const isCalled = ({ stroke, move }: WalkedStroke): boolean =>
      calls === 'holder'
        ? stroke.by === 'holder' || (isStrike(move) && !stroke.feint)
        : stroke.by === 'fighter';
    const said = round.cues.filter(
      (cue) =>
        cue.cycle === cycle.cycle && cue.clip && cue.stroke !== undefined && /call|stance/.test(cue.kind),
    );
    const heard = said.flatMap((cue) => {
      const { lead: before } = strokes[cue.stroke!]!.before;
      return hear(cue.text, book, { words: heardBy, lead: before }).strokes.map(asText);
    });
    return strokes
      .filter(isCalled)
      .filter((stroke) => !takeOut(heard, written(stroke)) && !isTold(round, stroke, given))
      .map((stroke) => `${stroke.move.code} of ${line}: ${said.map(({ text }) => text).join(' / ')}`)
      .concat(heard.map((more) => `${more} is not in ${line}`));
  });
}

function takeOut(heard: string[], text: string): boolean {
  const at = heard.indexOf(text);
  if (at >= 0) heard.splice(at, 1);
  return at >= 0;
}

/** Whether a finding names the stroke: the call of its instant that is missing, or what such a call leaves out. */
function isTold(
  { findings }: CompiledRound,
  { move }: WalkedStroke,
  { sides, words, lead }: Listener,
): boolean {
  return findings.some(({ rule, message }) => {
    const [, quoted = ''] = /^“(.*)”/.exec(message) ?? [];
    const named = [words, 'names' as const].flatMap(
      (each) => hear(quoted, bookOf[sides], { words: each, lead }).strokes,
    );
    if (rule === 'call-dropped') return named.some(({ code }) => code === move.code);
    if (rule === 'call-incomplete') return message.includes(move.name.toLowerCase());
    return rule === 'call-unclear' && message.includes(move.name);
  });
}

const listener: fc.Arbitrary<Listener> = fc.record({
  line: fc.nat(1_000_000).map((seed) => seededLineText(seededRandom(seed))),
  sides: fc.constantFrom(...SIDE_NAMES),
  words: fc.constantFrom('names' as const, 'numbers' as const),
  lead: fc.constantFrom('left' as const, 'right' as const),
  calls: fc.constantFrom('on-beat' as const, 'ahead' as const, 'holder' as const),
  bpm: fc.integer({ min: 30, max: 140 }),
  tempo: fc.constantFrom<TempoShape[]>(
    { kind: 'constant' },
    { kind: 'ramp', to: 120 },
    { kind: 'steps', by: 6, every: 1 },
    { kind: 'broken', pause: 3 },
  ),
});

describe('who only hears the voice', () => {
  it('does what the line says, or a finding names what was not said', () => {
    fc.assert(
      fc.property(listener, (given) => expect(misheard(given)).toEqual([])),
      { numRuns: 600 },
    );
  });
  it('hears which combo is meant, and no number that is no stroke where strokes are numbers', () => {
    const combos = (['Ebb', 'Reef'] as const).flatMap((grade) =>
      [1, 2].map((number) => ({
        id: `${grade}${number}`,
        grade,
        number,
        title: '',
        line: '1 2',
        beatsPerBar: 4,
      })),
    );
    fc.assert(
      fc.property(
        fc.subarray(combos, { minLength: 1 }),
        fc.constantFrom('numbers', 'names', 'combo-number'),
        fc.constantFrom('on-beat', 'ahead', 'lead-in', 'one-count'),
        fc.integer({ min: 40, max: 140 }),
        (some, words, calls, bpm) => {
          const block = {
            ...usualBlock('combo', 'c'),
            seconds: 60,
            combos: some,
            words,
            calls,
            bpm,
            cyclesEach: 2,
          };
          const { cues } = compileRound(
            { blocks: [block as Block], lead: 'left', seed: 1, timeCalls: [] },
            bookOf['lead-rear'],
            ABOUT_SPOKEN,
          );
          for (const { kind, clip, combo, cycle, text } of cues) {
            if (kind !== 'call' || !clip || combo === undefined || cycle !== undefined) continue;
            const meant = some.filter(({ grade, number }) => {
              const name = number === 1 ? 'one' : 'two';
              return text === name || text === `${grade.toLowerCase()} ${name}`;
            });
            expect(meant.map(({ id }) => id)).toEqual([combo]);
            if (words === 'numbers' && /on-beat|ahead/.test(calls)) expect(text).not.toMatch(/^(one|two)$/);
          }
        },
      ),
      { numRuns: 150 },
    );
  });
  it.each([
    ['f:push . r:push', ['lead push kick', 'rear push kick']],
    ['f:snap . r:snap', ['lead snap kick', 'rear snap kick']],
    ['1-1 r:hook@b . f:hook@h', ['jab', 'jab', 'rear hook body', 'lead hook']],
    ['in+2 .', ['cross, stepping in']],
    ['2 . 2> .', ['cross', 'cross forward, right lead']],
    ['1+sw . . .', ['jab, switch, right lead']],
    ['(1) . 2 .', ['fake jab', 'cross']],
  ])('hears %s', (line, texts) => {
    const combo = { id: 'a', grade: 'Ebb', number: 1, title: 'A', line, beatsPerBar: 4 };
    const block = {
      ...usualBlock('combo', 'c'),
      seconds: 60,
      combos: [combo],
      words: 'names',
      calls: 'on-beat',
      bpm: 50,
    };
    const round = compileRound(
      { blocks: [block as Block], lead: 'left', seed: 1 },
      bookOf['lead-rear'],
      ABOUT_SPOKEN,
    );
    const said = round.cues.filter(({ cycle, clip, stroke }) => cycle === 0 && clip && stroke !== undefined);
    expect(said.map(({ text }) => text)).toEqual(texts);
  });
});

it.each([
  ['1 . 2 .', 'jab, cross'],
  ['1 2 3 r:round 2', 'jab, cross, hook, round'],
])('a line without a name, %s, is announced by its moves', (line, said) => {
  const combo = { id: 'a', grade: '', number: 1, title: '', line, beatsPerBar: 4 };
  const block = { ...usualBlock('combo', 'c'), seconds: 60, combos: [combo], calls: 'lead-in', bpm: 60 };
  const round = compileRound(
    { blocks: [block as Block], lead: 'left', seed: 1 },
    bookOf['lead-rear'],
    ABOUT_SPOKEN,
  );
  expect(round.cues.find(({ kind, clip }) => kind === 'call' && clip)!.text).toBe(said);
});
