import { pick, type RandomSource } from '../../../units/index.ts';
import type { BlockCombo, ComboOrder } from './comboBlock.ts';

/**
 * Gives the combos of a block one after the other, without end. Shuffled: each once, in another order each time, and
 * never the same twice in a row while there are others. By need: drawn with the weight of their need, none left out
 * for longer than twice the length of the list.
 */
export function* comboOrder(
  combos: readonly BlockCombo[],
  order: ComboOrder,
  random: RandomSource,
): Generator<BlockCombo, void> {
  if (combos.length === 0) return;
  const list = order === 'newest-twice' ? newestTwice(combos) : combos;
  let last: BlockCombo | null = null;
  const waited = new Map(combos.map((combo) => [combo, 0]));
  for (;;) {
    if (order === 'in-order' || order === 'newest-twice') {
      yield* list;
      continue;
    }
    if (order === 'shuffled') {
      const round = shuffled(combos, random);
      if (round.length > 1 && round[0] === last) round.push(round.shift()!);
      last = round.at(-1)!;
      yield* round;
      continue;
    }
    const next = drawByNeed(combos, waited, last, random);
    for (const combo of combos) waited.set(combo, combo === next ? 0 : waited.get(combo)! + 1);
    last = next;
    yield next;
  }
}

/** The newest stands last in the list, and comes again after each other one but the first. */
function newestTwice(combos: readonly BlockCombo[]): readonly BlockCombo[] {
  const newest = combos.at(-1)!;
  const middle = Math.floor((combos.length - 1) / 2);
  return combos.length < 3
    ? [...combos, newest]
    : [...combos.slice(0, middle), newest, ...combos.slice(middle)];
}

function shuffled<T>(items: readonly T[], random: RandomSource): T[] {
  const mixed = [...items];
  for (let i = mixed.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [mixed[i], mixed[j]] = [mixed[j]!, mixed[i]!];
  }
  return mixed;
}

function drawByNeed(
  combos: readonly BlockCombo[],
  waited: ReadonlyMap<BlockCombo, number>,
  last: BlockCombo | null,
  random: RandomSource,
): BlockCombo {
  const overdue = combos.filter((combo) => waited.get(combo)! >= combos.length * 2);
  if (overdue.length > 0) return pick(random, overdue);
  const choices = combos.length > 1 ? combos.filter((combo) => combo !== last) : combos;
  let left = random() * choices.reduce((sum, combo) => sum + (combo.need ?? 1), 0);
  return choices.find((combo) => (left -= combo.need ?? 1) < 0) ?? choices.at(-1)!;
}
