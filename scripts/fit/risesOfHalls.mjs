/**
 * A thread that makes halls in which the instants of the strikes are known, and posts every rise that the detector looks at there: its
 * patch, and whether it is a strike.
 */
import { writeSync } from 'node:fs';
import { join } from 'node:path';
import { parentPort, workerData } from 'node:worker_threads';
import { ROOT } from '../house.mjs';

const { PATCH, StrikeDetector } = await import(join(ROOT, 'packages/core/dist/strikes/index.js'));
const { hall } = await import('../strikes/halls.mjs');

const SECONDS = 20;
/** A rise whose instant is so near to that of a strike is that strike; what is a little farther is nobody's. */
const SAME = 0.02;
const NEAR = 0.035;
/** Seeds of the bench are small ones. */
const FIRST_SEED = 1000;

const { from, to } = workerData;
const [inputs, isSo] = [[], []];
for (let i = from; i < to; i++) {
  // Two of three speak, some louder than anybody strikes; telephones hear at 8 kHz.
  const { sampleRate, samples, at } = await hall(FIRST_SEED + i, 'fit', {
    seconds: SECONDS,
    hasVoices: i % 3 !== 0,
    ...(i % 6 === 1 ? { voiceGain: 10 ** ((i % 64) / 80) } : {}),
    ...(i % 25 === 7 ? { sampleRate: 8000 } : {}),
  });
  const detector = new StrikeDetector(sampleRate, {}, (rise) => {
    const off = Math.min(...at.map((instant) => Math.abs(instant - rise.at)));
    if (off > SAME && off <= NEAR) return;
    inputs.push(Float32Array.from(rise.patch));
    isSo.push(off <= SAME ? 1 : 0);
  });
  detector.push(samples);
  if (i % 50 === 49) writeSync(1, `hall ${i + 1}\n`);
}
const all = new Float32Array(inputs.length * PATCH);
for (const [n, patch] of inputs.entries()) all.set(patch, n * PATCH);
parentPort.postMessage({ inputs: all, isSo: Uint8Array.from(isSo) }, [all.buffer]);
