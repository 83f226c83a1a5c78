import { findMove, type MoveBook } from '@eurhythm/core/moves';
import { isCounted, type DraftTechnique } from '@eurhythm/core/plan';
import { ROUND_LIMITS, countedLength, type Block, type BlockCombo } from '@eurhythm/core/rounds';
import type { AnyBlockDto, ComboBlockDto, ComboRefDto } from './blocks.ts';
import type { ComboView } from './combos.ts';
import type { TechniqueDto } from './grades.ts';
import { isRightBlock } from './rightBlock.ts';

const SHORTEST = ROUND_LIMITS.blockSeconds.min;
/** The voice has words up to here. */
const MOST_COUNTED = 99;

/** The block with the length that its counts need at this pace, where it is counted; a half-typed one stays as it is. */
export function withExactLength(block: AnyBlockDto, book: MoveBook, factor: number): AnyBlockDto {
  if (!isCounted(block)) return block;
  // Its own length may be what is wrong: it is worked out here.
  const isRight = isRightBlock({ ...block, seconds: SHORTEST });
  const seconds = isRight ? countedLength(plannedBlock(block, new Map()), book, factor) : null;
  return seconds === null ? block : { ...block, seconds: Math.max(SHORTEST, seconds) };
}

/** A block as the planner reckons with it: its combos filled in; those that are gone are left out. */
export function plannedBlock(block: AnyBlockDto, combos: ReadonlyMap<string, ComboView>): Block {
  if (block.kind === 'rest') return { ...block, next: block.next ?? '' };
  if (block.kind !== 'combo') return block;
  const filled = (refs: readonly ComboRefDto[]): BlockCombo[] =>
    refs.flatMap((ref, i) => plannedCombo(ref, `${block.id}-${i}`, combos) ?? []);
  return {
    ...block,
    combos: filled(block.combos),
    lanes: (block.lanes ?? []).map((lane) => ({ group: lane.group, combos: filled(lane.combos) })),
  };
}

/** What a reference stands for: a combo of the book, or the line that it brings itself; null when the combo is gone. */
export function plannedCombo(
  ref: ComboRefDto,
  id: string,
  combos: ReadonlyMap<string, ComboView>,
): BlockCombo | null {
  if (ref.comboId === undefined)
    return { id, grade: '', number: 1, title: ref.title ?? '', line: ref.line ?? '', beatsPerBar: 4 };
  const combo = combos.get(ref.comboId);
  if (!combo) return null;
  const { grade, number, title, line, beatsPerBar, cycleBeats } = combo;
  return { id: combo.id, grade, number, title, line, beatsPerBar, cycleBeats };
}

/** A technique of a grade as it is counted in a class; null when its move is not in the book. */
export function countedTechnique(
  { move, reps, sides, sets, restSeconds }: TechniqueDto,
  combo: ComboView | undefined,
  book: MoveBook,
): DraftTechnique | null {
  const counts = { reps: Math.min(MOST_COUNTED, reps), sides, sets, rest: restSeconds };
  if (combo) return { ...counts, title: combo.title, line: combo.line };
  const line = move ?? '';
  const found = findMove(book, line.replace(/^[fr]:/, ''));
  return found ? { ...counts, title: found.move.name, line } : null;
}

/** Every combo that a block names, those of its groups too. */
export function comboRefs({ combos, lanes = [] }: ComboBlockDto): ComboRefDto[] {
  return [...combos, ...lanes.flatMap((lane) => lane.combos)];
}
