import type { Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { SESSION_OVER, TIME_PHRASES, changePhrase, nextPhrase, tellsChange } from '../../../calls/index.ts';
import { TEN_FROM } from '../../workClock.ts';
import type { BlockBase } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';

/** Nobody works. */
export interface RestBlock extends BlockBase {
  readonly kind: 'rest';
  /** What comes after it, as it is said; nothing is said without it. "change: …" is said at once, for people have to move. */
  readonly next?: string;
}

/** Shorter rests say nothing of themselves. */
const TOLD_FROM: Seconds = 8;

export const restKind: BlockKind<RestBlock> = {
  ...BY_THE_CLOCK,
  name: 'Rest',
  isPause: true,
  isRest: true,
  board: 'next',
  usual: (id) => ({ kind: 'rest', id, seconds: 40 }),
  tell: () => '',
  texts: ({ next = '' }) =>
    next === ''
      ? []
      : [next === SESSION_OVER ? next : tellsChange(next) ? changePhrase(next) : nextPhrase(next)],
  handout: () => [],
  layOut: layOutRest,
};

/** A rest: said at its start, with who changes, and near its end what comes next, ready, and three ticks; or that the session is over. */
function layOutRest(
  { id, next = '' }: RestBlock,
  { from, to }: BlockTime,
  { timeCalls, layout }: LayOutContext,
): void {
  const seconds = to - from;
  // The end bell rings into the rest; a rest that opens a round has no bell before it.
  const opensRound = from === 0;
  const say = (text: string, at: Seconds, latest: Seconds): void => {
    layout.calls.push({
      forms: [text],
      priority: 'time',
      place: { kind: 'start', at, latest },
      cue: { kind: 'time', block: id },
    });
  };
  // Nothing comes: no ready, and no ticks for a bell that never rings.
  if (next === SESSION_OVER) return say(next, from + 1.4, from + 3);
  if (tellsChange(next)) say(changePhrase(next), from + 1.4, from + 3);
  else if (seconds >= TOLD_FROM)
    say(opensRound ? TIME_PHRASES.getReady : TIME_PHRASES.rest, from + (opensRound ? 0.2 : 1.4), from + 3);
  if (seconds >= TEN_FROM && timeCalls.has('ten')) say(TIME_PHRASES.ten, to - 10, to - 9);
  if (next !== '' && !tellsChange(next) && seconds >= TOLD_FROM) say(nextPhrase(next), to - 7.5, to - 5);
  if (seconds >= 6 && timeCalls.has('ready')) {
    layout.calls.push({
      forms: [TIME_PHRASES.ready],
      priority: 'time',
      place: { kind: 'end', at: to - 3.1, earliest: to - 5 },
      cue: { kind: 'time', block: id },
    });
  }
  for (const left of [3, 2, 1])
    if (left < seconds)
      layout.cues.push({ at: to - left, kind: 'count', text: String(left), block: id, sound: 'count-in' });
}
