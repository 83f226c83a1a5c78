import { STRIKE_NETWORKS } from './strikeWeights.ts';

/** The odds, in nats, that a rise is a strike: the mean of what some small networks say (see `npm run fit-strikes`). */
export function strikeOdds(patch: Float64Array): number {
  let sum = 0;
  for (const layers of STRIKE_NETWORKS) sum += saidOf(layers, patch);
  return sum / STRIKE_NETWORKS.length;
}

/** What the last of these layers says of this. */
function saidOf(layers: readonly (readonly number[])[], patch: Float64Array): number {
  let activations = patch;
  for (const weights of layers.slice(0, -1)) {
    const units = weights.length / activations.length;
    const next = new Float64Array(units + 1).fill(1);
    for (let h = 0; h < units; h++)
      next[h] = Math.tanh(weighed(weights, h * activations.length, activations));
    activations = next;
  }
  return weighed(layers.at(-1)!, 0, activations);
}

/** Two sums side by side: neither waits for the other. */
function weighed(weights: readonly number[], from: number, activations: Float64Array): number {
  const last = activations.length - 1;
  let [even, odd] = [0, 0];
  for (let i = 0; i < last; i += 2) {
    even += weights[from + i]! * activations[i]!;
    odd += weights[from + i + 1]! * activations[i + 1]!;
  }
  if (last % 2 === 0) even += weights[from + last]! * activations[last]!;
  return even + odd;
}
