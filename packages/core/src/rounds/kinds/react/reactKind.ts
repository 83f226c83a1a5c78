import { walkStance } from '../../../body/index.ts';
import { parseLine } from '../../../line/index.ts';
import { STARTER_LINES } from '../../../moves/index.ts';
import type { Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import type { BlockBase, Waits } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';

/** A call at random waits, to be answered with a line. */
export interface ReactBlock extends BlockBase {
  readonly kind: 'react';
  /** What is called; empty when the holder acts and nothing is said. */
  readonly call: string;
  readonly line: string;
  readonly every: Waits;
  /** So long the calls come regularly at first. */
  readonly regular: Seconds;
}

/** From the start to the first call, and from the last one to the end. */
const BEFORE: Seconds = 3;
const AFTER: Seconds = 7;

export const reactKind: BlockKind<ReactBlock> = {
  ...BY_THE_CLOCK,
  usual: (id) => ({
    kind: 'react',
    id,
    seconds: 60,
    call: 'now',
    line: STARTER_LINES.pair,
    every: { min: 3, max: 7 },
    regular: 15,
  }),
  written: ({ line }) => [{ field: 'line', line }],
  done: ({ line }) => [line],
  texts: ({ call }) => (call === '' ? [] : [call.toLowerCase()]),
  layOut: layOutReact,
  strikes: () => 'as-compiled',
};

/** A call, or the holder's own sign, at regular and then at random waits; the answer is shown. */
function layOutReact(
  block: ReactBlock,
  time: BlockTime,
  { book, lead, random, layout }: LayOutContext,
): void {
  const parsed = parseLine(block.line, book);
  const answer = parsed.ok
    ? walkStance(parsed.line, book, lead)
        .strokes.map((stroke) => stroke.move.say.short)
        .join(', ')
    : block.line;
  const { min, max } = block.every;
  const wait = (at: Seconds): Seconds =>
    at - time.from < block.regular ? (min + max) / 2 : min + random() * (max - min);
  for (let at = time.from + BEFORE; at < Math.min(time.to - 1, time.workEnds - AFTER); at += wait(at)) {
    layout.cues.push({ at, kind: 'show', text: answer, block: block.id });
    if (block.call === '') continue;
    layout.calls.push({
      forms: [block.call.toLowerCase()],
      priority: 'stroke',
      place: { kind: 'centre', at },
      cue: { kind: 'call', block: block.id },
    });
  }
}
