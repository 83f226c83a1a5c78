import type { Level, Side } from '../moves/index.ts';
import type { Beats } from '../units/index.ts';

/** Character offsets in the text of a line, `to` exclusive. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

export type Gap = { readonly kind: 'beats'; readonly beats: Beats } | { readonly kind: 'together' };

export interface Stroke extends Span {
  readonly kind: 'stroke';
  /** The word as written: a number of the map or a code of the book. */
  readonly word: string;
  readonly by: 'fighter' | 'holder';
  /** Side as written with `f:` or `r:`. */
  readonly side: Side | null;
  readonly feint: boolean;
  readonly conditional: boolean;
  /** `^`: same leg as the kick before, not put down in between. */
  readonly keptUp: boolean;
  /** Level as written with `@`. */
  readonly level: Level | null;
  readonly step: 'through' | 'back' | null;
  readonly power: 'touch' | 'normal' | 'full';
  readonly shout: boolean;
}

export interface Rest extends Span {
  readonly kind: 'rest';
  readonly beats: Beats;
}

export interface Bracket extends Span {
  readonly kind: 'free' | 'hold';
  readonly beats: number;
}

export interface Say extends Span {
  readonly kind: 'say';
  readonly words: string;
}

export interface Group extends Span {
  readonly kind: 'group';
  readonly entries: readonly Entry[];
  /** Comments between the last item and the closing brace. */
  readonly tail: readonly string[];
  readonly times: number;
}

export type Item = Stroke | Rest | Bracket | Say | Group;

/** An item with what stands before it. The first entry has no gap; after an item with a length of its own the gap is null. */
export interface Entry {
  readonly gap: Gap | null;
  readonly comments: readonly string[];
  readonly item: Item;
}

/** A parsed line. `tail` holds the comments behind the last item. */
export interface BeatLine {
  readonly entries: readonly Entry[];
  readonly tail: readonly string[];
}

/** A fault of the text, reported so that a coach can mend it. */
export interface LineError extends Span {
  readonly message: string;
  /** What could stand here instead, in a few words. */
  readonly expected: string;
  /** The nearest known code or number, when one is close. */
  readonly hint: string | null;
}

export type ParsedLine =
  | { readonly ok: true; readonly line: BeatLine }
  | { readonly ok: false; readonly errors: readonly LineError[] };

export const LINE_LIMITS = {
  characters: 400,
  /** Strokes after repeats. */
  strokes: 200,
  nesting: 3,
  repeats: { min: 2, max: 50 },
  bracketBeats: { min: 1, max: 64 },
  /** Numerator and denominator of a written gap. */
  gapPart: { min: 1, max: 16 },
} as const;

/**
 * Whether the item's own length stands in place of the gap after it.
 *
 * @example
 * hasOwnLength(line('1 .').entries[1].item) // true
 */
export function hasOwnLength(item: Item): boolean {
  if (item.kind === 'group') {
    const last = item.entries.at(-1);
    return last !== undefined && hasOwnLength(last.item);
  }
  return item.kind !== 'stroke';
}
