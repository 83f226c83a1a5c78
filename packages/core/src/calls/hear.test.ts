import {
  moveBook,
  SIDE_NAMES,
  starterBook,
  STARTER_MOVES,
  STARTER_NUMBERS,
  type Lead,
} from '../moves/index.ts';
import { callDictionary, clearTexts, hear, spokenTogether, type SpokenStroke } from './index.ts';

const LEADS: readonly Lead[] = ['left', 'right'];
const WORDS = ['names', 'numbers'] as const;
const cases = SIDE_NAMES.flatMap((sides) =>
  WORDS.flatMap((words) => LEADS.map((lead) => [sides, words, lead] as const)),
);

describe.each(cases)('who hears sides as %s, strokes by %s, from the %s lead', (sides, words, lead) => {
  const book = moveBook(STARTER_MOVES, STARTER_NUMBERS, sides);
  const style = { words, lead };
  const strokes = [...callDictionary(book, style).values()].flat();

  it('hears the stroke that is meant, in every form of it', () => {
    const wrong: unknown[] = [];
    for (const bothSides of [new Set<string>(), new Set(book.moves.keys())])
      for (const { code, ...said } of strokes) {
        const texts = clearTexts({ move: book.moves.get(code)!, ...said }, book, { ...style, bothSides });
        if (texts.length === 0) wrong.push(code);
        const meant = JSON.stringify({ code, ...said, isHolders: false, isConditional: false });
        for (const text of texts)
          if (JSON.stringify(hear(text, book, style).strokes) !== `[${meant}]`) wrong.push(text);
      }
    expect(wrong).toEqual([]);
  });
});

const book = starterBook();
const stroke = (code: string, more: Partial<SpokenStroke> = {}): SpokenStroke => {
  const move = book.moves.get(code)!;
  const { side, level } = move;
  const usual = side.kind === 'fixed' ? side.side : 'usual' in side ? side.usual : null;
  return {
    move,
    side: usual,
    level,
    feint: false,
    travel: null,
    isHolders: false,
    isConditional: false,
    ...more,
  };
};
const style = { words: 'names', lead: 'left' } as const;
const said = (strokes: readonly SpokenStroke[], newLead: Lead | null = null) =>
  spokenTogether(strokes, newLead, book, style);

describe('what is said', () => {
  it.each<[string, readonly SpokenStroke[], Lead | null, string]>([
    ['a strike and a step', [stroke('cross'), stroke('in')], null, 'cross, stepping in'],
    [
      'a stance and a strike, the strike first',
      [stroke('horse'), stroke('knife')],
      null,
      'knife hand, horse stance',
    ],
    ['a strike and a switch', [stroke('jab'), stroke('sw')], 'right', 'jab, switch, right lead'],
    ['a step through', [stroke('cross', { travel: 'forward' })], 'right', 'cross forward, right lead'],
    ['a feint', [stroke('jab', { feint: true })], null, 'fake jab'],
    ['a feint of the holder', [stroke('jab', { feint: true, isHolders: true })], null, 'show fake jab'],
    ['what the holder throws', [stroke('jab', { isHolders: true })], null, 'throw jab'],
    ['the other leg', [stroke('push', { side: 'rear' })], null, 'rear push kick'],
    ['another height', [stroke('hook', { level: 'body' })], null, 'hook body'],
    ['a leg that is not set down', [stroke('incres', { legUp: 'same' })], null, 'same leg, inside crescent'],
    [
      'a flying double',
      [stroke('round', { side: 'front', legUp: 'flying' })],
      null,
      'flying, lead round kick',
    ],
    ['what depends on the last one', [stroke('cross', { isConditional: true })], null, 'if it lands, cross'],
    ['a kick without the side in its name', [stroke('snap')], null, 'snap kick'],
  ])('of %s', (_, strokes, newLead, text) => {
    expect(said(strokes, newLead)[0]).toEqual({ text, lacks: [] });
  });
  it('says what it leaves out where there is room for less', () => {
    expect(said([stroke('cross'), stroke('in')])).toEqual([
      { text: 'cross, stepping in', lacks: [] },
      { text: 'cross, in', lacks: [] },
      { text: 'cross', lacks: ['step in'] },
    ]);
  });
  it('is heard whole where nothing is left out', () => {
    const three = [stroke('jab'), stroke('high', { side: 'rear' }), stroke('in')];
    for (const { text, lacks } of said(three)) {
      const { strokes, unclear } = hear(text, book, style);
      expect([unclear, strokes.length]).toEqual([[], 3 - lacks.length]);
    }
  });
});

describe('a gym whose words mean two things', () => {
  const roll = { ...book.moves.get('roll')!, say: { long: 'slip', short: 'slip' } };
  const own = moveBook([...STARTER_MOVES.filter(({ code }) => code !== 'roll'), roll], STARTER_NUMBERS);
  it('has them never said, and what is not said is known', () => {
    expect(clearTexts(stroke('slip'), own, style)).toEqual([]);
    expect(spokenTogether([stroke('jab'), stroke('slip')], null, own, style)).toEqual([
      { text: 'jab', lacks: ['slip'] },
    ]);
    expect(hear('slip', own, style)).toEqual({ strokes: [], lead: null, unclear: ['slip'] });
  });
});
