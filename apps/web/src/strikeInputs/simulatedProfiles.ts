import type { FighterProfile, RoundProfile } from '@eurhythm/core/simulation';

/** Who strikes where it is only tried: in a round a little late, tiring, and not always there; in a burst as many as most do. */
export const NOBODY_IN_ROUND: RoundProfile = {
  bias: 0.02,
  spread: 0.025,
  fading: 0.03,
  misses: 0.08,
  extras: 0.06,
};
export const NOBODY_IN_BURST: FighterProfile = { rate: 3.4, spread: 0.15, fading: 0.15 };
