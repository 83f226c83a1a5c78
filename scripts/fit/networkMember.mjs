/** A thread that fits one network by Adam (Kingma and Ba 2015) over a seed; see `fitNetwork`. */
import { writeSync } from 'node:fs';
import { join } from 'node:path';
import { parentPort, workerData } from 'node:worker_threads';
import { ROOT } from '../house.mjs';

const { normalDraw, seededRandom } = await import(join(ROOT, 'packages/core/dist/units/index.js'));

const STEP = 3e-3;
const MOMENTS = [0.9, 0.999];

/** `sizes` are what each layer is fanIn, its constant among them; the last layer says one number, the odds. */
const { inputs, isSo, weights: counts, sizes, rounds, atOnce, keepsSmall, seed } = workerData;
const [size] = sizes;
const random = seededRandom(seed);
const layers = sizes.map((fanIn, at) => {
  const units = at < sizes.length - 1 ? sizes[at + 1] - 1 : 1;
  const spread = Math.sqrt(at === 0 ? fanIn : fanIn - 1);
  const weights = Float64Array.from({ length: units * fanIn }, () => normalDraw(random) / spread);
  const [gradient, first, second] = [0, 1, 2].map(() => new Float64Array(weights.length));
  return {
    units,
    fanIn,
    weights,
    gradient,
    first,
    second,
    // What it is fanIn, the sums of its units, and how much the loss grows with the sums of the layer before.
    values: new Float64Array(fanIn).fill(1),
    sums: new Float64Array(units),
    before: new Float64Array(fanIn),
  };
});

/** What a layer makes of its values: of each unit the sum of what it weighs. */
function sumsOf({ units, fanIn, weights, values, sums }) {
  for (let h = 0, at = 0; h < units; h++) {
    let sum = 0;
    for (let i = 0; i < fanIn; i++, at++) sum += values[i] * weights[at];
    sums[h] = sum;
  }
}

/** Adds to the gradient of a layer how much the loss grows with the sums of its units. */
function addGradient({ units, fanIn, values, gradient }, pulls) {
  for (let h = 0, at = 0; h < units; h++) {
    const pull = pulls[h];
    for (let i = 0; i < fanIn; i++, at++) gradient[at] += pull * values[i];
  }
}

/** How much the loss grows with the sums of the layer before. */
function pullsBefore({ units, fanIn, weights, values, before }, pulls) {
  before.fill(0);
  for (let h = 0, at = 0; h < units; h++) {
    const pull = pulls[h];
    for (let i = 0; i < fanIn; i++, at++) before[i] += pull * weights[at];
  }
  for (let i = 0; i < fanIn; i++) before[i] *= 1 - values[i] * values[i];
  return before;
}

/** Adds what the `n`th says to the gradients; gives its loss. */
function learn(n, among) {
  const { values } = layers[0];
  for (let i = 0; i < size; i++) values[i] = inputs[n * size + i];
  const last = layers.length - 1;
  for (let l = 0; l <= last; l++) {
    sumsOf(layers[l]);
    if (l < last)
      for (let h = 0; h < layers[l].units; h++) layers[l + 1].values[h] = Math.tanh(layers[l].sums[h]);
  }
  const p = 1 / (1 + Math.exp(-layers[last].sums[0]));
  let pulls = Float64Array.of((counts[n] * (p - isSo[n])) / among);
  for (let l = last; l >= 0; l--) {
    addGradient(layers[l], pulls);
    if (l > 0) pulls = pullsBefore(layers[l], pulls);
  }
  return -counts[n] * Math.log(Math.max(1e-12, isSo[n] ? p : 1 - p));
}

function descendLayer({ weights, gradient, first, second }, rate, slowNow, slowerNow) {
  const [slow, slower] = MOMENTS;
  for (let i = 0; i < weights.length; i++) {
    const g = gradient[i] + keepsSmall * weights[i];
    first[i] = slow * first[i] + (1 - slow) * g;
    second[i] = slower * second[i] + (1 - slower) * g * g;
    weights[i] -= (rate * (first[i] / slowNow)) / (Math.sqrt(second[i] / slowerNow) + 1e-8);
  }
  gradient.fill(0);
}

const steps = rounds * Math.ceil(isSo.length / atOnce);
let step = 0;
function descend() {
  step++;
  const rate = STEP * (1 - step / (steps + 1));
  const [slowNow, slowerNow] = MOMENTS.map((moment) => 1 - moment ** step);
  for (const layer of layers) descendLayer(layer, rate, slowNow, slowerNow);
}

const order = Uint32Array.from(isSo, (_, n) => n);
for (let round = 0; round < rounds; round++) {
  for (let i = order.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j], order[i]];
  }
  let loss = 0;
  for (let from = 0; from < order.length; from += atOnce) {
    const part = order.subarray(from, from + atOnce);
    for (const n of part) loss += learn(n, part.length);
    descend();
  }
  // A console of a thread says nothing until the thread rests.
  writeSync(1, `network ${seed}, round ${round + 1}: loss ${(loss / isSo.length).toFixed(4)}\n`);
}
parentPort.postMessage(layers.map(({ weights }) => weights));
