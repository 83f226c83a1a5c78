import type { AudioOutput } from './AudioOutput.ts';
import type { ClockedOutput } from '../RoundPlayer.ts';

/** Whether this browser can make any sound. */
export const makesSound = (): boolean => typeof AudioContext !== 'undefined';
export const NO_SOUND =
  'This browser makes no sound. What is shown goes on as always; for the voice, open the page in another one.';

/** What the Floor needs of an output. */
export type FloorOutput = ClockedOutput & Pick<AudioOutput, 'apply'>;

/** An output for a browser without sound: a round runs by the wall clock, and everything that is shown with it. */
export class SilentOutput implements FloorOutput {
  readonly audible = false;
  readonly latency = 0;
  readonly context = Object.assign(new EventTarget(), { currentTime: 0 });

  wake(): void {}
  apply(): void {}
  close(): void {}

  async load(_ids: readonly string[], onShare: (share: number) => void): Promise<void> {
    onShare(1);
  }

  play(): () => void {
    return () => {};
  }
}
