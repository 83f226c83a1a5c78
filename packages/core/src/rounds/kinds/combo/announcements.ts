import { walkStance } from '../../../body/index.ts';
import { comboForms, numberWord, slowestClip, withoutSide, type ClipLibrary } from '../../../calls/index.ts';
import { parseLine } from '../../../line/index.ts';
import type { Lead, MoveBook } from '../../../moves/index.ts';
import type { Seconds } from '../../../units/index.ts';
import type { Layout } from '../../cue.ts';
import { intensityPhrase, switchForms } from '../../../calls/index.ts';
import type { BlockCombo, ComboBlock } from './comboBlock.ts';
import type { Stage } from './tempoOf.ts';

/** Length assumed for a call that the voice cannot say. */
const UNSPOKEN_CALL: Seconds = 1.2;
/** Silence between two announcements. */
const BETWEEN: Seconds = 0.12;

const STAGE_CALLS: Readonly<Record<Stage, string | null>> = {
  'as-set': null,
  parts: 'by parts',
  joined: 'joined, one count',
  fast: 'fast',
};

export function stageCall(stage: Stage): string | null {
  return STAGE_CALLS[stage];
}

/** What stands before a set: a change of lead, of contact or of stage, and the combo itself. */
export interface SetOpening {
  readonly combo: BlockCombo;
  readonly switchTo: Lead | null;
  readonly intensity: number | null;
  readonly stage: Stage | null;
  /** Groups that begin another combo of their own with this set. */
  readonly lanes: readonly { readonly group: string; readonly combo: BlockCombo }[];
}

/** So many strokes name a line that has no name. */
const MOST_NAMED = 4;

/** The combos that are announced beside one another, and whether their strokes are called by numbers. */
export interface Announced {
  readonly combos: readonly BlockCombo[];
  readonly isNumbered: boolean;
}

/**
 * What announces a combo: its grade and number, its title, or the moves that it begins with. Its number alone only where it
 * is no stroke, and no other one's.
 */
export function announcedForms(
  combo: BlockCombo,
  book: MoveBook,
  { combos, isNumbered }: Announced,
): string[] {
  const parsed = combo.grade === '' && combo.title === '' ? parseLine(combo.line, book) : null;
  if (!parsed?.ok) {
    const isAmong = combos.some(({ id, number }) => id !== combo.id && number === combo.number);
    const forms = comboForms(combo);
    const clear = forms.filter((form) => !(isNumbered || isAmong) || form !== numberWord(combo.number));
    return clear.length > 0 ? clear : forms;
  }
  const names = walkStance(parsed.line, book, 'left')
    .strokes.filter(({ stroke }) => stroke.by === 'fighter')
    .map(({ move }) => withoutSide(move.say.short));
  return [...new Set([names.slice(0, MOST_NAMED).join(', '), names.slice(0, 2).join(', ')])];
}

/** What calls a group to a combo of its own. */
export function laneForms(
  group: string,
  combo: BlockCombo,
  book: MoveBook,
  combos: readonly BlockCombo[],
): string[] {
  const name = group.toLowerCase();
  return [`${name}, ${announcedForms(combo, book, { combos, isNumbered: false }).at(-1)!}`, name];
}

/** What a block announces beside one another. */
export function announcedIn(block: Pick<ComboBlock, 'combos' | 'words' | 'calls'>): Announced {
  return { combos: block.combos, isNumbered: callsNumbers(block) };
}

/** Whether the strokes of a block are called by numbers. */
export function callsNumbers({ words, calls }: Pick<ComboBlock, 'words' | 'calls'>): boolean {
  return words === 'numbers' && (calls === 'on-beat' || calls === 'ahead');
}

const combosOfLane = ({ lanes = [] }: ComboBlock, group: string): readonly BlockCombo[] =>
  lanes.find((lane) => lane.group === group)?.combos ?? [];

/**
 * Asks for the calls that open a set, one after the other from `at`; gives the instant at which all are said. A silent
 * block says only what nobody can see: a change of lead or of contact.
 */
export function announceSet(
  block: ComboBlock,
  opening: SetOpening,
  at: Seconds,
  { book, library }: { readonly book: MoveBook; readonly library: ClipLibrary },
  layout: Layout,
): Seconds {
  const { combo, switchTo, intensity, stage } = opening;
  let clock = at;
  const say = (forms: readonly string[], kind: 'call' | 'stance', lead?: Lead): void => {
    const seconds = slowestClip(library, forms[0]!)?.seconds ?? UNSPOKEN_CALL;
    layout.calls.push({
      forms,
      priority: kind === 'stance' ? 'stance' : 'combo',
      place: { kind: 'end', at: clock + seconds, earliest: clock - 0.001 },
      cue: {
        kind,
        block: block.id,
        ...(lead === undefined ? { combo: combo.id } : { lead }),
      },
    });
    clock += seconds + BETWEEN;
  };
  if (switchTo) say(switchForms(switchTo), 'stance', switchTo);
  if (intensity !== null) say([intensityPhrase(intensity)], 'call');
  if (block.calls === 'silent') return clock;
  const staged = stage && stageCall(stage);
  if (staged) say([staged], 'call');
  const forms = announcedForms(combo, book, announcedIn(block));
  say(block.words === 'combo-number' ? forms.slice(-1) : forms, 'call');
  for (const { group, combo: own } of opening.lanes)
    say(laneForms(group, own, book, combosOfLane(block, group)), 'call');
  return clock - BETWEEN;
}
