import { walkStance } from '@eurhythm/core/body';
import { parseLine } from '@eurhythm/core/line';
import { starterBook } from '@eurhythm/core/moves';
import { STRIP_SCALES, layOutStrip } from './stripLayout.ts';
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
});
