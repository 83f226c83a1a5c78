import type { ComponentType } from 'react';
import type { AnyBlockDto } from '@eurhythm/contract';
import type { NameOf } from '@eurhythm/core/rounds';
import type { SettingsProps } from './fields/settings.ts';

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
  | {
      readonly kind: 'words' | 'numbers';
      readonly name: string;
      readonly label: string;
      readonly hint?: string;
    }
  | {
      /** Groups that do something else. */
      readonly kind: 'groups';
      readonly name: string;
      readonly label: string;
      /** What is written about each: a line, an exercise. */
      readonly what: 'line' | 'title';
      /** Whether each has its own number of them. */
      readonly counted?: true;
    };

export interface LaneText {
  readonly text: string;
  /** The same where there is little room. */
  readonly short: string;
  /** Share of the block in which the group works; the rest is bonus. */
  readonly share: number;
}

/** How one kind of block is called, set and reported on the pages. `B` is the block as it is kept. */
export interface BlockPage<B extends AnyBlockDto> {
  /** What it is for, in a few words. */
  readonly what: string;
  /** What its time is called. */
  readonly timeName?: string;
  /** Its settings: a plain list of fields, or a form of its own. */
  readonly fields?: readonly BlockField[];
  readonly Settings?: ComponentType<SettingsProps<B>>;
  /** Whether a card draws the strips of its first combos, and says what each group does. */
  readonly isDrawnOnCard?: true;
  /** What a group does of its own in it; null when it does what everybody does. */
  lane?(block: B, group: string, nameOf: NameOf): LaneText | null;
}

export const SIDES_FIELD = {
  kind: 'choice',
  name: 'sides',
  label: 'Sides',
  choices: [
    { value: 'both', label: 'Each side' },
    { value: 'one', label: 'In all' },
  ],
} as const;

/** The groups of a block. */
export const GROUPS_FIELD = { kind: 'groups', name: 'groups', label: 'Groups' } as const;
