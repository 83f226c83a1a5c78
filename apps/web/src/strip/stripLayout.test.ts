import { walkStance } from '@eurhythm/core/body';
import { parseLine } from '@eurhythm/core/line';
import { starterBook } from '@eurhythm/core/moves';
import { STRIP_SCALES } from './stripScales.ts';
import { firstFeet, labelY } from './stripLabels.ts';
import { layOutStrip } from './stripLayout.ts';
import { tellStrip } from './tellStrip.ts';

const book = starterBook();
function walkOf(text: string) {
  const parsed = parseLine(text, book);
  if (!parsed.ok) throw new Error(parsed.errors[0]!.message);
  return walkStance(parsed.line, book, 'left');
}
const strip = (text: string, beats = 8, room = 900) =>
  layOutStrip(walkOf(text), beats, 'left', room, STRIP_SCALES.bench);

describe('layOutStrip', () => {
  it('puts pins on their beats, and their heads at the height of the target', () => {
    const { pins, xOfBeat, tapeY } = strip('1-2@b r:round@l');
    expect(pins.map((pin) => pin.x)).toEqual([xOfBeat(0), xOfBeat(0.5), xOfBeat(1.5)]);
    const { head, body, low } = STRIP_SCALES.bench.heights;
    expect(pins.map((pin) => tapeY - pin.y)).toEqual([head, body, low]);
  });
  it('shapes heads by what lands', () => {
    expect(strip('1 r:round r:knee elbow cover in o:1').pins.map((pin) => pin.shape)).toEqual([
      'round',
      'wedge',
      'spike',
      'spike',
      'bar',
      'foot',
      'round',
    ]);
  });
  it('hangs the holder below the tape and stands steps on it', () => {
    const { pins, tapeY } = strip('o:1 in');
    expect(pins[0]!.y).toBeGreaterThan(tapeY + STRIP_SCALES.bench.tape);
    expect(pins[1]!.y).toBe(tapeY + STRIP_SCALES.bench.tape / 2);
  });
  it('says of a strike that steps where its foot lands', () => {
    expect(strip('f:snap> 2< 1 r:round> in').pins.map(({ step }) => step)).toEqual([
      'through',
      'back',
      null,
      'through',
      null,
    ]);
  });
  it.each(['mat', 'lane', 'bench', 'wall'] as const)('keeps names off the feet at the start, %s', (size) => {
    const scale = STRIP_SCALES[size];
    const { end, top, nameAt } = firstFeet(scale);
    for (const line of ['r:round 2', 'r:knee@l 1', 'r:round@l'] as const) {
      const walk = walkOf(line);
      const { pins, tapeY } = layOutStrip(walk, 8, 'left', 900, scale);
      const name = pins[0]!;
      const left = name.x - (name.label.length * scale.label * 0.58) / 2;
      const foot = tapeY - labelY(name, scale);
      expect([line, left >= end || foot >= top || foot + scale.label <= nameAt]).toEqual([line, true]);
    }
  });
  it('tears the tape where the lead changes, and covers it whole', () => {
    const { pieces, xOfBeat } = strip('1 2> 1 sw 1');
    expect(pieces.map((piece) => piece.lead)).toEqual(['left', 'right', 'left']);
    expect(pieces[1]!.from).toBeCloseTo(xOfBeat(1 + 1 / 3), 9);
    expect(pieces.at(-1)!.to).toBe(xOfBeat(8));
    pieces.slice(1).forEach((piece, i) => expect(piece.from).toBe(pieces[i]!.to));
  });
  it('never squeezes half beats under 24 pixels on planning screens', () => {
    const long = strip(`{1-1}x20`, 40, 300);
    expect(long.beatWidth / 2).toBeGreaterThanOrEqual(24);
    expect(long.width).toBeGreaterThan(300);
  });
  it('marks what a pin is: whose, how hard, shown or landed, kept up, shouted', () => {
    const [hard, touch, feint, kept, held] = strip("1* 2' (3) r:round-^r:round! o:1").pins;
    expect([hard!.power, touch!.power, feint!.feint]).toEqual(['full', 'touch', true]);
    const [, , , , again, holder] = strip("1* 2' (3) r:round-^r:round! o:1").pins;
    expect([kept!.keptUp, again!.keptUp, again!.shout]).toEqual([false, true, true]);
    expect([held!.by, holder!.by]).toEqual(['fighter', 'holder']);
  });
  it('points each pin back to its place in the text', () => {
    const text = '1-(2)  r:round@l';
    expect(strip(text).pins.map(({ from, to }) => text.slice(from, to))).toEqual(['1', '(2)', 'r:round@l']);
  });
  it('writes the words that the voice says, and none over another', () => {
    expect(strip('r:round . . 8', 8, 1200).pins.map(({ label }) => label)).toEqual(['round', 'round']);
    const numbered = layOutStrip(
      walkOf('1-1 2 r:round f:round'),
      8,
      'left',
      600,
      STRIP_SCALES.mat,
      starterBook(),
    );
    expect(numbered.pins.map(({ label }) => label)).toEqual(['1', '1', '2', '8', 'round']);
    for (const scale of [STRIP_SCALES.bench, STRIP_SCALES.mat, STRIP_SCALES.wall])
      for (const text of ['8=8=8=8', '{1-1}x8 2', 'in+2-f:push=r:push 1+sw', 'o:1=o:1=o:1 parry']) {
        const { pins, height } = layOutStrip(walkOf(text), 8, 'left', 300, scale);
        for (const [i, pin] of pins.entries()) {
          expect(labelY(pin, scale) - scale.label).toBeGreaterThanOrEqual(-1e-9);
          expect(labelY(pin, scale)).toBeLessThan(height);
          for (const other of pins.slice(i + 1)) {
            const wide = ((pin.label.length + other.label.length) * scale.label * 0.58) / 2;
            const isBeside = Math.abs(pin.x - other.x) >= wide;
            const isAbove = Math.abs(labelY(pin, scale) - labelY(other, scale)) >= scale.label - 1e-9;
            expect([text, pin.label, other.label, isBeside || isAbove]).toContain(true);
          }
        }
      }
  });
  it('has a notch for each half beat, and a number on the whole ones', () => {
    const { notches } = strip('1 2', 3);
    expect(notches.map(({ beat }) => beat)).toEqual([1, null, 2, null, 3, null]);
    expect(strip('1-2', 1.5).notches).toHaveLength(2);
  });
  it('draws the line of levels through the strikes of the fighter alone', () => {
    const { levels, pins } = strip('1 weave o:2 r:round in 2');
    expect(levels.map(({ x }) => x)).toEqual([0, 3, 5].map((i) => pins[i]!.x));
  });
  it.each(Object.entries(STRIP_SCALES))(
    'keeps all of it within the picture at the scale of %s',
    (_, scale) => {
      for (const text of ['1 2 3', '{1=2}x9', 'o:1 r:round@h 2>-sw', 'parry+in']) {
        const { pins, pieces, width, height, beatWidth } = layOutStrip(walkOf(text), 12, 'right', 700, scale);
        for (const { x, y, by } of pins) {
          expect(x).toBeGreaterThanOrEqual(scale.left - 1e-9);
          expect(x + scale.head).toBeLessThanOrEqual(width + scale.right);
          expect(y - scale.head).toBeGreaterThanOrEqual(0);
          expect(y + scale.head).toBeLessThanOrEqual(height);
          if (by === 'holder') expect(y + scale.head + scale.label).toBeLessThan(height);
        }
        expect(beatWidth).toBeGreaterThanOrEqual(scale.leastBeat);
        expect(beatWidth).toBeLessThanOrEqual(scale.mostBeat);
        expect(pieces.at(-1)!.to).toBeLessThanOrEqual(width);
      }
    },
  );
  it('keeps pins that land together apart', () => {
    const [a, b] = strip('parry+in').pins;
    expect(b!.x - a!.x).toBeGreaterThan(10);
  });
});

describe('tellStrip', () => {
  it('says the strip in words', () => {
    expect(tellStrip(walkOf('1-(2) f:round@l sw'), 'left')).toBe(
      'From the left lead; beat 1: jab head; beat 1.5: feint, cross head; beat 2.5: front round kick low; beat 3.5: switch to right lead.',
    );
  });
  it('says whose stroke it is, where it lands, and where the lead goes', () => {
    expect(tellStrip(walkOf('o:1-1@b 2> [hold2] f:knee'), 'left')).toBe(
      'From the left lead; beat 1: holder, jab head; beat 1.5: jab body; beat 2.5: cross head to right lead; beat 5.5: front knee body.',
    );
  });
  it('of an empty walk says the lead alone', () =>
    expect(tellStrip(walkOf('.'), 'left')).toBe('From the left lead.'));
});
