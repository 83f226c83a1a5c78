import type { Walk, WalkedStroke } from '@eurhythm/core/body';
import { numberOf, type Family, type Lead, type Level, type MoveBook, type Side } from '@eurhythm/core/moves';
import { toNumber } from '@eurhythm/core/units';

/** Measures of a strip in pixels. */
export interface StripScale {
  readonly leastBeat: number;
  readonly mostBeat: number;
  /** Room before the first beat, for the footprints. */
  readonly left: number;
  readonly right: number;
  /** Height of a pin's head above the tape. */
  readonly heights: Readonly<Record<Level, number>>;
  readonly head: number;
  readonly tape: number;
  /** Room above the highest head, for its label and a shout. */
  readonly top: number;
  /** Room below the tape, for lead changes and the holder. */
  readonly below: number;
  readonly label: number;
}

export const STRIP_SCALES: Readonly<Record<'row' | 'wall' | 'lane' | 'bench' | 'mat', StripScale>> = {
  row: {
    leastBeat: 9,
    mostBeat: 34,
    left: 5,
    right: 5,
    heights: { head: 20, body: 13, low: 7 },
    head: 3,
    tape: 4,
    top: 5,
    below: 1,
    label: 0,
  },
  wall: {
    leastBeat: 30,
    mostBeat: 74,
    left: 62,
    right: 14,
    heights: { head: 70, body: 46, low: 25 },
    head: 7.5,
    tape: 16,
    top: 26,
    below: 44,
    label: 12.5,
  },
  bench: {
    leastBeat: 56,
    mostBeat: 128,
    left: 76,
    right: 26,
    heights: { head: 148, body: 96, low: 50 },
    head: 13,
    tape: 36,
    top: 44,
    below: 80,
    label: 15,
  },
  lane: {
    leastBeat: 46,
    mostBeat: 110,
    left: 122,
    right: 14,
    heights: { head: 88, body: 58, low: 32 },
    head: 12,
    tape: 26,
    top: 42,
    below: 46,
    label: 28,
  },
  mat: {
    leastBeat: 72,
    mostBeat: 190,
    left: 110,
    right: 30,
    heights: { head: 122, body: 80, low: 44 },
    head: 16,
    tape: 38,
    top: 42,
    below: 48,
    label: 28,
  },
};

export type HeadShape = 'round' | 'wedge' | 'spike' | 'bar' | 'foot';

export interface Pin {
  readonly index: number;
  readonly x: number;
  /** Centre of the head. */
  readonly y: number;
  readonly shape: HeadShape;
  readonly side: Side | null;
  readonly by: 'fighter' | 'holder';
  readonly feint: boolean;
  readonly power: 'touch' | 'normal' | 'full';
  readonly shout: boolean;
  /** Kept up from the pin before it. */
  readonly keptUp: boolean;
  readonly label: string;
  /** So many pixels higher than usual stands its label, for it does not fit beside its neighbours'. */
  readonly rise: number;
  readonly from: number;
  readonly to: number;
}

export interface TapePiece {
  readonly from: number;
  readonly to: number;
  readonly lead: Lead;
}

export interface StripPicture {
  readonly width: number;
  readonly height: number;
  readonly tapeY: number;
  readonly beatWidth: number;
  readonly xOfBeat: (beat: number) => number;
  readonly pins: readonly Pin[];
  readonly pieces: readonly TapePiece[];
  readonly notches: readonly { readonly x: number; readonly beat: number | null }[];
  /** Heads of the fighter's strikes in order, for the line of levels. */
  readonly levels: readonly { readonly x: number; readonly y: number }[];
}

/** Pins that land at one instant stand this share of a head apart. */
const TOGETHER = 1.5;
/** Width of a letter of a label as a share of its height. */
const LETTER = 0.58;

/**
 * Lays a walked line out as pins on a tape that is `beats` long and about `room` pixels wide.
 *
 * @param numbered the book whose numbers are called; without it the labels are names
 */
