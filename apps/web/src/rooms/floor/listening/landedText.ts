import type { LandedDto } from '@eurhythm/contract';

type Counted = Pick<LandedDto, 'hits' | 'misses' | 'extras' | 'bias'>;

/** Nobody feels less. */
const FELT = 0.015;

/** What landed, in a sentence: “34 of 40 landed, 3 beside, 20 ms late”. */
export function landedText({ hits, misses, extras, bias }: Counted): string {
  const parts = [`${hits} of ${hits + misses} landed`];
  if (extras > 0) parts.push(`${extras} beside`);
  if (hits > 0) parts.push(biasText(bias));
  return parts.join(', ');
}

function biasText(bias: number): string {
  if (Math.abs(bias) < FELT) return 'on the beat';
  return `${Math.round(Math.abs(bias) * 1000)} ms ${bias > 0 ? 'late' : 'early'}`;
}
