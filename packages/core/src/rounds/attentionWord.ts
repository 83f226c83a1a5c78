import type { Seconds } from '../units/index.ts';
import { isPause, type Block } from './kinds/registry.ts';
import type { BlockTime, LayOutContext } from './layOutContext.ts';

/** Shortest and longest wait for the word of the day. */
const WAIT = { min: 25, max: 70 } as const satisfies Record<string, Seconds>;
/** It gives way to other calls for this long, and is then left out. */
const SLACK: Seconds = 6;

/** Says the word of the day at random instants of the work, never over another call. */
export function layOutAttentionWord(
  word: string,
  times: readonly (BlockTime & { readonly block: Block })[],
  { random, layout }: LayOutContext,
): void {
  const end = times.at(-1)?.to ?? 0;
  const wait = (): Seconds => WAIT.min + random() * (WAIT.max - WAIT.min);
  for (let at = wait(); at < end; at += wait()) {
    const time = times.find(({ from, to }) => at >= from && at < to);
    if (!time || isPause(time.block) || at > time.workEnds - SLACK - 6) continue;
    layout.calls.push({
      forms: [word.toLowerCase()],
      priority: 'prompt',
      place: { kind: 'start', at, latest: at + SLACK },
      cue: { kind: 'call', block: time.block.id },
    });
  }
}
