import { numberWord } from '../calls/index.ts';
import { pick, type Seconds } from '../units/index.ts';
import type { BurstBlock, FreeBlock, RestBlock, TimeCall } from './block.ts';
import type { Layout } from './cue.ts';
import { switchForms } from './combo/announcements.ts';
import type { BlockTime, RoundGround } from './combo/layOutCombos.ts';
import { leadStretches } from './combo/leadStretches.ts';

/** Work shorter than this has no such call. */
const HALFWAY_FROM: Seconds = 40;
const THIRTY_FROM: Seconds = 75;
const TEN_FROM: Seconds = 24;
const LAST_FIVE_FROM: Seconds = 10;

/**
 * Bells and time calls of a stretch of work. `blockAt` gives the block that an instant falls into; with
 * `isCounted` its end is counted already, and the clock stays silent there.
 */
export function layOutWorkClock(
  from: Seconds,
  to: Seconds,
  { blockAt, isCounted }: { blockAt: (at: Seconds) => string; isCounted: boolean },
  timeCalls: ReadonlySet<TimeCall>,
  layout: Layout,
): void {
  const seconds = to - from;
  if (timeCalls.has('start-bell'))
    layout.cues.push({ at: from, kind: 'bell', text: 'start', block: blockAt(from), sound: 'bell-start' });
  const say = (text: string, at: Seconds, slack: Seconds): void => {
    layout.calls.push({
      forms: [text],
      priority: 'time',
      place: { kind: 'start', at, latest: at + slack },
      cue: { kind: 'time', block: blockAt(at) },
    });
  };
  if (seconds >= HALFWAY_FROM && timeCalls.has('halfway')) say('halfway', from + seconds / 2, 0.5);
  if (seconds >= THIRTY_FROM && !isCounted && timeCalls.has('thirty')) say('thirty seconds', to - 30, 0.5);
  if (seconds >= TEN_FROM && !isCounted && timeCalls.has('ten')) say('ten seconds', to - 10, 0.5);
  if (seconds >= LAST_FIVE_FROM && !isCounted && timeCalls.has('last-five'))
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

/** A rest: said at its start, and near its end what comes next, ready, and three ticks. */
export function layOutRest(
  block: RestBlock,
  { from, to }: BlockTime,
  opensRound: boolean,
  timeCalls: ReadonlySet<TimeCall>,
  layout: Layout,
): void {
  const seconds = to - from;
  const say = (text: string, at: Seconds, latest: Seconds): void => {
    layout.calls.push({
      forms: [text],
      priority: 'time',
      place: { kind: 'start', at, latest },
      cue: { kind: 'time', block: block.id },
    });
  };
  // The end bell rings into the rest; a rest that opens a round has no bell before it.
  if (seconds >= 8) say(opensRound ? 'get ready' : 'rest', from + (opensRound ? 0.2 : 1.4), from + 3);
  if (seconds >= TEN_FROM && timeCalls.has('ten')) say('ten seconds', to - 10, to - 9);
  if (block.next !== '' && seconds >= 8) say(`next, ${block.next.toLowerCase()}`, to - 7.5, to - 5);
  if (seconds >= 6 && timeCalls.has('ready')) {
    layout.calls.push({
      forms: ['ready'],
      priority: 'time',
      place: { kind: 'end', at: to - 3.1, earliest: to - 5 },
      cue: { kind: 'time', block: block.id },
    });
  }
  for (const left of [3, 2, 1]) {
    if (left < seconds)
      layout.cues.push({
        at: to - left,
        kind: 'count',
        text: String(left),
        block: block.id,
        sound: 'count-in',
      });
  }
}

/** Shadowboxing: prompts at random waits, never the same one twice in a row, none in the last count. */
export function layOutFree(block: FreeBlock, time: BlockTime, { lead, random, layout }: RoundGround): void {
  for (const stretch of leadStretches(block.leadPlan, lead, time).slice(1)) {
    layout.calls.push({
      forms: switchForms(stretch.lead),
      priority: 'stance',
      place: { kind: 'start', at: stretch.from + 0.05, latest: stretch.from + 1.5 },
      cue: { kind: 'stance', block: block.id, lead: stretch.lead },
    });
  }
  if (block.prompts.length === 0) return;
  const wait = (): Seconds => block.every.min + random() * (block.every.max - block.every.min);
  let last = '';
  for (let at = time.from + 2 + wait(); at < Math.min(time.to - 1.5, time.workEnds - 7); at += wait()) {
    const others = block.prompts.filter((prompt) => prompt !== last);
    last = pick(random, others.length > 0 ? others : block.prompts);
    layout.calls.push({
      forms: [last.toLowerCase()],
      priority: 'prompt',
      place: { kind: 'start', at, latest: at + 2 },
      cue: { kind: 'call', block: block.id },
    });
  }
}

/** A burst is only called by its name: the bell starts it, the last five seconds are counted. */
export function layOutBurst(block: BurstBlock, { from }: BlockTime, layout: Layout): void {
  layout.cues.push({ at: from, kind: 'show', text: block.title, block: block.id });
}
