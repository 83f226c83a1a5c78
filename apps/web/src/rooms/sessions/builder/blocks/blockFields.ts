import type { BlockKind } from './newBlock.ts';

/** A field of a block's settings. `name` is its path in the block. */
export type BlockField =
  | {
      readonly kind: 'text' | 'long' | 'line';
      readonly name: string;
      readonly label: string;
      readonly hint?: string;
    }
  | {
      readonly kind: 'number';
      readonly name: string;
      readonly label: string;
      readonly hint?: string;
      /** Empty means null instead of nothing typed yet. */
      readonly orNull?: true;
    }
  | {
      readonly kind: 'choice';
      readonly name: string;
      readonly label: string;
      readonly choices: readonly { readonly value: string; readonly label: string }[];
    }
  | { readonly kind: 'tick'; readonly name: string; readonly label: string }
  | { readonly kind: 'groups'; readonly name: string; readonly label: string };

const SIDES = {
  kind: 'choice',
  name: 'sides',
  label: 'Sides',
  choices: [
    { value: 'both', label: 'Each side' },
    { value: 'one', label: 'In all' },
  ],
} as const;

/** The settings of the kinds that are plain lists of fields. Combos and shadow have forms of their own. */
export const BLOCK_FIELDS: Readonly<
  Record<Exclude<BlockKind, 'combo' | 'free' | 'rest'>, readonly BlockField[]>
> = {
  count: [
    { kind: 'text', name: 'title', label: 'What is done' },
    { kind: 'line', name: 'line', label: 'Move or line', hint: 'r:round, 8, or 1 2-3' },
    { kind: 'number', name: 'reps', label: 'Times' },
    SIDES,
    { kind: 'number', name: 'sets', label: 'Sets' },
    { kind: 'number', name: 'rest', label: 'Rest between, s' },
    {
      kind: 'choice',
      name: 'method',
      label: 'Counted',
      choices: [
        { value: 'whole', label: 'One count for the whole' },
        { value: 'parts', label: 'Each part' },
        { value: 'build-up', label: 'Parts, joined, fast' },
      ],
    },
    {
      kind: 'choice',
      name: 'direction',
      label: 'Count',
      choices: [
        { value: 'up', label: 'Up' },
        { value: 'down', label: 'Down' },
      ],
    },
    {
      kind: 'choice',
      name: 'levels',
      label: 'Heights',
      choices: [
        { value: 'fixed', label: 'As the move' },
        { value: 'in-turn', label: 'Head, body, low in turn' },
        { value: 'rising', label: 'Rising from set to set' },
      ],
    },
    {
      kind: 'choice',
      name: 'from',
      label: 'From',
      choices: [
        { value: 'standing', label: 'Standing' },
        { value: 'kneeling', label: 'Kneeling' },
        { value: 'seated', label: 'Seated' },
      ],
    },
    {
      kind: 'number',
      name: 'repSeconds',
      label: 'Seconds each',
      hint: 'empty: as the book says',
      orNull: true,
    },
    { kind: 'tick', name: 'shoutLast', label: 'Shout on the last' },
    { kind: 'groups', name: 'groups', label: 'Groups, such as Minnows 15, Ebb 25' },
  ],
  burst: [{ kind: 'text', name: 'title', label: 'What is done' }],
  hold: [
    { kind: 'text', name: 'title', label: 'What is held' },
    { kind: 'number', name: 'holdSeconds', label: 'Seconds each' },
    SIDES,
    { kind: 'number', name: 'times', label: 'Times' },
  ],
  react: [
    { kind: 'text', name: 'call', label: 'Call', hint: 'empty: the holder’s own sign' },
    { kind: 'line', name: 'line', label: 'Answer' },
    { kind: 'number', name: 'every.min', label: 'Shortest wait, s' },
    { kind: 'number', name: 'every.max', label: 'Longest wait, s' },
    { kind: 'number', name: 'regular', label: 'Regular at first, s' },
  ],
  footwork: [
    { kind: 'line', name: 'there', label: 'Step there' },
    { kind: 'line', name: 'back', label: 'Step back' },
    { kind: 'number', name: 'steps', label: 'Steps' },
    { kind: 'line', name: 'strike', label: 'Strike on the last', hint: 'empty: none' },
    { kind: 'number', name: 'room', label: 'Room, steps', hint: 'empty: plenty', orNull: true },
    { kind: 'number', name: 'bpm', label: 'Beats a minute' },
  ],
  condition: [
    { kind: 'text', name: 'title', label: 'Exercise' },
    { kind: 'number', name: 'reps', label: 'Times', hint: 'empty: by the clock', orNull: true },
    { kind: 'number', name: 'repSeconds', label: 'Seconds each' },
    { kind: 'groups', name: 'groups', label: 'Groups, such as Minnows 15, Ebb 25' },
  ],
  talk: [
    { kind: 'text', name: 'title', label: 'About' },
    { kind: 'long', name: 'notes', label: 'Notes' },
  ],
};
