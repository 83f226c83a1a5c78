/**
 * The loudest sample of each of so many equal stretches of a sound, for its picture.
 *
 * @param columns stretches, 1 or more
 *
 * @example
 * peaks(Float32Array.of(0.5, -1, 0.25, 0), 2) // [1, 0.25]
 */
export function peaks(samples: Float32Array, columns: number): number[] {
  return Array.from({ length: columns }, (_, i) => {
    const from = Math.floor((i * samples.length) / columns);
    const to = Math.max(from + 1, Math.floor(((i + 1) * samples.length) / columns));
    let most = 0;
    for (let j = from; j < to; j++) most = Math.max(most, Math.abs(samples[j] ?? 0));
    return most;
  });
}
