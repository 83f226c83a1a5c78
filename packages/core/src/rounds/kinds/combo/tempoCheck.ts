import { cleanTempo, limbClock, repeatClock, type Walk } from '../../../body/index.ts';
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

type Clean = ReturnType<typeof cleanTempo>;

/** The fastest clean tempo of a walk that is repeated every so many beats; each is worked out once. */
export type CleanTempos = (walk: Walk, beats: number) => Clean;

export function cleanTempos(factor: number): CleanTempos {
  const known = new Map<Walk, Map<number, Clean>>();
  return (walk, beats) => {
    let ofWalk = known.get(walk);
    if (!ofWalk) known.set(walk, (ofWalk = new Map()));
    let clean = ofWalk.get(beats);
    if (clean === undefined) {
      const settings = { factor };
      clean = cleanTempo({ ...limbClock(walk, settings), repeat: repeatClock(walk, beats, settings) });
      ofWalk.set(beats, clean);
    }
    return clean;
  };
}

/** Watches over the tempo of a block: for each combo, the fastest time through that the body cannot do cleanly. */
export class TempoCheck {
  private readonly cleanOf: CleanTempos;
  private readonly worst = new Map<string, TooFast>();

  constructor(cleanOf: CleanTempos) {
    this.cleanOf = cleanOf;
  }

  /** A time through of so many beats at this tempo. */
  see({ combo, walk }: CyclePlan, beats: number, bpm: Bpm, at: Seconds): void {
    const clean = this.cleanOf(walk, beats);
    if (!clean || bpm <= clean.bpm) return;
    const before = this.worst.get(combo.id);
    if (!before || bpm > before.bpm) this.worst.set(combo.id, { combo, at: before?.at ?? at, bpm, clean });
  }

  /** Tells what was seen, once for each combo, with both numbers. */
  tell(block: string, layout: Layout): void {
    for (const { combo, at, bpm, clean } of this.worst.values()) {
      const name = combo.grade === '' ? `“${combo.title}”` : `${combo.grade} ${combo.number}`;
      const why = clean.by === 'repeat' ? ' from one time through to the next' : '';
      layout.findings.push({
        rule: 'tempo-too-fast',
        severity: 'caution',
        at,
        block,
        message: `${name} is done at ${Math.round(bpm)} a minute here; ${clean.bpm} is its fastest clean tempo${why}.`,
      });
    }
  }
}
