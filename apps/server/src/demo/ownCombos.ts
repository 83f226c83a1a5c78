import { analyseCombo, cleanWhenRepeated, PACE_FACTORS } from '@eurhythm/core/body';
import { starterBook } from '@eurhythm/core/moves';
import { cycleLength } from '@eurhythm/core/rounds';
import type { AnyBlockDto, RoundDto } from '@eurhythm/contract';
import { COMBOS, GRADES, type DemoCombo } from './saltmarsh.ts';

/** As fast as each combo is clean when it is repeated: at the pace of a club, of children at that of a novice. */
const CLEAN_AT = new Map(COMBOS.map((combo) => [combo.id, cleanAt(combo)]));

function cleanAt(combo: DemoCombo): number {
  const analysis = analyseCombo(combo.line, starterBook(), 'left');
  if (!analysis.ok) throw new Error(`${combo.line}: ${analysis.errors[0]!.message}`);
  const isChild = GRADES.find(({ id }) => id === combo.gradeId)!.band === 'children';
  const factor = isChild ? PACE_FACTORS.novice : PACE_FACTORS.club;
  const { walk } = analysis;
  return cleanWhenRepeated(walk, cycleLength(walk, 'left', combo), { factor })?.bpm ?? Infinity;
}

/**
 * The rounds of a class in which everybody is: to one clock, each grade does combos of its own that are clean at its tempo; by turns,
 * so that none is forgotten.
 */
export function eachTheirOwn(rounds: readonly RoundDto[], turn: number): RoundDto[] {
  return rounds.map((round, i) => ({
    ...round,
    blocks: round.blocks.map((block) => withLanes(block, turn + i)),
  }));
}

function withLanes(block: AnyBlockDto, turn: number): AnyBlockDto {
  // Only a block of combos can have lanes.
  if (!('cyclesEach' in block)) return block;
  const ofBlock = COMBOS.find(({ id }) => id === block.combos[0]!.comboId)!.gradeId;
  const lanes = GRADES.filter(({ id }) => id !== ofBlock).flatMap(({ id, name }) => {
    const own = COMBOS.filter(
      (combo) => combo.gradeId === id && combo.variant === null && CLEAN_AT.get(combo.id)! >= block.bpm,
    );
    const combos = block.combos.slice(0, own.length).map((_, i) => own[(turn + i) % own.length]!);
    return combos.length === 0 ? [] : [{ group: name, combos: combos.map((each) => ({ comboId: each.id })) }];
  });
  return { ...block, lanes };
}
