import { numberWord } from '../calls/index.ts';
import type { Seconds } from '../units/index.ts';
import type { Layout } from './cue.ts';
import { TIME_PHRASES } from '../calls/index.ts';
import type { TimeCall } from './roundSettings.ts';

/** Work shorter than this has no such call. */
const HALFWAY_FROM: Seconds = 40;
const THIRTY_FROM: Seconds = 75;
export const TEN_FROM: Seconds = 24;
const LAST_FIVE_FROM: Seconds = 10;

/**
 * Bells and time calls of a stretch of work. `blockAt` gives the block that an instant falls into, and
 * `isCountedAt` whether its work is counted: there the clock stays silent.
 */
export function layOutWorkClock(
  from: Seconds,
  to: Seconds,
  { blockAt, isCountedAt }: { blockAt: (at: Seconds) => string; isCountedAt: (at: Seconds) => boolean },
  timeCalls: ReadonlySet<TimeCall>,
  layout: Layout,
): void {
  const seconds = to - from;
  const endsCounted = isCountedAt(to - 0.001);
  if (timeCalls.has('start-bell'))
    layout.cues.push({ at: from, kind: 'bell', text: 'start', block: blockAt(from), sound: 'bell-start' });
  const say = (text: string, at: Seconds, slack: Seconds): void => {
    // What is counted ends when the work is done, and no call may stand in place of a count.
    if (isCountedAt(at)) return;
    layout.calls.push({
      forms: [text],
      priority: 'time',
      place: { kind: 'start', at, latest: at + slack },
      cue: { kind: 'time', block: blockAt(at) },
    });
  };
  if (seconds >= HALFWAY_FROM && timeCalls.has('halfway')) say(TIME_PHRASES.halfway, from + seconds / 2, 0.5);
  if (seconds >= THIRTY_FROM && !endsCounted && timeCalls.has('thirty'))
    say(TIME_PHRASES.thirty, to - 30, 0.5);
  if (seconds >= TEN_FROM && !endsCounted && timeCalls.has('ten')) say(TIME_PHRASES.ten, to - 10, 0.5);
  if (seconds >= LAST_FIVE_FROM && !endsCounted && timeCalls.has('last-five'))
    layOutLastFive(to, 5, blockAt(to - 5), layout);
  if (timeCalls.has('end-bell'))
    layout.cues.push({ at: to, kind: 'bell', text: 'end', block: blockAt(to - 0.001), sound: 'bell-end' });
}

/** Counts the last seconds down, the centre of each number on its second. */
function layOutLastFive(to: Seconds, from: number, block: string, layout: Layout): void {
  for (let left = from; left >= 1; left--) {
    layout.calls.push({
      forms: [numberWord(left)],
      priority: 'time',
      place: { kind: 'centre', at: to - left },
      cue: { kind: 'count', block, sound: 'last-five' },
    });
  }
}
