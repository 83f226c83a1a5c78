import { PATCH } from './strikePatch.ts';
import { STRIKE_INNER, STRIKE_OUTER } from './strikeWeights.ts';

/** The odds, in nats, that a rise is a strike, by a small network (see `npm run fit-strikes`). */
export function strikeOdds(patch: Float64Array): number {
  const hidden = STRIKE_OUTER.length - 1;
  let told = STRIKE_OUTER[hidden]!;
  for (let h = 0; h < hidden; h++) {
    let sum = 0;
    for (let i = 0; i < PATCH; i++) sum += STRIKE_INNER[h * PATCH + i]! * patch[i]!;
    told += STRIKE_OUTER[h]! * Math.tanh(sum);
  }
  return told;
}
