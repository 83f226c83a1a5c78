/** The settings of a round in a coach's words. */
export const KIND_CHOICES = [
  { value: 'pads', label: 'Pads' },
  { value: 'shadow', label: 'Shadow' },
] as const;

export const CALL_CHOICES = [
  { value: 'on-beat', label: 'Each stroke on its beat' },
  { value: 'ahead', label: 'Each stroke one slot ahead' },
  { value: 'lead-in', label: 'Only the combo, then count-in' },
  { value: 'silent', label: 'Silent: the holder shows' },
] as const;

export const WORD_CHOICES = [
  { value: 'numbers', label: 'Numbers' },
  { value: 'names', label: 'Names' },
] as const;

export const PLAN_CHOICES = [
  { value: 'as-set', label: 'As set' },
  { value: 'other', label: 'Other lead' },
  { value: 'halves', label: 'Both leads, half each' },
] as const;

export const LEAD_CHOICES = [
  { value: 'left', label: 'Left' },
  { value: 'right', label: 'Right' },
] as const;
