import { clipIds, type RoundToPlay } from '@eurhythm/core/run';
import type { SoundOutput } from '../player.ts';

/** Rounds whose calls are there before the first bell: the one that begins, and the one that follows. */
const AT_ONCE = 2;
const AGAIN_MS = 3000;

/**
 * The calls of a run. Those of the rounds that begin it are waited for; the others come behind them in the order in which they
 * are called, within seconds and again and again while they cannot be had.
 */
export class RunVoice {
  private isGone = false;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly output: SoundOutput;
  private readonly onLack: (round: number | null) => void;

  /** `onLack` hears from which round on calls cannot be had now, and null when all are here. */
  constructor(output: SoundOutput, onLack: (round: number | null) => void) {
    this.output = output;
    this.onLack = onLack;
  }

  /** Loads what is called first; the rest, and `clips` beyond the rounds, comes by itself. @throws when what comes first cannot be had. */
  async load(
    rounds: readonly RoundToPlay[],
    from: number,
    clips: readonly string[],
    onShare: (share: number) => void,
  ): Promise<void> {
    await this.output.load(rounds.slice(from, from + AT_ONCE).flatMap(clipIds), onShare);
    void this.rest(rounds, from + AT_ONCE, clips);
  }

  dispose(): void {
    this.isGone = true;
    clearTimeout(this.timer);
  }

  private async rest(rounds: readonly RoundToPlay[], from: number, clips: readonly string[]): Promise<void> {
    let round = from;
    try {
      for (; round < rounds.length && !this.isGone; round++)
        await this.output.load(clipIds(rounds[round]!), () => {});
      // What may be called when something is changed, and what was skipped when the page was loaded in mid-run.
      if (!this.isGone)
        await this.output.load([...clips, ...rounds.slice(0, from).flatMap(clipIds)], () => {});
      if (!this.isGone) this.onLack(null);
    } catch {
      if (this.isGone) return;
      this.onLack(Math.min(round, rounds.length));
      this.timer = setTimeout(() => void this.rest(rounds, round, clips), AGAIN_MS);
    }
  }
}
