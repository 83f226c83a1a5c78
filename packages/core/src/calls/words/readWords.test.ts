import { walkStance, type WalkedStroke } from '../../body/index.ts';
import { parseLine } from '../../line/index.ts';
import { seededLineText } from '../../line/testLines.ts';
import {
  SIDE_NAMES,
  STARTER_MOVES,
  STARTER_NUMBERS,
  moveBook,
  starterBook,
  type Lead,
} from '../../moves/index.ts';
import { equals, seededRandom } from '../../units/index.ts';
import { spokenTogether, type StrokeWords } from '../index.ts';
import { needsReading } from './needsReading.ts';
import { readWords } from './readWords.ts';

const book = starterBook();
const read = (text: string, lead: Lead = 'left') => readWords(text, book, lead);

describe('a line in words', () => {
  it.each([
    ['jab cross switch lead round kick', '1 2 sw f:round'],
    ['Jab, cross, and a lead hook', '1 2 3'],
    ['double jab, rear hook to the body', '1-1 4@b'],
    ['1 2 slip left 3', '1 2 slip 3'],
    ['1 2 slip right then 3', '1 2 r:slip 3'],
    ['one two three', '1 2 3'],
    ['One-two, hook', '1 2 3'],
    ['LH RH', '1 2'],
    ['left hook', '3'],
    ['jab cross left hook right uppercut', '1 2 3 6'],
    ['left straight, straight right', '1 2'],
    ['jabs and crosses', '1 2'],
    ['low kick', '8@l'],
    ['rear low kick, front high kick', '8@l f:round@h'],
    ['round kick to the head', '8@h'],
    ['front kick', '7'],
    ['rear front kick', 'r:push'],
    ['cross stepping through, right lead, cross', '2> 2'],
    ['jab, stepping in', '1+in'],
    ['step in jab step out', 'in 1 out'],
    ['fake jab, cross hard', '(1) 2*'],
    ['throw jab, parry, cross', 'o:1 parry 2'],
    ['jab, if it lands, cross', '1 ?2'],
    ['back kick', 'back'],
    ['rear back fist', 'r:backfist'],
    ['jab cross 3-2 r:knee!', '1 2 3-2 r:knee!'],
    ['jab croos rond kick', '1 2 8'],
    ['weave, lead hook body, cross', 'weave 3@b 2'],
    ['elbow to the head', 'elbow'],
    ['jab to the chest', '1@b'],
  ])('%j is %j', (said, line) => expect(read(said)).toMatchObject({ line, doubts: [] }));

  it('goes by the lead that stands', () => {
    expect(read('left hook', 'right').line).toBe('4');
    expect(read('left hand right hand', 'right').line).toBe('2 1');
    expect(read('jab switch left hook').line).toBe('1 sw 4');
    expect(read('slip left', 'right').line).toBe('r:slip');
  });

  it('says which word it took for which', () => {
    expect(read('jab croos').corrected).toEqual([{ from: 'croos', to: 'cross' }]);
  });

  it.each([
    ['jab kick', 'kick', 'push kick'],
    ['rear jab', 'rear jab', 'cross'],
    ['jab left', 'left', 'step left'],
    ['jab flibbertigibbet', 'flibbertigibbet', undefined],
    ['1 88', '88', undefined],
    ['jab, guard, turn', 'turn', 'quarter turn'],
    ['jab to cross', 'to', undefined],
    ['jab for cross', 'for', undefined],
    ['if it lands, cross', 'if it lands', undefined],
    ['jab, same leg, cross', 'jab, same leg, cross', undefined],
  ])('asks in %j about %j', (text, word, choice) => {
    const { line, doubts } = read(text);
    expect(line).toBeNull();
    expect(doubts).toHaveLength(1);
    const [{ from, to, choices }] = doubts as [(typeof doubts)[0]];
    expect(text.slice(from, to)).toBe(word);
    if (choice === undefined) expect(choices).toEqual([]);
    else expect(choices).toContain(choice);
    // What is chosen, in place of the word, is read.
    for (const each of choices) expect(read(text.slice(0, from) + each + text.slice(to)).line).not.toBeNull();
  });

  it('never reads a side as a punch, nor a word of the book as another move', () => {
    expect(read('lead').line).toBeNull();
    expect(read('lead hook').line).toBe('3');
    for (const { name, code, side } of STARTER_MOVES) {
      const { line } = read(name);
      const parsed = parseLine(line ?? '', book);
      if (!parsed.ok) throw new Error(`${name} is not read: ${JSON.stringify(read(name))}`);
      expect([name, walkStance(parsed.line, book, 'left').strokes.map(({ move }) => move.code)]).toEqual([
        name,
        [code],
      ]);
      expect(side).toBeDefined();
    }
  });

  it.each([
    ['1 2 r:round', false],
    ['jab cross', false],
    ['in 1 left 2', false],
    ['1 2 slip left 3', true],
    ['jab cross lead round kick', true],
    ['1 2 rund', false],
    ['1-1 2 sw rund', false],
    ['left hook', true],
    ['back hook', true],
    ['back 3', false],
    ['jab left right', false],
    ['1 2 r:', false],
    ['', false],
    ['kick', true],
  ])('%j is to be read as words: %j', (text, is) => expect(needsReading(text, book)).toBe(is));

  it('ends, whatever is typed', () => {
    for (const text of [
      '',
      '   ',
      ',,,',
      'and and then',
      '((((',
      'lead lead lead',
      'if it',
      'double',
      'x'.repeat(500),
      '🥊 jab',
      'to the body',
    ])
      expect(() => read(text)).not.toThrow();
  });
});

