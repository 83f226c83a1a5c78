import type { Seconds } from '../units/index.ts';
import type { CompiledRound, Cue, Cycle } from './cue.ts';

/** What there is to see at an instant of a round. */
export interface RoundMoment {
  /** The last thing called, timed or counted, while it is still news. */
  readonly call: Cue | null;
  /** The stroke called before that one. */
  readonly before: Cue | null;
  /** What the holder offers next. */
  readonly offer: Cue | null;
  readonly cycle: Cycle | null;
  /** Beat inside the cycle, fractional; null when no cycle runs. */
  readonly beat: number | null;
  /** The last strike that is due or over in this cycle, by its stroke. */
  readonly stroke: number | null;
}

/** A call stays on the board this long when nothing follows it. */
const CALL_STAYS: Seconds = 2.5;
/** From one beat of a count-in to the next at most: what was announced stays until the work begins. */
const COUNT_IN_BEAT: Seconds = 2;
/** No call has sounded longer before it comes to its centre. */
const LONGEST_BEFORE: Seconds = 2;

const SPOKEN = new Set<Cue['kind']>(['call', 'time', 'stance', 'count']);

/** Position of the last item that is not later than `at`, or −1. `items` are sorted. */
function lastAt(items: readonly { readonly at: Seconds }[], at: Seconds): number {
  let [low, high] = [0, items.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (items[middle]!.at <= at) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/**
 * What a compiled round shows at an instant. Looks back over a few cues only, so that it can be asked at every frame.
 *
 * @example
 * momentOfRound(round, round.cycles[0].at + 0.01).cycle.combo // 'a'
 */
export function momentOfRound(round: Pick<CompiledRound, 'cues' | 'cycles'>, at: Seconds): RoundMoment {
  const calls: Cue[] = [];
  let offer: Cue | null = null;
  let countsIn = false;
  for (
    let i = lastAt(round.cues, at + LONGEST_BEFORE);
    i >= 0 && round.cues[i]!.at > at - 8 && (calls.length < 2 || !offer);
    i--
  ) {
    const cue = round.cues[i]!;
    // A call is seen from where it is heard.
    if ((cue.clip?.start ?? cue.at) > at) continue;
    // A beat of the count-in is heard and never seen: a number is a stroke to whoever trains by numbers.
    const isBeat = cue.kind === 'count' && cue.sound === 'count-in' && /^\d+$/.test(cue.text);
    if (isBeat && calls.length === 0 && cue.at > at - COUNT_IN_BEAT) countsIn = true;
    const spoken = cue.clip !== undefined || cue.kind === 'stance' || cue.sound === 'count-in';
    if (SPOKEN.has(cue.kind) && spoken && !isBeat && calls.length < 2) calls.push(cue);
    if (cue.kind === 'show') offer ??= cue;
  }
  const [call, before] = calls;
  const cycle = round.cycles[lastAt(round.cycles, at)];
  const beat = cycle ? (at - cycle.at) / cycle.beatSeconds : null;
  const runs = cycle !== undefined && beat !== null && beat <= cycle.beats;
  const stroke = runs ? lastStroke(round.cues, cycle, at) : null;
  const isOver = (shown: Cue): boolean =>
    runs && shown.cycle === cycle.cycle && stroke !== null && (shown.stroke ?? 0) <= stroke;
  return {
    call: call && (countsIn || call.at > at - CALL_STAYS) ? call : null,
    before: before?.kind === 'call' && before.stroke !== undefined ? before : null,
    offer: offer && !isOver(offer) && (runs || offer.at > at - CALL_STAYS) ? offer : null,
    cycle: runs ? cycle : null,
    beat: runs ? beat : null,
    stroke,
  };
}

function lastStroke(cues: readonly Cue[], cycle: Cycle, at: Seconds): number | null {
  for (let i = lastAt(cues, at); i >= 0 && cues[i]!.at >= cycle.at; i--) {
    const cue = cues[i]!;
    if (cue.kind === 'strike' && cue.cycle === cycle.cycle && cue.block === cycle.block)
      return cue.stroke ?? null;
  }
  return null;
}
