/**
 * `npm run fit-strikes`: fits the small networks with which a sudden rise is asked whether it is a strike, on halls in which the instants
 * of the strikes are known: impacts synthesised and recorded, with echo, noise, voices and what a microphone cuts off.
 */
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { ROOT, build, install, stop } from '../house.mjs';

install();
build();
const { PATCH } = await import(join(ROOT, 'packages/core/dist/strikes/index.js'));
const { fitNetwork, rounded, writeWeights } = await import('./smallNetwork.mjs');
const { inThreads } = await import('./inThreads.mjs');
const { RECORDED_MISSING, hasRecordedImpacts } = await import('../strikes/recordedImpacts.mjs');
if (!hasRecordedImpacts()) stop(RECORDED_MISSING);

const HALLS = Number(process.argv[2] ?? 1800);
/** Networks that are asked together, and the units of their hidden layers. */
const MEMBERS = 2;
const HIDDEN = [48, 16];
const ROUNDS = 20;
const AT_ONCE = 64;
const KEEPS_SMALL = 1e-4;

const threads = availableParallelism();
const parts = await inThreads(
  new URL('./risesOfHalls.mjs', import.meta.url),
  Array.from({ length: threads }, (_, n) => ({
    from: Math.round((n * HALLS) / threads),
    to: Math.round(((n + 1) * HALLS) / threads),
  })),
);
const inputs = new Float32Array(parts.reduce((sum, part) => sum + part.inputs.length, 0));
parts.reduce((at, part) => {
  inputs.set(part.inputs, at);
  return at + part.inputs.length;
}, 0);
const networks = await fitNetwork({
  inputs,
  isSo: Uint8Array.from(parts.flatMap(({ isSo }) => [...isSo])),
  size: PATCH,
  hidden: HIDDEN,
  rounds: ROUNDS,
  atOnce: AT_ONCE,
  keepsSmall: KEEPS_SMALL,
  members: MEMBERS,
  isScaled: true,
});

// What the numbers mean stands in strikeWeights.ts, beside them.
writeWeights(
  'packages/core/src/strikes/detect/strikeWeights.json',
  networks.map((layers) => layers.map(rounded)),
);
