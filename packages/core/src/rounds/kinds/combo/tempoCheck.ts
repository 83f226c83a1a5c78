import { cleanWhenRepeated, type Walk } from '../../../body/index.ts';
import type { Bpm, Seconds } from '../../../units/index.ts';
import type { Layout } from '../../cue.ts';
import type { BlockCombo } from './comboBlock.ts';
import type { CyclePlan } from './cyclePlan.ts';

interface TooFast {
  readonly combo: BlockCombo;
  readonly at: Seconds;
  readonly bpm: Bpm;
  readonly clean: { readonly bpm: Bpm; readonly by: 'line' | 'repeat' };
}

/** A time through as it is asked of a fighter. */
export interface AskedTempo {
  /** As it is reported, like “Ebb 3”. */
  readonly name: string;
  readonly walk: Walk;
  readonly beats: number;
  readonly bpm: Bpm;
  /** The group that has it for its own; null for what everybody does who has none. */
  readonly group: string | null;
}

type Clean = ReturnType<typeof cleanWhenRepeated>;

/** The fastest clean tempo of a walk that is repeated every so many beats; each is worked out once. */
export type CleanTempos = (walk: Walk, beats: number) => Clean;

/**
 * @param factor how many times as long as at club pace a body needs for a move
 */
export function cleanTempos(factor: number): CleanTempos {
  const known = new Map<Walk, Map<number, Clean>>();
  return (walk, beats) => {
    let ofWalk = known.get(walk);
    if (!ofWalk) known.set(walk, (ofWalk = new Map()));
    let clean = ofWalk.get(beats);
    if (clean === undefined) {
      clean = cleanWhenRepeated(walk, beats, { factor });
      ofWalk.set(beats, clean);
    }
    return clean;
  };
}

/** Watches over the tempo of a block: for each combo, the fastest time through that the body cannot do cleanly. */
export class TempoCheck {
  private readonly cleanOf: CleanTempos;
  private readonly worst = new Map<string, TooFast>();

  private readonly onAsked: ((asked: AskedTempo) => void) | undefined;

  constructor(cleanOf: CleanTempos, onAsked?: (asked: AskedTempo) => void) {
    this.cleanOf = cleanOf;
    this.onAsked = onAsked;
  }

  /** A time through of so many beats at this tempo, of a group's own or of everybody. */
  see(
    { combo, walk }: CyclePlan,
    { beats, bpm, at, group }: { beats: number; bpm: Bpm; at: Seconds; group: string | null },
  ): void {
    this.onAsked?.({ name: nameOf(combo), walk, beats, bpm, group });
    const clean = this.cleanOf(walk, beats);
    if (!clean || bpm <= clean.bpm) return;
    const before = this.worst.get(combo.id);
    if (!before || bpm > before.bpm) this.worst.set(combo.id, { combo, at: before?.at ?? at, bpm, clean });
  }

  /** Tells what was seen, once for each combo, with both numbers. */
  tell(block: string, layout: Layout): void {
    for (const { combo, at, bpm, clean } of this.worst.values()) {
      const why = clean.by === 'repeat' ? ' from one time through to the next' : '';
      layout.findings.push({
        rule: 'tempo-too-fast',
        severity: 'caution',
        at,
        block,
        message: `${nameOf(combo)} is done at ${Math.round(bpm)} a minute here; ${clean.bpm} is its fastest clean tempo${why}.`,
      });
    }
  }
}

const nameOf = ({ grade, number, title }: BlockCombo): string =>
  grade === '' ? `“${title}”` : `${grade} ${number}`;
