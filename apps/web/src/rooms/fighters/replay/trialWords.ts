import { valueText } from '@eurhythm/core/progress';
import type { AttemptView } from '@eurhythm/contract';

/** How a trial was counted, in words. */
export const MEASURED_WORDS: Readonly<Record<AttemptView['measured'], string>> = {
  taps: 'by taps',
  partner: 'counted by a partner',
  'by-hand': 'counted by hand',
  microphone: 'by microphone',
  motion: 'by the motion of a phone',
  sensor: 'by sensor',
  file: 'from a file',
  'self-reported': 'reported, not seen',
};

/** What a trial came to: “38 in 10 s”, “1.42 s”. */
export function trialText({
  kind,
  unit,
  count,
  value,
  seconds,
}: Pick<AttemptView, 'kind' | 'unit' | 'count' | 'value' | 'seconds'>): string {
  if (kind === 'burst') return `${count} in ${seconds} s`;
  if (kind === 'measure' && value !== null) return valueText(kind, unit)(value);
  return value === null ? `${count} counted` : `${value.toFixed(2)} s`;
}
