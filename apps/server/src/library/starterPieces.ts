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
  kind: 'count',
  seconds: 5,
  title,
  line,
  reps,
  groups: [],
  sides: 'both',
  sets: 1,
  rest: 20,
  repSeconds: null,
  method: 'whole',
  direction: 'up',
  levels: 'fixed',
  from: 'standing',
  shoutLast: true,
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
  kind: 'condition',
  seconds,
  title,
  reps: null,
  groups: [],
  repSeconds: 2,
  ...more,
});

export const called = (
  title: string,
  line: string,
  seconds: number,
  bpm: number,
  more: Partial<Own<'combo'>> = {},
): Piece => ({
  kind: 'combo',
  seconds,
  combos: [{ line, title }],
  bpm,
  calls: 'on-beat',
  words: 'names',
  leadPlan: 'halves',
  cyclesEach: 4,
  ...more,
});

export const burst = (title: string): Piece => ({ kind: 'burst', seconds: 10, title });

export const shadow = (seconds: number, prompts: string[]): Piece => ({
  kind: 'free',
  seconds,
  prompts,
  every: { min: 8, max: 14 },
  leadPlan: 'halves',
});

/** A round of these pieces; the ids of its blocks follow from its own. */
export function round(id: string, title: string, kind: RoundKind, pieces: readonly Piece[]): RoundDto {
  const blocks = pieces.map((piece, i) => ({ ...piece, id: `${id}-${i + 1}` }) as AnyBlockDto);
  return { id, title, kind, blocks };
}
