import type { Seconds } from '../units/index.ts';
import { VOICE_RATES, type ClipLibrary, type VoiceClip } from './voiceClip.ts';

/** What gives way to what: an earlier kind is never dropped for a later one. */
export const CALL_PRIORITIES = ['trigger', 'stance', 'combo', 'stroke', 'count', 'time', 'prompt'] as const;
export type CallPriority = (typeof CALL_PRIORITIES)[number];

const RANK = Object.fromEntries(CALL_PRIORITIES.map((priority, rank) => [priority, rank])) as Readonly<
  Record<CallPriority, number>
>;

/** Silence kept between two calls. */
export const CALL_SPACING: Seconds = 0.06;
/** Kept between two short calls of strokes where one of them would be lost otherwise. */
export const TIGHT_SPACING: Seconds = 0.025;
/** A call of a stroke that is no longer than this is short: two of them are told apart by their onsets. */
const SHORT_CALL: Seconds = 0.5;

/** Where a call wants to be. */
export type CallPlace =
  /** Its centre exactly here. */
  | { readonly kind: 'centre'; readonly at: Seconds }
  /** Begins here, or as soon after as there is room, up to `latest`. */
  | { readonly kind: 'start'; readonly at: Seconds; readonly latest: Seconds }
  /** Is over by here, and begins no earlier than `earliest`. */
  | { readonly kind: 'end'; readonly at: Seconds; readonly earliest: Seconds };

export interface WantedCall {
  /** Texts that say the same, longest first. */
  readonly forms: readonly string[];
  readonly place: CallPlace;
  readonly priority: CallPriority;
}

export interface FittedCall<W extends WantedCall = WantedCall> {
  readonly wanted: W;
  readonly clip: VoiceClip;
  readonly start: Seconds;
}

export interface DroppedCall<W extends WantedCall = WantedCall> {
  readonly wanted: W;
  readonly reason: 'no-room' | 'no-clip';
}

export interface FittedCalls<W extends WantedCall = WantedCall> {
  /** In order of their starts. */
  readonly fitted: readonly FittedCall<W>[];
  readonly dropped: readonly DroppedCall<W>[];
}

/**
 * Fits spoken calls around each other. First every call, the most important first, takes the least room it can do with;
 * then, in the same order, each grows to the longest form at the lowest rate that its neighbours leave room for.
 * No two calls overlap, and a call is dropped only where more important (or equally important, earlier) ones fill its place.
 * They are 60 ms apart; two short calls of strokes come as near as 25 ms before one of them is dropped.
 *
 * @example
 * fitCalls([1, 1.1].map((at) => ({ forms: ['hook'], priority: 'stroke', place: { kind: 'centre', at } })), voice).dropped.length // 1
 */
export function fitCalls<W extends WantedCall>(wanted: readonly W[], library: ClipLibrary): FittedCalls<W> {
  const order = [...wanted].sort((a, b) => RANK[a.priority] - RANK[b.priority] || a.place.at - b.place.at);
  const clipsOf = clipFinder(library);
  const taken = new TakenTimes<W>();
  const dropped: DroppedCall<W>[] = [];
  for (const call of order) {
    const { shortestFirst } = clipsOf(call.forms);
    if (shortestFirst.length === 0) {
      dropped.push({ wanted: call, reason: 'no-clip' });
      continue;
    }
    const fitted = placeFirst(call, shortestFirst, taken);
    if (fitted) taken.add(fitted);
    else dropped.push({ wanted: call, reason: 'no-room' });
  }
  for (const call of order) {
    const small = taken.of(call);
    const { longestFirst } = clipsOf(call.forms);
    if (!small || small.clip === longestFirst[0]) continue;
    taken.grow(small, longestFirst);
  }
  return { fitted: taken.all(), dropped };
}

interface ClipsOfForms {
  /** Longest form first, each from the slowest rate on. */
  readonly longestFirst: readonly VoiceClip[];
  readonly shortestFirst: readonly VoiceClip[];
}

/** Finds the clips that say a call. A round asks for the same few lists of forms thousands of times, often the very same list. */
function clipFinder(library: ClipLibrary): (forms: readonly string[]) => ClipsOfForms {
  const byList = new Map<readonly string[], ClipsOfForms>();
  const byTexts = new Map<string, ClipsOfForms>();
  return (forms) => {
    let clips = byList.get(forms);
    if (clips) return clips;
    const texts = forms.join('\n');
    clips = byTexts.get(texts);
    if (!clips) {
      const longestFirst = forms.flatMap((text) =>
        VOICE_RATES.flatMap((rate) => library.find(text, rate) ?? []),
      );
      clips = { longestFirst, shortestFirst: [...longestFirst].sort((a, b) => a.seconds - b.seconds) };
      byTexts.set(texts, clips);
    }
    byList.set(forms, clips);
    return clips;
  };
}

