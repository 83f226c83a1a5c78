/**
 * Fits a network of one hidden layer that says how likely something is, by Adam (Kingma and Ba 2015) over a seed: what is asked in the
 * same order gives the same weights.
 */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run } from '../house.mjs';

const { normalDraw, seededRandom } = await import(join(ROOT, 'packages/core/dist/units/index.js'));

const STEP = 3e-3;
const KEEPS_SMALL = 1e-5;
const MOMENTS = [0.9, 0.999];

/**
 * `asked` is a list of `{ isSo, weight }` with `inputOf(each)` giving `size` numbers, of which the last is a constant; gives the weights `inner`, for each hidden unit
 * what it makes of the input, and `outer`, what is made of the hidden units, then a constant.
 */
export function fitNetwork({
  asked,
  inputOf,
  size,
  hidden: HIDDEN,
  rounds,
  atOnce,
  keepsSmall = KEEPS_SMALL,
  isScaled = false,
}) {
  const scales = isScaled ? scalesOf(asked, inputOf, size) : null;
  const random = seededRandom(1);
  const inner = Float64Array.from({ length: HIDDEN * size }, () => normalDraw(random) / Math.sqrt(size));
  const outer = Float64Array.from({ length: HIDDEN + 1 }, () => normalDraw(random) / Math.sqrt(HIDDEN));
  const layers = [inner, outer].map((weights) => ({
    weights,
    gradient: new Float64Array(weights.length),
    first: new Float64Array(weights.length),
    second: new Float64Array(weights.length),
  }));
  const hidden = new Float64Array(HIDDEN);

  /** Adds what one says to the gradients; gives its loss. */
  const learn = (each, among) => {
    const x = scales
      ? inputOf(each).map((value, i) => (value - scales[i].mean) / scales[i].spread)
      : inputOf(each);
    let logit = outer[HIDDEN];
    for (let h = 0; h < HIDDEN; h++) {
      let sum = 0;
      for (let i = 0; i < size; i++) sum += x[i] * inner[h * size + i];
      hidden[h] = Math.tanh(sum);
      logit += hidden[h] * outer[h];
    }
    const p = 1 / (1 + Math.exp(-logit));
    const pull = (each.weight * (p - each.isSo)) / among;
    const [{ gradient: toInner }, { gradient: toOuter }] = layers;
    for (let h = 0; h < HIDDEN; h++) {
      toOuter[h] += pull * hidden[h];
      const by = pull * outer[h] * (1 - hidden[h] ** 2);
      for (let i = 0; i < size; i++) toInner[h * size + i] += by * x[i];
    }
    toOuter[HIDDEN] += pull;
    return -each.weight * Math.log(Math.max(1e-12, each.isSo ? p : 1 - p));
  };

  const steps = rounds * Math.ceil(asked.length / atOnce);
  let step = 0;
  const descend = () => {
    step++;
    const rate = STEP * (1 - step / (steps + 1));
    const [slow, slower] = MOMENTS;
    for (const { weights, gradient, first, second } of layers) {
      for (let i = 0; i < weights.length; i++) {
        const g = gradient[i] + keepsSmall * weights[i];
        first[i] = slow * first[i] + (1 - slow) * g;
        second[i] = slower * second[i] + (1 - slower) * g * g;
        weights[i] -=
          (rate * (first[i] / (1 - slow ** step))) / (Math.sqrt(second[i] / (1 - slower ** step)) + 1e-8);
      }
      gradient.fill(0);
    }
  };

  for (let round = 0; round < rounds; round++) {
    for (let i = asked.length - 1; i > 0; i--) {
      const j = Math.floor(random() * (i + 1));
      [asked[i], asked[j]] = [asked[j], asked[i]];
    }
    let loss = 0;
    for (let from = 0; from < asked.length; from += atOnce) {
      const part = asked.slice(from, from + atOnce);
      for (const each of part) loss += learn(each, part.length);
      descend();
    }
    console.log(`round ${round + 1}: loss ${(loss / asked.length).toFixed(4)}`);
  }
  return { inner: scales ? unscaled(inner, scales) : inner, outer };
}

/** Mean and spread of each number that is asked; the constant is left as it is. */
function scalesOf(asked, inputOf, size) {
  const [sums, squares] = [new Float64Array(size), new Float64Array(size)];
  for (const each of asked)
    inputOf(each).forEach((value, i) => {
      sums[i] += value / asked.length;
      squares[i] += value ** 2 / asked.length;
    });
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

/** Weights as the lines of a list, with three figures. */
export function listed(weights) {
  const figures = [...weights].map((w) => Number(w.toPrecision(3)));
  return Array.from({ length: Math.ceil(figures.length / 16) }, (_, i) => figures.slice(i * 16, i * 16 + 16))
    .map((row) => `  ${row.join(', ')},`)
    .join('\n');
}

/** Writes a file of the product, in the house's form. */
export function writeSource(file, text) {
  writeFileSync(join(ROOT, file), text);
  run('npx', ['prettier', '--write', file], { quiet: true });
}
