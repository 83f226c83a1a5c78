import {
  USUAL_COMBO_BLOCK,
  USUAL_CONDITION_BLOCK,
  USUAL_COUNT_BLOCK,
  USUAL_FREE_BLOCK,
} from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto, RoundKind } from '@eurhythm/contract';

/** Short ways to write the blocks of the starter library. Lengths of counted blocks are worked out when they are served. */
type Own<K extends AnyBlockDto['kind']> = Omit<Extract<AnyBlockDto, { kind: K }>, 'id' | 'kind' | 'seconds'>;

/** A block whose id comes from its place. */
export type Piece = AnyBlockDto extends infer B ? (B extends AnyBlockDto ? Omit<B, 'id'> : never) : never;

export const talk = (title: string, notes: string, seconds = 30): Piece => ({
  kind: 'talk',
  seconds,
  title,
  notes,
});

export const rest = (seconds: number): Piece => ({ kind: 'rest', seconds });

export const counted = (
  title: string,
  line: string,
  reps: number,
  more: Partial<Own<'count'>> = {},
): Piece => ({
  ...USUAL_COUNT_BLOCK,
  seconds: 5,
  title,
  line,
  reps,
  groups: [],
  sets: 1,
  ...more,
});

export const held = (title: string, holdSeconds: number, sides: 'both' | 'one' = 'both'): Piece => ({
  kind: 'hold',
  seconds: 5,
  title,
  holdSeconds,
  sides,
  times: 1,
});

export const exercise = (title: string, seconds: number, more: Partial<Own<'condition'>> = {}): Piece => ({
  ...USUAL_CONDITION_BLOCK,
  seconds,
  title,
  reps: null,
  groups: [],
  ...more,
});

export const called = (
  title: string,
  line: string,
  seconds: number,
  bpm: number,
  more: Partial<Own<'combo'>> = {},
): Piece => ({
  ...USUAL_COMBO_BLOCK,
  seconds,
  combos: [{ line, title }],
  bpm,
  words: 'names',
  ...more,
});

export const burst = (title: string): Piece => ({ kind: 'burst', seconds: 10, title });

export const shadow = (seconds: number, prompts: string[], more: Partial<Own<'free'>> = {}): Piece => ({
  ...USUAL_FREE_BLOCK,
  seconds,
  prompts,
  ...more,
});

/** A round of these pieces; the ids of its blocks follow from its own. */
export function round(id: string, title: string, kind: RoundKind, pieces: readonly Piece[]): RoundDto {
  const blocks = pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` }) as AnyBlockDto);
  return { id, title, kind, blocks };
}
