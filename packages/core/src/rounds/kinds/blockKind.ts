import type { MoveBook, Lead } from '../../moves/index.ts';
import type { Bpm, Seconds } from '../../units/index.ts';
import type { BlockTime, LayOutContext } from '../layOutContext.ts';
import type { CountWords } from '../roundSettings.ts';
import { NO_STRIKES, type StrikeCount } from '../strikeCount.ts';
import type { Scene, SceneGround } from '../scene.ts';
import type { BlockBase } from './blockBase.ts';
import type { BlockCombo, ComboRef } from './combo/comboBlock.ts';

/** A line that a block holds itself, and the field it is written in, as "line" or "lanes.0.combos.1". */
export interface WrittenLine {
  readonly field: string;
  readonly line: string;
}

/** A combo of the book that a block names, and the field in which it does. */
export interface NamedCombo {
  readonly field: string;
  readonly comboId: string;
}

/** What a block measures of a fighter: as many as fit into its seconds, or the time from calls to their answers. */
export type Measured =
  | { readonly kind: 'burst'; readonly title: string; readonly seconds: Seconds }
  | { readonly kind: 'reaction'; readonly calls: readonly string[] };

/** What everybody looks at while a block is done: its times through, the steps of its line, its scenes, or what comes next. */
export type BoardView = 'times' | 'steps' | 'scenes' | 'next';

/** A line of a sheet that somebody works by. */
export interface HandoutLine {
  /** Which group does it; everybody without it. */
  readonly who?: string;
  /** Grade and number of a combo of the book. */
  readonly name?: string;
  readonly text: string;
  /** Its lines, as they are written. */
  readonly lines: readonly string[];
  /** How long, as it is reported. */
  readonly time?: string;
}

/** From which lead something was done, and with which book. */
export interface WorkGround {
  readonly lead: Lead;
  readonly book: MoveBook;
}

/** Says which combo a block names, or brings with its line. */
export type NameOf = (combo: ComboRef) => string;

/**
 * Everything that is particular to one kind of block. `B` is the block with its combos filled in, `W` the block as it is
 * written and kept. A new kind is a folder with its block and this, and a line in the registry.
 */
export interface BlockKind<B extends BlockBase, W extends BlockBase = B> {
  /** How a coach calls it. */
  readonly name: string;
  /** Whether everybody stands: no bell rings for it, and no work goes on. */
  readonly isPause: boolean;
  /** Whether people rest, change places, and look for what comes next. */
  readonly isRest: boolean;
  /** What everybody looks at. */
  readonly board: BoardView;
  /** Whether a session that is fitted to its minutes may make it longer or shorter. */
  readonly stretches: boolean;
  /** A block as a coach would begin it. */
  usual(id: string): W;
  /** One line about it: what is done, and how much of it; a dash for a number that is still being typed. */
  tell(block: W, nameOf: NameOf): string;
  /** Whether its length follows from its counts, so that it is reported and not asked. */
  isCounted(block: W): boolean;
  /** Exact length of counted work at a pace; null for what goes by the clock. */
  length(block: W, book: MoveBook, factor: number, combos: ReadonlyMap<string, BlockCombo>): Seconds | null;
  /** The combos that it names, filled in; those that are not known are left out. */
  fill(block: W, combos: ReadonlyMap<string, BlockCombo>): B;
  named(block: W): readonly NamedCombo[];
  /** The lines that stand in its own fields. */
  written(block: W): readonly WrittenLine[];
  /** A block with the combos that were filled in named again: those of the book by their ids, others with their lines. */
  refer(block: B, isKnown: (comboId: string) => boolean): W;
  /** The block as one group does it: its own combos, line or number where it has any, and nothing of the other groups. */
  ofGroup(block: W, group: string): W;
  /** The combos weighed by how much each is needed, where their order asks for it. */
  weighed(block: B, needOf: (comboId: string) => number): B;
  /** The tempo of its combos; null for what has none. */
  bpm(block: W): Bpm | null;
  /** The tempo that it ends with: what a mark of it is about; null for what has none. */
  endBpm(block: W): Bpm | null;
  /** The highest tempo that it may reach; null for what has none. */
  fastest(block: B): Bpm | null;
  /** The most contact that it asks for, in percent of full power. */
  contact(block: B): number;
  /** What fighters are reminded of, in the coach's words. */
  prompts(block: B): readonly string[];
  /** How often a line follows itself before somebody has come back to where he began. */
  timesInARow(block: B): number;
  /** What has to be said before it begins, for it leaves no time for that; empty for most. */
  saidAhead(block: W): string;
  /** What it measures of a fighter, or of one of a group; null for most. */
  measures(block: W, of?: { readonly group: string; readonly book: MoveBook }): Measured | null;
  /** What is done in it, line by line, for a sheet; null for what is reported in one line. */
  handout(block: W, combos: ReadonlyMap<string, BlockCombo>): readonly HandoutLine[] | null;
  /** Every line that a fighter does in it, those of groups too. */
  done(block: B, book: MoveBook): readonly string[];
  /**
   * What somebody of a group has done in it, how many and on which side, in words; empty for what its named combos say, and
   * for what leaves the choice.
   */
  worked(block: W, group: string, from: WorkGround): readonly string[];
  /** The combos that its times through name, those of groups too, with the lines that are really done. */
  combos(block: B, book: MoveBook): readonly BlockCombo[];
  /** Names of groups that do something of their own. */
  groups(block: W): readonly string[];
  /** Whether its voice calls strokes by numbers. */
  callsNumbers(block: B): boolean;
  /** Every text that its voice may say. */
  texts(block: B, book: MoveBook, count: CountWords): Iterable<string>;
  /** Puts its cues, calls and findings into the layout. */
  layOut(block: B, time: BlockTime, context: LayOutContext): void;
  /** What there is to see of it, in order of time; none for what is drawn from its times through. */
  scenes(block: B, time: Pick<BlockTime, 'from' | 'to'>, ground: SceneGround): readonly Scene[];
  /** The stretches of work in it, which rests of its own part; one for most. */
  spells(block: W): readonly Seconds[];
  /** Strikes it asks of one fighter of its largest count; `as-compiled` for what goes by the beat and is counted there. */
  strikes(block: B, book: MoveBook, lead: Lead): StrikeCount | 'as-compiled';
}

/** What most kinds are: work by the clock, without lines, groups or strikes that anybody could foresee. */
export const BY_THE_CLOCK = {
  isPause: false,
  isRest: false,
  board: 'scenes',
  stretches: true,
  isCounted: () => false,
  saidAhead: () => '',
  callsNumbers: () => false,
  length: () => null,
  fill: <B>(block: B): B => block,
  refer: <B>(block: B): B => block,
  ofGroup: <B>(block: B): B => block,
  weighed: <B>(block: B): B => block,
  bpm: () => null,
  endBpm: () => null,
  fastest: () => null,
  contact: () => 0,
  prompts: () => [],
  timesInARow: () => 1,
  measures: () => null,
  handout: () => null,
  named: () => [],
  written: () => [],
  done: () => [],
  worked: () => [],
  combos: () => [],
  groups: () => [],
  scenes: () => [],
  spells: ({ seconds }: { readonly seconds: Seconds }): readonly Seconds[] => [seconds],
  strikes: () => NO_STRIKES,
} as const;
