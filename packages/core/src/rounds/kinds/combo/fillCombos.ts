import { clockText } from '../../../units/index.ts';
import type { HandoutLine, NamedCombo, WrittenLine } from '../blockKind.ts';
import type { BlockCombo, ComboBlock, ComboRef } from './comboBlock.ts';

/** Bar of a line that is no combo of the book. */
const OWN_LINE_BAR = 4;

/** A combo block as it is kept: it names combos instead of holding them. */
export type WrittenComboBlock = ComboBlock<ComboRef>;

/**
 * Combos as blocks need them, by their ids.
 *
 * @example
 * combosById([]).size // 0
 */
export function combosById(combos: readonly BlockCombo[]): Map<string, BlockCombo> {
  return new Map(
    combos.map(({ id, grade, number, title, line, beatsPerBar, cycleBeats = null }) => [
      id,
      { id, grade, number, title, line, beatsPerBar, cycleBeats },
    ]),
  );
}

/**
 * What a reference stands for: a combo of the book, or the line that it brings itself; null when the combo is gone.
 *
 * @example
 * comboOfRef({ line: '1 2' }, 'own', new Map()).id // 'own'
 */
export function comboOfRef(
  ref: ComboRef,
  ownId: string,
  combos: ReadonlyMap<string, BlockCombo>,
): BlockCombo | null {
  if (ref.comboId !== undefined) return combos.get(ref.comboId) ?? null;
  return {
    id: ownId,
    grade: '',
    number: 1,
    title: ref.title ?? '',
    line: ref.line ?? '',
    beatsPerBar: OWN_LINE_BAR,
  };
}

/** The block with its combos in the place of what names them; those that are gone are left out. Each line of its own has its own id. */
export function fillCombos(block: WrittenComboBlock, combos: ReadonlyMap<string, BlockCombo>): ComboBlock {
  const filled = (refs: readonly ComboRef[], under = block.id): BlockCombo[] =>
    refs.flatMap((ref, i) => comboOfRef(ref, `${under}-${i}`, combos) ?? []);
  return {
    ...block,
    combos: filled(block.combos),
    lanes: (block.lanes ?? []).map(({ group, combos: refs }, i) => ({
      group,
      combos: filled(refs, `${block.id}-lane${i}`),
    })),
  };
}

/** The block with its combos named again: those of the book by their ids, others with their lines. */
export function referCombos(block: ComboBlock, isKnown: (comboId: string) => boolean): WrittenComboBlock {
  const refs = (combos: readonly BlockCombo[]): ComboRef[] =>
    combos.map(({ id, line, title }) => (isKnown(id) ? { comboId: id } : { line, title }));
  const lanes = (block.lanes ?? []).map(({ group, combos }) => ({ group, combos: refs(combos) }));
  return { ...block, combos: refs(block.combos), lanes };
}

/** Its combos with those of each group, and how long at what tempo. */
export function handoutOfCombos(
  { combos: refs, lanes = [], seconds, bpm }: WrittenComboBlock,
  combos: ReadonlyMap<string, BlockCombo>,
): HandoutLine[] {
  const listed = (each: readonly ComboRef[], who = ''): HandoutLine[] =>
    each.map((ref) => {
      const combo = combos.get(ref.comboId ?? '');
      const name = combo ? `${combo.grade} ${combo.number}`.trim() : '';
      return {
        who,
        name,
        text: combo?.title ?? ref.title ?? '',
        lines: [combo?.line ?? ref.line ?? ''],
      };
    });
  return [
    ...listed(refs),
    ...lanes.flatMap((lane) => listed(lane.combos, lane.group)),
    { text: `${clockText(seconds)} at ${bpm} a minute`, lines: [] },
  ];
}

/** Every reference of a block with its field, those of its groups too. */
function placedRefs({ combos, lanes = [] }: WrittenComboBlock): { field: string; ref: ComboRef }[] {
  const placed = (refs: readonly ComboRef[], under: string) =>
    refs.map((ref, i) => ({ field: `${under}combos.${i}`, ref }));
  return [...placed(combos, ''), ...lanes.flatMap((lane, i) => placed(lane.combos, `lanes.${i}.`))];
}

export function namedCombos(block: WrittenComboBlock): NamedCombo[] {
  return placedRefs(block).flatMap(({ field, ref: { comboId } }) =>
    comboId === undefined ? [] : [{ field, comboId }],
  );
}

export function ownLines(block: WrittenComboBlock): WrittenLine[] {
  return placedRefs(block).flatMap(({ field, ref: { comboId, line = '' } }) =>
    comboId === undefined ? [{ field, line }] : [],
  );
}