/** What a stroke is to whoever does it. */
function meant({ move, side, level, stroke }: WalkedStroke): string {
  const { feint, conditional, step, by } = stroke;
  return JSON.stringify([move.code, side, level, feint, step, by, conditional]);
}

/** The line as the voice says it from this lead; null where the gym's words leave no text for a stroke. */
function spoken(
  strokes: readonly WalkedStroke[],
  of: ReturnType<typeof moveBook>,
  words: StrokeWords,
): string | null {
  const groups: WalkedStroke[][] = [];
  for (const stroke of strokes)
    if (groups.length > 0 && equals(groups.at(-1)![0]!.beat, stroke.beat)) groups.at(-1)!.push(stroke);
    else groups.push([stroke]);
  const texts = groups.map((group) => {
    const { before } = group[0]!;
    const { after } = group.at(-1)!;
    const said = group.map(({ move, side, level, stroke }) => ({
      ...{ move, side, level, feint: stroke.feint },
      travel:
        stroke.step === null ? null : stroke.step === 'through' ? ('forward' as const) : ('back' as const),
      isHolders: stroke.by === 'holder',
      isConditional: stroke.conditional,
    }));
    const forms = spokenTogether(said, after.lead === before.lead ? null : after.lead, of, {
      words,
      lead: before.lead,
    });
    const whole = forms.find(({ lacks }) => lacks.length === 0);
    return group.length > 1 && new Set(group.map(({ stroke }) => stroke.by)).size > 1
      ? null
      : (whole?.text ?? null);
  });
  return texts.includes(null) ? null : texts.join(', ');
}

it('reads back what the voice says of a line, from every lead and in the words of every gym', () => {
  let said = 0;
  for (const sides of SIDE_NAMES) {
    const own = moveBook(STARTER_MOVES, STARTER_NUMBERS, sides);
    for (let seed = 0; seed < 400; seed++) {
      const parsed = parseLine(seededLineText(seededRandom(seed)), own);
      if (!parsed.ok) continue;
      for (const words of ['names', 'numbers'] as const)
        for (const lead of ['left', 'right'] as const) {
          const { strokes } = walkStance(parsed.line, own, lead);
          const text = spoken(strokes, own, words);
          // What is said first has nothing before it that could land.
          if (text === null || text === '' || text.startsWith('if it lands')) continue;
          said += 1;
          const { line, doubts } = readWords(text, own, lead);
          const again = parseLine(line ?? '', own);
          if (!again.ok) throw new Error(`“${text}” is not read: ${JSON.stringify(doubts)} ${line}`);
          const back = walkStance(again.line, own, lead).strokes.map(meant).sort();
          expect([text, back]).toEqual([text, strokes.map(meant).sort()]);
        }
    }
  }
  expect(said).toBeGreaterThan(500);
});
