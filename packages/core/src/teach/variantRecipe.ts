import { PACE_FACTORS, type Audience } from '../body/index.ts';
import { formatLine, parseLine, type BeatLine } from '../line/index.ts';
import type { MoveBook } from '../moves/index.ts';
import { writtenStrokes } from './rewrite/rewriteLine.ts';
import { orders } from './orders.ts';
import { easier, easierAt, harder, opposite } from './forms/index.ts';
import { even, grow, light, power } from './variants.ts';

/** The forms that change the line of a combo, and so can be kept as combos of their own. */
export const RECIPE_KINDS = [
  'even',
  'light',
  'power',
  'easier',
  'harder',
  'opposite',
  'grow',
  'order',
] as const;
export type RecipeKind = (typeof RECIPE_KINDS)[number];

/** How a variant is made from its parent's line. */
export interface VariantRecipe {
  readonly kind: RecipeKind;
  /**
   * `grow`: how many steps of growing, from 1; `order`: the place among the ranked orders, from 0; `power`: the accented
   * stroke among the written ones, the last strike when null; `easier`: the written stroke that alone becomes easier, the
   * whole line when null; `harder`: the place among what would make it harder, from 0. Null for the others.
   */
  readonly step: number | null;
}

/**
 * The line that a recipe makes of its parent's now, in canonical spelling; null when it makes none (the parent cannot
 * be read, is too short for the step, or nothing of it is easy enough for the audience).
 *
 * @example
 * makeVariant('1-2', { kind: 'even', step: null }, book, ANYBODY) // '1 2'
 */
export function makeVariant(
  parent: string,
  recipe: VariantRecipe,
  book: MoveBook,
  audience: Audience,
): string | null {
  const parsed = parseLine(parent, book);
  if (!parsed.ok) return null;
  const made = lineOf(parsed.line, recipe, book, audience);
  return made === undefined || made === '' ? null : made;
}

function lineOf(
  line: BeatLine,
  { kind, step }: VariantRecipe,
  book: MoveBook,
  audience: Audience,
): string | undefined {
  switch (kind) {
    case 'even':
      return even(line);
    case 'light':
      return light(line, book);
    case 'power':
      return power(line, book, step ?? undefined);
    case 'easier':
      return step === null ? easier(line, book, audience).line : easierAt(line, book, step)?.line;
    case 'harder':
      return harder(line, book, audience)[step ?? 0]?.line;
    case 'opposite':
      return opposite(line, book).line;
    case 'grow':
      return grow(line)[(step ?? 1) - 1];
    case 'order':
      return orders(wordsOf(line), book, 'left', PACE_FACTORS.sharp)[step ?? 0]?.line;
    default:
      return kind satisfies never;
  }
}

/**
 * Each written stroke as a line of its own spells it: what `orders` puts into other orders.
 *
 * @example
 * wordsOf(line('1 2 r:round')) // ['1', '2', 'r:round']
 */
export function wordsOf(line: BeatLine): string[] {
  return writtenStrokes(line).map((stroke) =>
    formatLine({
      entries: [{ gap: null, comments: [], item: { ...stroke, conditional: false, keptUp: false } }],
      tail: [],
    }),
  );
}

/**
 * Whether a variant's line is still what its recipe makes of the parent: one that was edited goes its own way.
 *
 * @example
 * followsParent('1 2', '1-2', { kind: 'even', step: null }, book, ANYBODY) // true
 */
export function followsParent(
  own: string,
  parent: string,
  recipe: VariantRecipe,
  book: MoveBook,
  audience: Audience,
): boolean {
  const parsed = parseLine(own, book);
  return parsed.ok && formatLine(parsed.line) === makeVariant(parent, recipe, book, audience);
}
