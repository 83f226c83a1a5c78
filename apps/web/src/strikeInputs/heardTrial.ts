import type { HeardTrial, StrikeSource } from '@eurhythm/core/speed';
import type { Onset } from '@eurhythm/core/strikes';
import type { StrikeInput } from './StrikeInput.ts';

/** What heard, as a trial keeps it. */
export type KeptInput = Pick<StrikeInput, 'device' | 'detector' | 'leastStrength'> & {
  readonly source: StrikeSource;
};

/** Names of devices and files as they are kept: plain, and not too long. */
export const plainName = (name: string): string => name.replace(/[<>\p{Cc}]/gu, '').slice(0, 120);

/** What a trial is worked out from: what an input heard, and what was due. */
export function heardTrial(
  { source, device, detector, leastStrength }: KeptInput,
  onsets: readonly Onset[],
  more: Pick<HeardTrial, 'due' | 'starts' | 'hits' | 'own'>,
): HeardTrial {
  const weak = leastStrength === null ? {} : { leastStrength };
  return { source, device: plainName(device), detector, onsets, ...more, ...weak };
}
