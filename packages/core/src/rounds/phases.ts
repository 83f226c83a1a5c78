/** What a round is for, in the order of a class. */
export const PHASES = [
  'warm-up',
  'technique',
  'combos',
  'pads',
  'shadow',
  'conditioning',
  'stretch',
] as const;
export type Phase = (typeof PHASES)[number];
