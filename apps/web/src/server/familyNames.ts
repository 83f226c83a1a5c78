import type { Family } from '@eurhythm/core/moves';

/** The families of the move book as a coach says them. */
export const FAMILY_NAMES: Readonly<Record<Family, string>> = {
  punch: 'Punches',
  'open-hand': 'Other hand strikes',
  elbow: 'Elbows',
  kick: 'Kicks',
  knee: 'Knees',
  block: 'Blocks',
  evasion: 'Evasions',
  clinch: 'Close range',
  step: 'Steps',
  stance: 'Stances',
};