function placeFirst<W extends WantedCall>(
  call: W,
  clips: readonly VoiceClip[],
  taken: TakenTimes<W>,
): FittedCall<W> | null {
  for (const spacing of call.priority === 'stroke' ? [CALL_SPACING, TIGHT_SPACING] : [CALL_SPACING])
    for (const clip of clips) {
      if (spacing === TIGHT_SPACING && clip.seconds > SHORT_CALL) continue;
      const start = startFor(call.place, clip, taken, spacing);
      if (start !== null) return { wanted: call, clip, start };
    }
  return null;
}

function startFor(
  place: CallPlace,
  clip: VoiceClip,
  taken: TakenTimes<WantedCall>,
  spacing: Seconds,
): Seconds | null {
  if (place.kind === 'start') return taken.firstFree(place.at, place.latest, clip.seconds);
  const start = fixedStart(place, clip);
  return start !== null && taken.isFree(start, start + clip.seconds, spacing) ? start : null;
}

/** Where a clip starts that is bound to an instant; null where it would have to start too early. */
function fixedStart(place: Exclude<CallPlace, { kind: 'start' }>, clip: VoiceClip): Seconds | null {
  const [start, earliest] =
    place.kind === 'centre' ? [place.at - clip.centre, 0] : [place.at - clip.seconds, place.earliest];
  return start >= earliest ? start : null;
}

/** Calls in order of time, none overlapping. */
class TakenTimes<W extends WantedCall> {
  private readonly calls: FittedCall<W>[] = [];
  private readonly byWanted = new Map<WantedCall, FittedCall<W>>();

  /** Position of the first call that starts at or after this instant. */
  private positionOf(at: Seconds): number {
    const { calls } = this;
    let [low, high] = [0, calls.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (calls[middle]!.start < at) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** Whether a call from here to there keeps its distance; a smaller one than usual holds only beside short calls of strokes. */
  isFree(from: Seconds, to: Seconds, spacing: Seconds = CALL_SPACING): boolean {
    const next = this.positionOf(from);
    const [before, after] = [this.calls[next - 1], this.calls[next]];
    const beside = (call: FittedCall): Seconds => (isShortStroke(call) ? spacing : CALL_SPACING);
    return (
      (!before || endOf(before) + beside(before) <= from) && (!after || to + beside(after) <= after.start)
    );
  }

  firstFree(from: Seconds, latest: Seconds, seconds: Seconds): Seconds | null {
    for (let start = from; start <= latest;) {
      if (this.isFree(start, start + seconds)) return start;
      const next = this.positionOf(start);
      const before = this.calls[next - 1];
      const blocking = before && endOf(before) + CALL_SPACING > start ? before : this.calls[next];
      if (!blocking) return null;
      start = endOf(blocking) + CALL_SPACING;
    }
    return null;
  }

  add(call: FittedCall<W>): void {
    this.calls.splice(this.positionOf(call.start), 0, call);
    this.byWanted.set(call.wanted, call);
  }

  /** Says a call by the first of these clips that fits where it stands; it stays as it is when none does. */
  grow(call: FittedCall<W>, clips: readonly VoiceClip[]): void {
    const at = this.calls.indexOf(call, this.positionOf(call.start));
    const { wanted } = call;
    if (wanted.place.kind === 'start') {
      // It may have to go behind another call, so it looks for its place anew.
      this.calls.splice(at, 1);
      this.byWanted.delete(wanted);
      this.add(placeFirst(wanted, clips, this) ?? call);
      return;
    }
    const before = this.calls[at - 1];
    const after = this.calls[at + 1];
    const from = before ? endOf(before) + CALL_SPACING : -Infinity;
    const to = after ? after.start - CALL_SPACING : Infinity;
    for (const clip of clips) {
      const start = fixedStart(wanted.place, clip);
      if (start === null || start < from || start + clip.seconds > to) continue;
      const grown = { wanted, clip, start };
      this.calls[at] = grown;
      this.byWanted.set(wanted, grown);
      return;
    }
  }

  of(wanted: WantedCall): FittedCall<W> | undefined {
    return this.byWanted.get(wanted);
  }

  all(): readonly FittedCall<W>[] {
    return this.calls;
  }
}

function endOf(call: FittedCall): Seconds {
  return call.start + call.clip.seconds;
}

function isShortStroke({ wanted, clip }: FittedCall): boolean {
  return wanted.priority === 'stroke' && clip.seconds <= SHORT_CALL;
}
