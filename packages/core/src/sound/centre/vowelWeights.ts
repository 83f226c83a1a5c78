import weights from './vowelWeights.json' with { type: 'json' };

/**
 * Weights of the small network that tells vowels from everything else. It is asked the mel bands of the frames at the distances of
 * `VOWEL_CONTEXT` (in frames of 5 ms) and a constant. Made by `npm run fit-vowels` from two synthesisers whose phones are known.
 */
export const VOWEL_CONTEXT: readonly number[] = [-20, -14, -9, -6, -4, -2, -1, 0, 1, 2, 4, 6, 9, 14, 20];
/** For each hidden unit what it makes of all that is asked. */
export const VOWEL_INNER: readonly number[] = weights.inner;
/** What is made of the hidden units, then the constant. */
export const VOWEL_OUTER: readonly number[] = weights.outer;
