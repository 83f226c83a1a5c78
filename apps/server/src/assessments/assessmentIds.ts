import { createHash } from 'node:crypto';
import type { TrialKind } from '@eurhythm/core/speed';

/** Id of the burst of a title and a length: the same for everybody who means the same. */
export function burstId(title: string, seconds: number): string {
  return `burst-${createHash('md5').update(`${title}/${seconds}`).digest('hex')}`;
}

/** Id of the test of how long a line takes. */
export const comboTestId = (line: string): string => ownTestId('combo-time', line);

/** Id of the test of a kind that has a line or a name. */
export function ownTestId(kind: TrialKind, what: string): string {
  return `${kind}-${createHash('md5').update(what).digest('hex')}`;
}
