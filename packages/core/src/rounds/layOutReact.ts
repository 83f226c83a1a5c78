import { walkStance } from '../body/index.ts';
import { parseLine } from '../line/index.ts';
import type { Seconds } from '../units/index.ts';
import type { ReactBlock } from './block.ts';
import type { BlockTime, RoundGround } from './combo/layOutCombos.ts';

/** From the start to the first call, and from the last one to the end. */
const BEFORE: Seconds = 3;
const AFTER: Seconds = 7;

/** A call, or the holder's own sign, at regular and then at random waits; the answer is shown. */
export function layOutReact(
  block: ReactBlock,
  time: BlockTime,
  { book, lead, random, layout }: RoundGround,
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
