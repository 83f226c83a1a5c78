import { numberWord } from '../calls/index.ts';
import type { Seconds } from '../units/index.ts';
import type { Layout } from './cue.ts';
import { TIME_PHRASES } from '../calls/index.ts';
import type { TimeCall } from './roundSettings.ts';

/** Work shorter than this has no such call. */
const HALFWAY_FROM: Seconds = 30;
const THIRTY_FROM: Seconds = 75;
export const TEN_FROM: Seconds = 24;
const LAST_FIVE_FROM: Seconds = 10;
/** A time call comes so much later where strokes are called. */
const GIVES_WAY: Seconds = 3;

/** What is done at an instant of the work. */
interface WorkAt {
  readonly blockAt: (at: Seconds) => string;
  /** Whether it is counted: there the clock stays silent. */
  readonly isCountedAt: (at: Seconds) => boolean;
  /** Whether the coach chose the time calls: then he is told of those that never come. */
  readonly isChosen: boolean;
  /** Whether numbers stand for strokes: there the last seconds are ticks, and nobody strikes a "three". */
  readonly isNumberedAt: (at: Seconds) => boolean;
}

/** Bells and time calls of a stretch of work. They give way to calls of strokes. */
export function layOutWorkClock(
  from: Seconds,
  to: Seconds,
  { blockAt, isCountedAt, isNumberedAt, isChosen }: WorkAt,
  timeCalls: ReadonlySet<TimeCall>,
  layout: Layout,
): void {
  const seconds = to - from;
  const endsCounted = isCountedAt(to - 0.001);
  if (timeCalls.has('start-bell'))
    layout.cues.push({ at: from, kind: 'bell', text: 'start', block: blockAt(from), sound: 'bell-start' });
  const say = (text: string, at: Seconds): void => {
    // What is counted ends when the work is done, and no call may stand in place of a count.
    if (isCountedAt(at)) return;
    layout.calls.push({
      forms: [text],
      priority: 'time',
      place: { kind: 'start', at, latest: at + GIVES_WAY },
      cue: { kind: 'time', block: blockAt(at) },
    });
  };
  const half = from + seconds / 2;
  if (timeCalls.has('halfway') && seconds >= HALFWAY_FROM) say(TIME_PHRASES.halfway, half);
  if (timeCalls.has('halfway') && isChosen && (seconds < HALFWAY_FROM || isCountedAt(half)))
    layout.findings.push({
      rule: 'call-dropped',
      severity: 'note',
      at: half,
      block: blockAt(half),
      message:
        seconds < HALFWAY_FROM
          ? `“${TIME_PHRASES.halfway}” is not called: this work is shorter than ${HALFWAY_FROM} seconds.`
          : `“${TIME_PHRASES.halfway}” is not called: repetitions are counted there.`,
    });
  if (seconds >= THIRTY_FROM && !endsCounted && timeCalls.has('thirty')) say(TIME_PHRASES.thirty, to - 30);
  if (seconds >= TEN_FROM && !endsCounted && timeCalls.has('ten')) say(TIME_PHRASES.ten, to - 10);
  if (seconds >= LAST_FIVE_FROM && !endsCounted && timeCalls.has('last-five'))
    for (let left = 5; left >= 1; left--)
      layOutLast(to - left, isNumberedAt(to - left) ? '' : numberWord(left), blockAt(to - left), layout);
  if (timeCalls.has('end-bell'))
    layout.cues.push({ at: to, kind: 'bell', text: 'end', block: blockAt(to - 0.001), sound: 'bell-end' });
}

/** One of the last seconds: a tick, and its number on it where there is room for one. */
function layOutLast(at: Seconds, number: string, block: string, layout: Layout): void {
  const cue = { kind: 'count', block, sound: 'last-five' } as const;
  if (number === '') layout.cues.push({ at, text: '', ...cue });
  else layout.calls.push({ forms: [number], priority: 'time', place: { kind: 'centre', at }, cue });
}
