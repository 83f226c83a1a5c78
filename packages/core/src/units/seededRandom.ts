/** Draws numbers in [0, 1); the same seed gives the same draws on every machine. */
export type RandomSource = () => number;

/**
 * Mulberry32, a small public-domain 32-bit generator (Tommy Ettinger, 2017): integer arithmetic only, so that
 * every machine draws the same numbers. Not for secrets.
 *
 * @param seed a whole number, of which the lower 32 bits count
 *
 * @example
 * seededRandom(7)() === seededRandom(7)() // true
 */
export function seededRandom(seed: number): RandomSource {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * A 32-bit seed from a text (FNV-1a), so that "session-3/round-2" always draws alike.
 *
 * @example
 * seedFromText('run-1') === seedFromText('run-1') // true
 */
export function seedFromText(text: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < text.length; i++) {
    hash ^= text.charCodeAt(i);
    hash = Math.imul(hash, 0x01000193);
  }
  return hash >>> 0;
}

/**
 * A draw from the normal distribution (Box and Muller 1958), mean 0, standard deviation 1.
 *
 * @example
 * Number.isFinite(normalDraw(seededRandom(1))) // true
 */
export function normalDraw(random: RandomSource): number {
  const u = Math.max(random(), 1e-12);
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * random());
}

/**
 * One of the choices, which must not be empty.
 *
 * @example
 * pick(seededRandom(1), ['only']) // 'only'
 */
export function pick<T>(random: RandomSource, choices: readonly T[]): T {
  return choices[Math.floor(random() * choices.length)] as T;
}
