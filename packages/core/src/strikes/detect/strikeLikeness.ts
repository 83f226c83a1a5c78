import { PATCH } from './strikePatch.ts';
import { STRIKE_INNER, STRIKE_OUTER } from './strikeWeights.ts';

/** How likely it is that a rise is a strike, 0 to 1, by a small network (see `npm run fit-strikes`). */
export function strikeLikeness(patch: Float64Array): number {
  const hidden = STRIKE_OUTER.length - 1;
  let told = STRIKE_OUTER[hidden]!;
  for (let h = 0; h < hidden; h++) {
    let sum = 0;
    for (let i = 0; i < PATCH; i++) sum += STRIKE_INNER[h * PATCH + i]! * patch[i]!;
    told += STRIKE_OUTER[h]! * Math.tanh(sum);
  }
  return 1 / (1 + Math.exp(-told));
}
