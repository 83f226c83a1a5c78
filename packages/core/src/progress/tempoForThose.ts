import { TEMPO_STEP, tempoForMost } from '../speed/index.ts';
import type { Bpm } from '../units/index.ts';

/** What a tempo is to some people. */
export interface TempoForThose {
  /** The tempo that is right for most: three of four are at least as far. */
  readonly bpm: Bpm;
  /** How many of how many are known to be more than a step slower than the tempo that was asked about. */
  readonly wild: number;
  readonly of: number;
}

/**
 * The tempo of a combo for those who are here, from what each was advised, and for how many `asked` would be wild. Null where nobody
 * was advised anything.
 *
 * @example
 * tempoForThose([{ bpm: 84 }, { bpm: 84 }, { bpm: 92 }], 96) // { bpm: 84, wild: 2, of: 3 }
 */
export function tempoForThose(advised: readonly { readonly bpm: Bpm }[], asked: Bpm): TempoForThose | null {
  const bpm = tempoForMost(advised.map((each) => each.bpm));
  if (bpm === null) return null;
  const wild = advised.filter((each) => asked > each.bpm + TEMPO_STEP).length;
  return { bpm, wild, of: advised.length };
}
