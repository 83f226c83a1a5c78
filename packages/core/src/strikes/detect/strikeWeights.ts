import networks from './strikeWeights.json' with { type: 'json' };

/**
 * Weights of the small networks that tell strikes from everything else that is sudden: of each network the layers, of each layer for each
 * unit what it makes of the numbers before and, last, of a constant 1. The first is asked a `strikePatch`. Made by
 * `npm run fit-strikes` from impacts, synthesised and recorded, in 1800 halls.
 */
export const STRIKE_NETWORKS: readonly (readonly (readonly number[])[])[] = networks;
