/**
 * Letters that must change to turn one word into the other, swaps of neighbours counted once (Damerau 1964).
 * Stops as soon as more than `most` are sure, and then gives `most + 1`.
 *
 * @example
 * editDistance('rund', 'round') // 1
 */
export function editDistance(a: string, b: string, most = Infinity): number {
  let beforeLast: number[] = [];
  let last = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    let least = i;
    for (let j = 1; j <= b.length; j++) {
      // Compared by hand: this is the innermost loop of a line full of slips.
      let best = last[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1);
      if (last[j]! < best) best = last[j]! + 1;
      if (row[j - 1]! < best) best = row[j - 1]! + 1;
      const isSwapped = i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1];
      if (isSwapped && beforeLast[j - 2]! < best) best = beforeLast[j - 2]! + 1;
      row.push(best);
      if (best < least) least = best;
    }
    if (least > most) return most + 1;
    [beforeLast, last] = [last, row];
  }
  return last[b.length]!;
}

/** A bit for each letter of a word; letters that share one are taken for the same. */
function lettersOf(word: string): number {
  let bits = 0;
  for (let i = 0; i < word.length; i++) bits |= 1 << (word.charCodeAt(i) & 31);
  return bits;
}

/** How many bits are set, as far as `most` + 1. */
function bitsUpTo(bits: number, most: number): number {
  let count = 0;
  for (let left = bits; left !== 0 && count <= most; left &= left - 1) count += 1;
  return count;
}

/**
 * The known word closest to a misspelt one, or null when none is near enough to suggest:
 * one slip in up to four letters, two in longer words. Words over 24 letters are not compared.
 *
 * @example
 * nearestWord('rund', ['round', 'push']) // 'round'
 */
export function nearestWord(word: string, known: Iterable<string>): string | null {
  if (word.length === 0 || word.length > 24) return null;
  const lower = word.toLowerCase();
  const allowed = lower.length <= 4 ? 1 : 2;
  const letters = lettersOf(lower);
  let best: string | null = null;
  let bestDistance = allowed + 1;
  for (const candidate of known) {
    const longer = candidate.length - lower.length;
    if (longer > allowed || -longer > allowed) continue;
    // Each letter that only one of them has is a change of its own.
    const own = lettersOf(candidate);
    if (bitsUpTo(letters & ~own, allowed) > allowed || bitsUpTo(own & ~letters, allowed) > allowed) continue;
    const distance = editDistance(lower, candidate, allowed);
    if (distance < bestDistance || (distance === bestDistance && best !== null && candidate < best)) {
      best = candidate;
      bestDistance = distance;
    }
  }
  return best;
}
