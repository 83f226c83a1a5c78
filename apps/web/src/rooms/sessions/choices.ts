/** The settings of a round in a coach's words. */
export const KIND_CHOICES = [
  { value: 'warm-up', label: 'Warm-up' },
  { value: 'technique', label: 'Technique' },
  { value: 'combos', label: 'Combos' },
  { value: 'pads', label: 'Pads' },
  { value: 'shadow', label: 'Shadow' },
  { value: 'conditioning', label: 'Conditioning' },
  { value: 'stretch', label: 'Stretch' },
] as const;

export const CALL_CHOICES = [
  { value: 'on-beat', label: 'Each stroke on its beat' },
  { value: 'ahead', label: 'Each stroke one slot ahead' },
  { value: 'lead-in', label: 'Only the combo, then count-in' },
  { value: 'one-count', label: 'One count for each time through' },
  { value: 'holder', label: 'For the holder: what to offer next' },
  { value: 'silent', label: 'Silent: the holder shows' },
] as const;

export const WORD_CHOICES = [
  { value: 'numbers', label: 'Numbers' },
  { value: 'names', label: 'Names' },
  { value: 'combo-number', label: 'Combo number only' },
] as const;

export const STEADY_PLAN_CHOICES = [
  { value: 'as-set', label: 'As set' },
  { value: 'other', label: 'Other lead' },
  { value: 'halves', label: 'Both leads, half each' },
] as const;

export const PLAN_CHOICES = [
  ...STEADY_PLAN_CHOICES,
  { value: 'each', label: 'Change after each set' },
  { value: 'random', label: 'Either lead, at random' },
] as const;

export const GOES_BY_CHOICES = [
  { value: 'clock', label: 'The clock' },
  { value: 'times', label: 'Repetitions' },
] as const;

export const SHAPE_CHOICES = [
  { value: 'constant', label: 'Steady' },
  { value: 'ramp', label: 'Rising or falling' },
  { value: 'steps', label: 'In steps' },
  { value: 'build-up', label: 'Parts, joined, fast' },
  { value: 'broken', label: 'Broken: two quick, a pause' },
] as const;

export const GAP_CHOICES = [
  { value: 'steady', label: 'No wait' },
  { value: 'random', label: 'A random wait' },
] as const;

export const ORDER_CHOICES = [
  { value: 'in-order', label: 'As listed' },
  { value: 'shuffled', label: 'Shuffled' },
  { value: 'newest-twice', label: 'The last one twice' },
  { value: 'by-need', label: 'By need' },
] as const;

export const LEAD_CHOICES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
