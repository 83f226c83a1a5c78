/** Fits small networks that say how likely something is: what is asked in the same order gives the same weights. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { inThreads } from './inThreads.mjs';

const KEEPS_SMALL = 1e-5;
/** A hidden unit that adds so little to the odds, in nats, is left out. */
const SAYS_NOTHING = 1e-3;

/**
 * `inputs` has `size` numbers, of which the last is a constant 1, for each of what is asked, `isSo` a 1 for what is so and a 0 for what is
 * not, `weights` how much each counts. Gives for each of so many `members`, which begin differently and of which the mean is to be taken,
 * the weights of its layers: for each unit of a layer what it makes of the one before and of a constant. Units are as many as `hidden`
 * tells; one after the last of them says the odds. Where `isScaled`, the inputs themselves are scaled.
 */
export async function fitNetwork({ inputs, size, hidden, keepsSmall = KEEPS_SMALL, members = 1, ...how }) {
  const { isScaled = false, weights = how.isSo.map(() => 1), ...rest } = how;
  const scales = isScaled ? scalesOf(inputs, size) : null;
  if (scales)
    for (const [at, value] of inputs.entries()) {
      const { mean, spread } = scales[at % size];
      inputs[at] = (value - mean) / spread;
    }
  const fitted = await inThreads(
    new URL('./networkMember.mjs', import.meta.url),
    Array.from({ length: members }, (_, n) => ({
      ...rest,
      inputs,
      weights,
      sizes: [size, ...hidden.map((units) => units + 1)],
      keepsSmall,
      seed: n + 1,
    })),
  );
  return fitted.map((layers) => {
    const [inner, ...others] = spoken(layers, size);
    return [scales ? unscaled(inner, scales) : inner, ...others];
  });
}

/** Mean and spread of each number that is asked; the constant is left as it is. */
function scalesOf(inputs, size) {
  const count = inputs.length / size;
  const [sums, squares] = [new Float64Array(size), new Float64Array(size)];
  for (const [at, value] of inputs.entries()) {
    sums[at % size] += value / count;
    squares[at % size] += value ** 2 / count;
  }
  return Array.from({ length: size }, (_, i) =>
    i === size - 1
      ? { mean: 0, spread: 1 }
      : { mean: sums[i], spread: Math.sqrt(Math.max(0, squares[i] - sums[i] ** 2)) || 1 },
  );
}

/** Weights that make the same of what is asked as these of what is scaled. */
function unscaled(inner, scales) {
  const size = scales.length;
  return inner.map((weight, at) => {
    const i = at % size;
    if (i < size - 1) return weight / scales[i].spread;
    const from = at - i;
    return scales.reduce((sum, { mean, spread }, k) => sum - (inner[from + k] * mean) / spread, weight);
  });
}

/** Without the units of the first layer that say nothing to the second. */
function spoken([inner, second, ...others], size) {
  const units = inner.length / size;
  const says = Array.from({ length: units + 1 }, (_, h) =>
    h === units
      ? true
      : second.some((weight, at) => at % (units + 1) === h && Math.abs(weight) > SAYS_NOTHING),
  );
  return [
    inner.filter((_, at) => says[Math.floor(at / size)]),
    second.filter((_, at) => says[at % (units + 1)]),
    ...others,
  ];
}

/** Weights with three figures. */
export const rounded = (weights) => [...weights].map((w) => Number(w.toPrecision(3)));

/** Writes weights as data of the product. */
export function writeWeights(file, weights) {
  writeFileSync(join(ROOT, file), `${JSON.stringify(weights)}\n`);
}
