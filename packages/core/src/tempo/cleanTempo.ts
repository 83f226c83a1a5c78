import { cleanWhenRepeated, walkStance, type OwnPace, type Walk } from '../body/index.ts';
import { parseLine } from '../line/index.ts';
import type { Lead, MoveBook } from '../moves/index.ts';
import { cycleLength } from '../rounds/index.ts';
import { BPM_LIMITS, type Bpm } from '../units/index.ts';

/** A combo as far as its tempo goes. */
export interface TempoCombo {
  readonly id: string;
  readonly line: string;
  /** The tempo that the coach wrote it with. */
  readonly bpm: Bpm;
  readonly beatsPerBar?: number | undefined;
  readonly cycleBeats?: number | null | undefined;
}

/** How many times as long as at sharp pace a body needs for a move: the gym's pace, or what was measured of somebody. */
export type BodyPace = number | OwnPace;

/** The fastest tempo up to `most` at which a body at this pace does a combo cleanly, over and over, from both leads. */
export type CleanUpTo = (combo: TempoCombo, pace: BodyPace, most?: Bpm) => Bpm;

const LEADS = ['left', 'right'] as const;

/**
 * Looks for the fastest clean tempos of a book; every line is walked once, and every length of a time through is reckoned once for each
 * pace. How long one time through is depends on its tempo, as it does when it is played. A line that cannot be read has no limit of its
 * own, nor has one that no tempo could save: the line itself is told of.
 *
 * @example
 * cleanTempos(book)({ id: 'a', line: 'r:round-r:round', bpm: 80 }, 1.25) < 80 // true
 */
export function cleanTempos(book: MoveBook): CleanUpTo {
  const walks = new Map<string, Walk | null>();
  const limits = new Map<string, Bpm>();
  const found = new Map<string, Bpm>();
  const walkOf = (line: string, lead: Lead): Walk | null => {
    const key = `${lead} ${line}`;
    let walk = walks.get(key);
    if (walk === undefined) {
      const parsed = parseLine(line, book);
      walks.set(key, (walk = parsed.ok ? walkStance(parsed.line, book, lead) : null));
    }
    return walk;
  };
  const limitAt = (walk: Walk, beats: number, key: string, pace: BodyPace): Bpm => {
    const of = `${key} ${beats}`;
    let limit = limits.get(of);
    if (limit === undefined)
      limits.set(of, (limit = cleanWhenRepeated(walk, beats, { factor: pace })?.bpm ?? Infinity));
    return limit;
  };
  return (combo, pace, most = BPM_LIMITS.max) => {
    const paceKey = typeof pace === 'number' ? String(pace) : JSON.stringify(pace);
    const key = `${paceKey} ${combo.beatsPerBar ?? ''} ${combo.cycleBeats ?? ''} ${combo.line}`;
    const known = found.get(`${key} ${most}`);
    if (known !== undefined) return known;
    let bpm = Math.floor(most);
    for (;;) {
      const least = Math.min(
        ...LEADS.map((lead) => {
          const walk = walkOf(combo.line, lead);
          return walk
            ? limitAt(walk, cycleLength(walk, lead, { ...combo, bpm }), `${lead} ${key}`, pace)
            : Infinity;
        }),
      );
      if (least >= bpm || bpm <= BPM_LIMITS.min) break;
      bpm = Math.max(BPM_LIMITS.min, Math.floor(least));
    }
    found.set(`${key} ${most}`, bpm);
    return bpm;
  };
}
