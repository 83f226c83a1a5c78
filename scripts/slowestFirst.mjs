/** Jest begins with the files that start servers of their own, most starts first: what takes a minute must not begin when all else is done. */
import { readFileSync } from 'node:fs';
import Sequencer from '@jest/test-sequencer';

const STARTS = /startServer\(|runToEnd\(|spawn(Sync)?\(/g;

function weight(path) {
  const text = readFileSync(path, 'utf8');
  const starts = (text.match(STARTS)?.length ?? 0) + Number(text.includes('serverForThisFile'));
  return 1000 * starts + text.length / 100;
}

export default class SlowestFirst extends Sequencer {
  sort(tests) {
    const weights = new Map(tests.map(({ path }) => [path, weight(path)]));
    return [...tests].sort((a, b) => weights.get(b.path) - weights.get(a.path));
  }
}
