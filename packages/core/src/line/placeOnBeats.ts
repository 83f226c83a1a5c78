import { ONE, ZERO, add, fraction, type Beats } from '../units/index.ts';
import type { BeatLine, Bracket, Entry, Rest, Say, Stroke } from './beatLine.ts';

/** A stroke, rest, bracket or spoken cue at its beat, repeats written out. */
export interface Placed<T extends Stroke | Rest | Bracket | Say = Stroke | Rest | Bracket | Say> {
  readonly item: T;
  readonly beat: Beats;
  /** Lands at the same instant as the item before it, by `+`. */
  readonly together: boolean;
}

export interface PlacedLine {
  readonly items: readonly Placed[];
  /** Where the clock stands at the end: the last impact, or the end of what has a length and stands last. */
  readonly beats: Beats;
}

/**
 * Lays a line out on the beats: the first item at 0, repeats one after the other.
 *
 * @example
 * toNumber(placeOnBeats(line('1 2-3')).beats) // 1.5
 */
export function placeOnBeats(line: BeatLine): PlacedLine {
  const items: Placed[] = [];
  let clock: Beats = ZERO;
  /** Whether the last item's own length has already moved the clock on, in place of a gap. */
  let movedOn = true;
  let first = true;

  const walk = (entries: readonly Entry[]): void => {
    for (const { gap, item } of entries) {
      // The first entry of a repeated group has no gap of its own: copies follow after one beat.
      const together = gap?.kind === 'together';
      if (!first && !movedOn && !together) clock = add(clock, gap?.kind === 'beats' ? gap.beats : ONE);
      first = false;
      movedOn = item.kind !== 'stroke';
      switch (item.kind) {
        case 'group':
          movedOn = true;
          for (let copy = 0; copy < item.times; copy++) walk(item.entries);
          break;
        case 'stroke':
        case 'say':
          items.push({ item, beat: clock, together });
          break;
        case 'rest':
          items.push({ item, beat: clock, together });
          clock = add(clock, item.beats);
          break;
        case 'free':
        case 'hold':
          items.push({ item, beat: clock, together });
          clock = add(clock, fraction(item.beats));
          break;
        default:
          item satisfies never;
      }
    }
  };
  walk(line.entries);
  return { items, beats: clock };
}

/**
 * @example
 * placeOnBeats(line('1 . 2')).items.filter(isPlacedStroke).length // 2
 */
export function isPlacedStroke(placed: Placed): placed is Placed<Stroke> {
  return placed.item.kind === 'stroke';
}
