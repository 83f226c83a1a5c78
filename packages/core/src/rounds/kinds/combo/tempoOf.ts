import { SLOW_SHARE } from '../../../teach/index.ts';
import { BPM_LIMITS, type Bpm, type Seconds } from '../../../units/index.ts';
import type { TempoShift } from '../../roundSettings.ts';
import type { ComboBlock } from './comboBlock.ts';

/** How a cycle is done: as written, or as a stage of the build-up. */
export type Stage = 'as-set' | 'parts' | 'joined' | 'fast';

/** Where a cycle stands in its block. */
export interface CyclePlace {
  /** Share of the block's time that is over, 0 to 1. */
  readonly done: number;
  /** Cycles before it. */
  readonly cycle: number;
  readonly at: Seconds;
}

/**
 * @param done times through that are over
 */
export function stageAt(block: ComboBlock, done: number): Stage {
  if (block.tempo?.kind !== 'build-up') return 'as-set';
  return done < 1 / 3 ? 'parts' : done < 2 / 3 ? 'joined' : 'fast';
}

/** Tempo of the cycle that begins here, by the block's shape and the changes made while it runs. */
export function tempoAt(block: ComboBlock, place: CyclePlace, shifts: readonly TempoShift[] = []): Bpm {
  const shifted = shifts.reduce((sum, { from, by }) => (place.at >= from - 1e-9 ? sum + by : sum), 0);
  const bpm = shapedTempo(block, place) + shifted;
  return Math.min(BPM_LIMITS.max, Math.max(BPM_LIMITS.min, bpm));
}

function shapedTempo({ bpm, tempo = { kind: 'constant' } }: ComboBlock, { done, cycle }: CyclePlace): Bpm {
  switch (tempo.kind) {
    case 'constant':
    case 'broken':
      return bpm;
    case 'ramp':
      return bpm + (tempo.to - bpm) * Math.min(1, done);
    case 'steps':
      return bpm + tempo.by * Math.floor(cycle / tempo.every);
    case 'build-up':
      return done < 1 / 3 ? bpm * SLOW_SHARE : done < 2 / 3 ? bpm : tempo.fast;
    default:
      return tempo satisfies never;
  }
}
