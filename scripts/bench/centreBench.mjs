/** The centre of a recorded clip, estimated from its sound, against the vowel onsets that the synthesiser knows. */
import { join } from 'node:path';
import { ROOT } from '../house.mjs';
import { row, spread } from './table.mjs';

const { findCentre } = await import(join(ROOT, 'packages/core/dist/sound/index.js'));
const { spokenVocabulary } = await import('../voice/spokenVocabulary.mjs');

const clips = await spokenVocabulary();
for (const [name, own] of [
  ['voice slt', clips.filter(({ voice }) => voice === 'slt')],
  ['voice rms', clips.filter(({ voice }) => voice === 'rms')],
  ['both voices', clips],
]) {
  const { median, p95 } = spread(own.map(({ sound, onset }) => 1000 * Math.abs(findCentre(sound) - onset)));
  row(
    `centre from the sound, ${name}`,
    `${median.toFixed(1)} ms off, p95 ${p95.toFixed(1)} ms`,
    `${own.length} clips`,
  );
}
