/** What the fields of a move are chosen from. */
export const FAMILIES = [
  'punch',
  'open-hand',
  'elbow',
  'kick',
  'knee',
  'block',
  'evasion',
  'clinch',
  'step',
  'stance',
] as const;
export const LIMB_KINDS = ['hand', 'both-hands', 'leg', 'feet', 'body'] as const;
export const MOVE_SIDES = [
  'front',
  'rear',
  'free-front',
  'free-rear',
  'over-front',
  'over-rear',
  'both',
  'none',
] as const;
export const LEVELS = ['head', 'body', 'low'] as const;
export const SUPPORTS = ['both-feet', 'one-foot', 'airborne', 'ground'] as const;
export const STANCES = ['fighting', 'square', 'long', 'back', 'horse', 'kneeling'] as const;
export const CAUTION_TAGS = [
  'head-contact',
  'knee-strike',
  'elbow-strike',
  'spin',
  'jump',
  'clinch',
  'toes-back',
  'toes-pointed',
  'pivot-first',
  'weight-on-wrist',
] as const;
