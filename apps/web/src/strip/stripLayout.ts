import type { Walk, WalkedStroke } from '@eurhythm/core/body';
import { numberOf, type Family, type Lead, type MoveBook } from '@eurhythm/core/moves';
import { toNumber } from '@eurhythm/core/units';
import { labelRoom, labelY, withRises } from './stripLabels.ts';
import type { HeadShape, Pin, StripPicture, TapePiece } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

/** Pins that land at one instant stand this share of a head apart. */
const TOGETHER = 1.5;

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
  const laid: PinRow = { walk, xs, end: xOfBeat(beats), scale, numbered };
  const pinsAbove = (tape: number): Pin[] => withRises(pinsOf(laid, tape), tape, scale);
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

/** The strokes of a line and where they stand along the tape, which ends at `end`. */
interface PinRow {
  readonly walk: Walk;
  readonly xs: readonly number[];
  readonly end: number;
  readonly scale: StripScale;
  readonly numbered: MoveBook | null;
}

function pinsOf({ walk, xs, end, scale, numbered }: PinRow, tape: number): Pin[] {
  return walk.strokes.map((walked, i): Pin => {
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
      step: shape === 'foot' ? null : stroke.step,
      holdsTo: holdEnd(walk.strokes, i, xs, end),
      label: (numbered && numberOf(numbered, move, side)?.toString()) ?? move.say.short,
      rise: 0,
      from: stroke.from,
      to: stroke.to,
    };
  });
}

/** The holder's pins hang below the tape. */
const hangs = ({ by }: Pin): boolean => by === 'holder';

/** Where a hand lets go that took hold with this stroke. */
function holdEnd(
  strokes: readonly WalkedStroke[],
  i: number,
  xs: readonly number[],
  end: number,
): number | null {
  const { limb, after } = strokes[i]!;
  if (after.holding === null || limb !== `${after.holding}-hand`) return null;
  const to = strokes.findIndex(
    (later, j) => j > i && (later.after.holding !== after.holding || later.limb === limb),
  );
  return to === i + 1 ? null : to < 0 ? end : xs[to]!;
}

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
