import { findMove } from '../../../moves/index.ts';
import { MOST_COUNTED, USUAL_COUNT_BLOCK, countedLength, type CountBlock } from '../../../rounds/index.ts';
import type { Seconds } from '../../../units/index.ts';
import { fittingShape, isTooMuch } from '../choice/fittingShape.ts';
import { shapeOf } from '../choice/lineShape.ts';
import type { DraftClass, DraftGroup } from '../draftedClass.ts';
import type { PlainRound } from '../plainRound.ts';
import type { ListedTechnique } from '../wish.ts';

/** A technique takes this share of the class at most. */
const MOST_SHARE = 0.11;

/** A technique of a grade, ready to be counted. */
export type CountedTechnique = Pick<CountBlock, 'title' | 'line' | 'reps' | 'sides' | 'sets' | 'rest'>;

/**
 * A technique of a grade's list as it is counted in a class; null when its move is not in the book. `combo` is the one that it names.
 *
 * @example
 * countedTechnique({ move: 'r:round', reps: 15, sides: 'both', sets: 2, restSeconds: 20 }, undefined, book).title // 'Round kick'
 */
export function countedTechnique(
  { move, reps, sides, sets, restSeconds }: Omit<ListedTechnique, 'comboId'>,
  combo: { readonly title: string; readonly line: string } | undefined,
  book: DraftClass['gym']['book'],
): CountedTechnique | null {
  const counts = { reps: Math.min(MOST_COUNTED, reps), sides, sets, rest: restSeconds };
  if (combo) return { ...counts, title: combo.title, line: combo.line };
  const line = move ?? '';
  const found = findMove(book, line.replace(/^[fr]:/, ''));
  return found ? { ...counts, title: found.move.name, line } : null;
}

/** One technique of each group on one count, the theme's first; null where no list has one that fits. */
export function techniqueRound(of: DraftClass, nth: number): PlainRound | null {
  const chosen = of.groups.flatMap((group) => {
    const ranked = rankedTechniques(group, of);
    return ranked.length === 0
      ? []
      : [{ group, technique: ranked[nth % ranked.length]!, isFresh: nth < ranked.length }];
  });
  const [base, ...others] = chosen;
  if (!base?.isFresh) return null;
  const groups = others.map(({ group, technique }) => ({
    group: group.name,
    reps: technique.reps,
    line: technique.line,
  }));
  const block = withinTime(base.technique, groups, of);
  if (!block) return null;
  // Who has no list does what the first group does, where the band may.
  const does = of.groups.filter(
    ({ name, youth }) =>
      chosen.some(({ group }) => group.name === name) ||
      youth === null ||
      !isTooMuch(base.technique.line, youth, of.gym.book),
  );
  const who = does.length < of.groups.length ? { who: does.map(({ name }) => name) } : {};
  const own = others.map(({ group, technique }) => `${group.name}: ${technique.title}`);
  const isOfTheme = of.theme.fits(null, shapeOf(base.technique.line, of.gym.book)!) > 0;
  const why = isOfTheme ? `Of “${of.theme.words.join(', ')}”` : `What ${base.group.name} trains`;
  return {
    kind: 'technique',
    title: base.technique.title,
    work: [{ ...block, ...who }],
    turns: null,
    why: `${why}: ${base.technique.title}, ${block.reps}${block.sides === 'both' ? ' a side' : ''}.${own.length > 0 ? ` ${own.join('; ')}.` : ''}`,
  };
}

/** What of a group's list fits this class: the theme's first, then as the seed has it. */
function rankedTechniques(group: DraftGroup, { gym, theme, bounds }: DraftClass): CountedTechnique[] {
  const turned = new Map<CountedTechnique, number>();
  const fitting = group.gradeIds
    .flatMap((id) => gym.techniques[id] ?? [])
    .flatMap((technique) => {
      const combo = gym.combos.find(({ id }) => id === technique.comboId);
      const counted = countedTechnique(technique, combo, gym.book);
      const shape = counted && fittingShape(counted.line, gym, { ...bounds, noSpins: true }, group.youth);
      if (!counted || !shape) return [];
      // What strikes is done on both sides, whatever the list says of one: a class is even.
      const isStruck = Object.values(shape.shares).some((share) => share > 0);
      const even: CountedTechnique = { ...counted, sides: isStruck ? 'both' : counted.sides };
      turned.set(even, theme.fits(combo ?? null, shape));
      return [even];
    });
  const from = Math.floor(group.firstTechnique * fitting.length);
  const rotated = [...fitting.slice(from), ...fitting.slice(0, from)];
  return rotated.sort((a, b) => turned.get(b)! - turned.get(a)!);
}

/** A technique by parts and in all its sets if there is time for it, else in fewer sets, fewer times, on one count; null when never. */
function withinTime(
  technique: CountedTechnique,
  groups: CountBlock['groups'],
  { minutes, gym, lengths }: DraftClass,
): CountBlock | null {
  const most: Seconds = Math.max(40, minutes * 60 * MOST_SHARE);
  for (const method of ['build-up', 'whole'] as const)
    for (const share of [1, 0.66, 0.5, 0.34])
      for (let sets = technique.sets; sets >= 1; sets--) {
        const fewer = (reps: number): number => Math.max(3, Math.round(reps * share));
        const block: CountBlock = {
          ...USUAL_COUNT_BLOCK,
          ...technique,
          ...{ id: 'work', seconds: 0, sets, method, reps: fewer(technique.reps) },
          groups: groups.map((group) => ({ ...group, reps: fewer(group.reps) })),
        };
        const seconds = Math.max(5, countedLength(block, gym.book, gym.factor) ?? Infinity);
        if (seconds <= Math.min(most, lengths.most)) return { ...block, seconds };
      }
  return null;
}
