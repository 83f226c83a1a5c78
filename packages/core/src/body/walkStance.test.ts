import { readFileSync } from 'node:fs';
import { existsSync } from 'node:fs';
import { parseLine, type BeatLine } from '../line/index.ts';
import { seededLineText } from '../line/testLines.ts';
import { STARTER_NUMBERS, moveBook, starterBook, type Lead } from '../moves/index.ts';
import { fractionToText, seededRandom, toNumber } from '../units/index.ts';
import { analyseCombo, walkStance, type Limb } from './index.ts';

const book = starterBook();

interface Vector {
  line: string;
  lead: Lead;
  strokes?: [Limb, number | string, string | null][];
  endLead?: Lead;
  errors?: { from: number; to: number; hint?: string }[];
}

const shared = new URL('../../../../../shared/vectors/beat-lines.json', import.meta.url);
const own = new URL('./beatLines.vectors.json', import.meta.url);

function lineOf(text: string): BeatLine {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.errors[0]!.message}`);
  return parsed.line;
}

const walk = (text: string, lead: Lead = 'left') => walkStance(lineOf(text), book, lead);

describe.each(
  [own, shared]
    .filter((file) => existsSync(file))
    .map((file) => [file.pathname.split('/').at(-1)!, file] as const),
)('vectors of %s', (_, file) => {
  const vectors = JSON.parse(readFileSync(file, 'utf8')) as Vector[];
  it.each(vectors.map((vector) => [vector.line, vector.lead, vector] as const))(
    '%j from the %s',
    (line, lead, vector) => {
      const analysis = analyseCombo(line, book, lead);
      if (vector.errors) {
        expect(analysis).toMatchObject({ ok: false, errors: vector.errors });
        return;
      }
      if (!analysis.ok) throw new Error(analysis.errors[0]!.message);
      const strokes = analysis.walk.strokes.map(({ limb, beat, level }) => [
        limb,
        fractionToText(beat),
        level,
      ]);
      expect(strokes).toEqual(vector.strokes!.map(([limb, beat, level]) => [limb, String(beat), level]));
      expect(analysis.walk.end.lead).toBe(vector.endLead);
    },
  );
});

describe('walkStance', () => {
  it('mirrors the limbs when the lead is mirrored', () => {
    const mirror = (limb: Limb): Limb =>
      limb.startsWith('left-')
        ? (limb.replace('left-', 'right-') as Limb)
        : (limb.replace('right-', 'left-') as Limb);
    for (let seed = 0; seed < 1000; seed++) {
      const line = lineOf(seededLineText(seededRandom(seed)));
      const [left, right] = [walkStance(line, book, 'left'), walkStance(line, book, 'right')];
      expect(right.strokes.map((s) => mirror(s.limb))).toEqual(left.strokes.map((s) => s.limb));
      expect(right.strokes.map((s) => toNumber(s.beat))).toEqual(left.strokes.map((s) => toNumber(s.beat)));
      expect(right.end.lead).not.toBe(left.end.lead);
      expect(right.comesHome).toBe(left.comesHome);
    }
  });

  it('tells each lead change and how it came', () => {
    expect(walk('1 2> sw 1 2< threeq').leadChanges).toMatchObject([
      { to: 'right', stroke: 1, how: 'step-through' },
      { to: 'left', stroke: 2, how: 'switch' },
      { to: 'right', stroke: 4, how: 'step-back' },
      { to: 'left', stroke: 5, how: 'turn' },
    ]);
  });

  it('knows whether the line comes home', () => {
    expect(walk('1 sw 1 sw').comesHome).toBe(true);
    expect(walk('1 sw 1').comesHome).toBe(false);
    expect(walk('quarter 1').comesHome).toBe(false);
    expect(walk('{quarter 1}x4').comesHome).toBe(true);
    expect(walk('half 1 half').comesHome).toBe(true);
  });

  it.each([
    ['quarter', 'left', { lead: 'left', facing: 90 }],
    ['quarter', 'right', { lead: 'right', facing: -90 }],
    ['f:quarter', 'left', { lead: 'left', facing: -90 }],
    ['half', 'left', { lead: 'left', facing: 180 }],
    ['half', 'right', { lead: 'right', facing: 180 }],
    ['threeq', 'left', { lead: 'right', facing: -90 }],
    ['f:threeq', 'left', { lead: 'right', facing: 90 }],
    ['threeq', 'right', { lead: 'left', facing: 90 }],
    ['angle', 'left', { lead: 'left', facing: 0, place: { forward: 0.7, right: -0.7 } }],
    ['angle', 'right', { lead: 'right', facing: 0, place: { forward: 0.7, right: 0.7 } }],
    ['r:angle', 'left', { lead: 'left', facing: 0, place: { forward: 0.7, right: 0.7 } }],
    ['left', 'right', { lead: 'right', place: { forward: 0, right: -1 } }],
    ['2>', 'left', { lead: 'right', place: { forward: 1, right: 0 } }],
    ['2<', 'left', { lead: 'right', place: { forward: -1, right: 0 } }],
    // A leg lands where it is set down: the front leg in front keeps the lead, and behind changes it.
    ['f:snap>', 'left', { lead: 'left', place: { forward: 1, right: 0 } }],
    ['f:snap>', 'right', { lead: 'right', place: { forward: 1, right: 0 } }],
    ['r:snap>', 'left', { lead: 'right', place: { forward: 1, right: 0 } }],
    ['f:knee>', 'left', { lead: 'left', place: { forward: 1, right: 0 } }],
    ['f:snap<', 'left', { lead: 'right', place: { forward: -1, right: 0 } }],
    ['r:snap<', 'left', { lead: 'left', place: { forward: -1, right: 0 } }],
    ['f:snap> 2 f:snap>', 'left', { lead: 'left', place: { forward: 2, right: 0 } }],
    ['half 1<', 'left', { lead: 'right', facing: 180, place: { forward: 1, right: 0 } }],
    ['r:weave f:slip', 'left', { lead: 'left', facing: 0 }],
  ] as const)('%s from %s lead ends as the body does', (text, lead, end) => {
    expect(walk(text, lead).end).toMatchObject(end);
  });
  it('travels with a kick that does, and not with its feint, but with the step that the feint takes', () => {
    const gliding = { ...book.moves.get('push')!, code: 'glide', step: { forward: 1, right: 0 } };
    const own = moveBook([...book.moves.values(), gliding], STARTER_NUMBERS);
    const place = (text: string) => {
      const parsed = parseLine(text, own);
      if (!parsed.ok) throw new Error(text);
      return walkStance(parsed.line, own, 'left').end.place.forward;
    };
    expect(['f:glide', '(f:glide)', '(r:glide>)', 'r:push>'].map(place)).toEqual([1, 0, 2, 1]);
  });
  it('grabs with one hand, then with the other', () => {
    expect(walk('grab f:grab r:grab').strokes.map(({ limb }) => limb)).toEqual([
      'left-hand',
      'left-hand',
      'right-hand',
    ]);
  });

  it('measures the floor that is needed', () => {
    expect(walk('in in 1 out out out').floor).toEqual({ forward: 2, back: 1, left: 0, right: 0 });
    expect(walk('2> 2> left').floor).toEqual({ forward: 2, back: 0, left: 1, right: 0 });
    // after a quarter turn to the right, forward is to the right
    expect(walk('quarter in').end.place).toEqual({ forward: 0, right: 1 });
    expect(walk('{in quarter}x4').end.place).toEqual({ forward: 0, right: 0 });
  });

  it('keeps the leg up only until something else is done', () => {
    const strokes = walk('f:round-^hookkick 1').strokes;
    expect(strokes.map((stroke) => stroke.after.raised)).toEqual(['left', 'left', null]);
    expect(strokes[1]!.limb).toBe('left-leg');
  });

  it('lets the holder act without moving the fighter', () => {
    const { strokes, end } = walk('o:2> 1');
    expect(strokes[0]!.limb).toBe('holder');
    expect(end).toMatchObject({ lead: 'left', place: { forward: 0 } });
  });

  it('leaves a fixed side alone and takes the free one', () => {
    expect(walk('r:jab r:round f:round r:3').strokes.map((stroke) => stroke.limb)).toEqual([
      'left-hand',
      'right-leg',
      'left-leg',
      'left-hand',
    ]);
  });

  it('remembers the stance until something changes it', () => {
    expect(walk('horse 1 guard 1').strokes.map((stroke) => stroke.after.stance)).toEqual([
      'horse',
      'horse',
      'fighting',
      'fighting',
    ]);
  });
});

describe('what limbs go on doing', () => {
  const after = (text: string, lead: Lead = 'left') => walk(text, lead).strokes.map(({ after }) => after);
  it('a flying double takes each leg once', () => {
    expect(walk('r:round=^f:round').strokes.map(({ limb }) => limb)).toEqual(['right-leg', 'left-leg']);
    expect(walk('r:round=^f:round', 'right').strokes.map(({ limb }) => limb)).toEqual([
      'left-leg',
      'right-leg',
    ]);
  });
  it('a leg that goes again without coming down is the same one, whatever the next kick usually is', () => {
    expect(walk('f:outcres ^incres').strokes.map(({ limb }) => limb)).toEqual(['left-leg', 'left-leg']);
    expect(walk('r:side [hold2] ^hookkick').strokes.map(({ limb }) => limb)).toEqual([
      'right-leg',
      'right-leg',
    ]);
  });
  it('a hand that grabs holds until it does something else, or the fighter lets go', () => {
    const holds = (text: string) => after(text).map(({ holding }) => holding);
    expect(holds('r:grab f:hook f:hook@b r:knee r:elbow')).toEqual([
      'right',
      'right',
      'right',
      'right',
      null,
    ]);
    expect(holds('f:pin 2 shove')).toEqual(['left', 'left', null]);
    expect(holds('r:grab out')).toEqual(['right', null]);
    expect(holds('1 2')).toEqual([null, null]);
  });
  it('rises from the knee straight into a stance, and steps into one', () => {
    expect(after('kneelup+horse').at(-1)!.stance).toBe('horse');
    expect(after('in+long').at(-1)).toMatchObject({ stance: 'long', place: { forward: 1, right: 0 } });
    expect(after('tri').at(-1)!.stance).toBe('square');
  });
  it('moves one foot of a grid, and the body half as far, to the side of that foot', () => {
    const place = (text: string, lead: Lead) => after(text, lead).at(-1)!.place;
    expect(place('f:footout', 'left')).toEqual({ forward: 0, right: -0.5 });
    expect(place('f:footout', 'right')).toEqual({ forward: 0, right: 0.5 });
    expect(place('r:footout r:footin', 'left')).toEqual({ forward: 0, right: 0 });
    expect(place('f:footfwd r:footfwd', 'right')).toEqual({ forward: 1, right: 0 });
    expect(place('halffootback', 'left')).toEqual({ forward: -0.25, right: 0 });
    expect(place('slideback', 'left')).toEqual({ forward: -1, right: 0 });
  });
});
