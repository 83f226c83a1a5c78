import type { Pin } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

/** Width of a letter of a label as a share of its height. */
const LETTER = 0.58;

/** A label and the air around it. */
export const labelRoom = ({ label }: StripScale): number => (label === 0 ? 0 : label + 5);

/** The foot of a pin's label. */
export function labelY(pin: Pin, scale: StripScale): number {
  if (pin.by === 'holder') return pin.y + scale.head + scale.label + pin.rise;
  const above = pin.shape === 'foot' ? scale.tape / 2 + 8 : scale.head * (pin.shout ? 2.3 : 1.4) + 4;
  return pin.y - above - pin.rise;
}

/** The feet before the first beat with the name of their lead, above the tape: the end of both, the top of the feet and the foot of the name. */
export function firstFeet({ label }: StripScale): {
  readonly length: number;
  readonly end: number;
  readonly top: number;
  readonly nameAt: number;
} {
  const length = label * 1.6;
  return { length, end: 2 + length * 1.75, top: label * 4.2, nameAt: label * 1.2 };
}

/** Labels that would touch others before them, or the feet at the start, stand higher. */
export function withRises(pins: readonly Pin[], tapeY: number, scale: StripScale): Pin[] {
  if (scale.label === 0) return [...pins];
  const placed: Pin[] = [];
  const feet = firstFeet(scale);
  const half = ({ label }: Pin): number => (label.length * scale.label * LETTER) / 2 + 2;
  for (const pin of pins) {
    let risen = pin;
    const touches = (other: Pin): boolean =>
      Math.abs(other.x - risen.x) < half(other) + half(risen) &&
      Math.abs(labelY(other, scale) - labelY(risen, scale)) < scale.label;
    const touchesFeet = (): boolean => {
      const foot = tapeY - labelY(risen, scale);
      return risen.x - half(risen) < feet.end && foot < feet.top && foot + scale.label > feet.nameAt;
    };
    while (touchesFeet() || placed.some(touches)) risen = { ...risen, rise: risen.rise + scale.label * 0.5 };
    placed.push(risen);
  }
  return placed;
}