export function layOutStrip(
  walk: Walk,
  beats: number,
  lead: Lead,
  room: number,
  scale: StripScale,
  numbered: MoveBook | null = null,
): StripPicture {
  const beatWidth = Math.min(
    scale.mostBeat,
    Math.max(scale.leastBeat, (room - scale.left - scale.right) / beats),
  );
  const xOfBeat = (beat: number): number => scale.left + beat * beatWidth;
  const xs = pinPlaces(walk.strokes, xOfBeat, scale);
  const pinsAbove = (tape: number): Pin[] =>
    withRises(
      walk.strokes.map((walked, i): Pin => {
        const { stroke, move, side, index } = walked;
        const shape = shapeOfFamily(move.family);
        return {
          index,
          x: xs[i]!,
          y: headHeight(walked, shape, tape, scale),
          shape,
          side,
          by: stroke.by,
          feint: stroke.feint,
          power: stroke.power,
          shout: stroke.shout,
          keptUp: stroke.keptUp,
          label: (numbered && numberOf(numbered, move, side)?.toString()) ?? move.say.short,
          rise: 0,
          from: stroke.from,
          to: stroke.to,
        };
      }),
      scale,
    );
  const usual = scale.top + scale.heights.head + scale.head;
  const least = Math.min(0, ...pinsAbove(usual).map((pin) => labelY(pin, scale) - scale.label));
  const tapeY = usual - least;
  const pins = pinsAbove(tapeY);
  const whole = Math.floor(beats + 1e-9);
  return {
    width: xOfBeat(beats) + scale.right,
    height:
      tapeY +
      scale.tape +
      Math.max(scale.below, pins.some(hangs) ? scale.head * 3 + 1 + labelRoom(scale) : 0) +
      Math.max(0, ...pins.filter(hangs).map(({ rise }) => rise)),
    tapeY,
    beatWidth,
    xOfBeat,
    pins,
    pieces: tapePieces(walk, lead, xs, xOfBeat(beats)),
    notches: Array.from({ length: whole * 2 }, (_, i) => ({
      x: xOfBeat(i / 2),
      beat: i % 2 === 0 ? i / 2 + 1 : null,
    })),
    levels: pins.filter((pin) => pin.by === 'fighter' && ['round', 'wedge', 'spike'].includes(pin.shape)),
  };
}

/** A label and the air around it. */
const labelRoom = ({ label }: StripScale): number => (label === 0 ? 0 : label + 5);

/** The holder's pins hang below the tape. */
const hangs = ({ by }: Pin): boolean => by === 'holder';

function pinPlaces(
  strokes: readonly WalkedStroke[],
  xOfBeat: (beat: number) => number,
  scale: StripScale,
): number[] {
  const xs: number[] = [];
  for (const stroke of strokes) {
    const x = xOfBeat(toNumber(stroke.beat));
    xs.push(stroke.together && xs.length > 0 ? xs.at(-1)! + scale.head * TOGETHER : x);
  }
  return xs;
}

/** What lands, as the head of a pin shows it. */
export function shapeOfFamily(family: Family): HeadShape {
  switch (family) {
    case 'punch':
    case 'open-hand':
      return 'round';
    case 'kick':
      return 'wedge';
    case 'knee':
    case 'elbow':
      return 'spike';
    case 'block':
    case 'evasion':
    case 'clinch':
      return 'bar';
    case 'step':
    case 'stance':
      return 'foot';
    default:
      return family satisfies never;
  }
}

function headHeight(stroke: WalkedStroke, shape: HeadShape, tapeY: number, scale: StripScale): number {
  const middle = tapeY + scale.tape / 2;
  if (stroke.stroke.by === 'holder') return tapeY + scale.tape + scale.head * 2;
  if (shape === 'foot') return middle;
  return tapeY - scale.heights[stroke.level ?? 'body'];
}

/** The tape's shade changes a third of the way from the stroke that changed the lead to the next one. */
function tapePieces(walk: Walk, lead: Lead, xs: readonly number[], end: number): TapePiece[] {
  const pieces: TapePiece[] = [];
  let from = 0;
  let now = lead;
  for (const change of walk.leadChanges) {
    const x = xs[change.stroke]!;
    const next = xs.slice(change.stroke + 1).find((other) => other > x) ?? end;
    const at = x + (next - x) / 3;
    pieces.push({ from, to: at, lead: now });
    from = at;
    now = change.to;
  }
  pieces.push({ from, to: end, lead: now });
  return pieces;
}

/** The foot of a pin's label. */
export function labelY(pin: Pin, scale: StripScale): number {
  if (pin.by === 'holder') return pin.y + scale.head + scale.label + pin.rise;
  const above = pin.shape === 'foot' ? scale.tape / 2 + 8 : scale.head * (pin.shout ? 2.3 : 1.4) + 4;
  return pin.y - above - pin.rise;
}

/** Labels that would touch others before them stand higher. */
function withRises(pins: readonly Pin[], scale: StripScale): Pin[] {
  if (scale.label === 0) return [...pins];
  const placed: Pin[] = [];
  const half = ({ label }: Pin): number => (label.length * scale.label * LETTER) / 2 + 2;
  for (const pin of pins) {
    let risen = pin;
    const touches = (other: Pin): boolean =>
      Math.abs(other.x - risen.x) < half(other) + half(risen) &&
      Math.abs(labelY(other, scale) - labelY(risen, scale)) < scale.label;
    while (placed.some(touches)) risen = { ...risen, rise: risen.rise + scale.label * 0.5 };
    placed.push(risen);
  }
  return placed;
}
