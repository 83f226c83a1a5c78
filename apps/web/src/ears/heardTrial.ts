import type { HeardTrial, RoundOnset, StrikeSource } from '@eurhythm/core/speed';
import type { Ear } from './Ear.ts';

/** What heard, as a trial keeps it. */
export type KeptEar = Pick<Ear, 'device' | 'latency' | 'detector' | 'leastStrength'> & {
  readonly source: StrikeSource;
};

/** Names of devices and files as they are kept: plain, and not too long. */
export const plainName = (name: string): string => name.replace(/[<>\p{Cc}]/gu, '').slice(0, 120);

/** What a trial is worked out from: what an ear heard, and what was due. */
export function heardTrial(
  { source, device, latency, detector, leastStrength }: KeptEar,
  onsets: readonly RoundOnset[],
  more: Pick<HeardTrial, 'due' | 'starts' | 'own'>,
): HeardTrial {
  const weak = leastStrength === null ? {} : { leastStrength };
  return { source, device: plainName(device), latency, detector, onsets, ...more, ...weak };
}
