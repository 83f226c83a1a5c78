import { walkStance } from '../../body/index.ts';
import { parseLine } from '../../line/index.ts';
import type { MoveBook } from '../../moves/index.ts';
import { USUAL_COUNT_BLOCK, countedLength, type CountBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { DraftGroup, DraftTechnique, DraftWish, DraftedRound } from './draftWish.ts';
import type { PickedCombo } from './pickCombos.ts';

/** From here on there is time for two techniques; each takes this share of the class at most. */
const LONG_CLASS = 50;
const TECHNIQUE_SHARE = 0.1;

/** Technique sets that prepare the combos: those whose move stands in one of them come first. */
export function techniqueRounds(
  base: DraftGroup,
  others: readonly DraftGroup[],
  picked: readonly PickedCombo[],
  wish: DraftWish,
  book: MoveBook,
): DraftedRound[] {
  const used = new Set(picked.flatMap(({ combo }) => codesOf(combo.line, book)));
  const ranked = base.techniques
    .map((technique) => ({
      technique,
      shared: codesOf(technique.line, book).filter((code) => used.has(code)).length,
    }))
    .sort((a, b) => b.shared - a.shared);
  const most = wish.minutes * 60 * TECHNIQUE_SHARE;
  return ranked
    .flatMap(({ technique, shared }): DraftedRound[] => {
      const block = countedWithin(technique, others, most, wish, book);
      if (!block) return [];
      return [
        {
          id: 'technique',
          title: technique.title,
          kind: 'technique',
          blocks: [block, { kind: 'rest', id: 'rest', seconds: 30, next: '' }],
          why: shared > 0 ? 'The combos of today need it.' : 'Stands in what this grade trains.',
        },
      ];
    })
    .slice(0, wish.minutes >= LONG_CLASS ? 2 : 1);
}

/** A technique by parts and in all its sets if there is time for it, else in fewer sets, else on one count; null when never. */
function countedWithin(
  technique: DraftTechnique,
  others: readonly DraftGroup[],
  most: Seconds,
  wish: DraftWish,
  book: MoveBook,
): CountBlock | null {
  const groups = others.flatMap((group) => {
    const same = group.techniques.find((each) => each.line === technique.line);
    return same ? [{ group: group.name, reps: same.reps }] : [];
  });
  for (const method of ['build-up', 'whole'] as const) {
    for (let sets = technique.sets; sets >= 1; sets--) {
      const block: CountBlock = {
        ...USUAL_COUNT_BLOCK,
        ...technique,
        id: 'technique',
        seconds: 0,
        sets,
        groups,
        method,
      };
      const seconds = Math.max(5, countedLength(block, book, wish.factor) ?? Infinity);
      if (seconds <= most) return { ...block, seconds };
    }
  }
  return null;
}

function codesOf(line: string, book: MoveBook): string[] {
  const parsed = parseLine(line, book);
  return parsed.ok ? walkStance(parsed.line, book, 'left').strokes.map(({ move }) => move.code) : [];
}
