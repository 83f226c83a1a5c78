import type { WorkLimb } from '@eurhythm/core/rounds';

/** What limbs are called. */
export const LIMB_WORDS: Readonly<Record<WorkLimb, string>> = {
  'left-hand': 'left hand',
  'right-hand': 'right hand',
  'left-leg': 'left leg',
  'right-leg': 'right leg',
};
