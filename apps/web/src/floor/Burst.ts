import { BURST_READY, clipIds, type RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { ControllerParts } from './run/controllerState.ts';
import type { SoundOutput, Player, PlayerEnd } from './player.ts';

/** Sound that stood still for longer than this, while the device slept, has let the fighters strike for longer, too. */
const STOOD_STILL: Seconds = 3;

/** What becomes of a burst: its last bell was heard, or the device slept in the middle of it, and it counts for nothing. */
export type BurstEnd = 'over' | 'slept';

export const BURST_SLEPT = 'This device slept in the middle of it, so it counts for nothing. Start again.';

/** A burst that is played, by what is heard of it: the loudspeaker is a little behind the clock. */
export class Burst {
  private readonly output: Pick<SoundOutput, 'latency'>;
  private readonly player: Player;
  private readonly now: () => Seconds;
  private readonly onEnd: (end: BurstEnd) => void;
  private startedAt: Seconds = 0;
  /** The instant at which the last bell was due; it is heard a little later. */
  private endedAt: Seconds | null = null;
  private telling: ReturnType<typeof setTimeout> | undefined;

  /** `now` is a clock in seconds that goes on whatever the sound does. */
  constructor(
    output: Pick<SoundOutput, 'latency'>,
    open: (onEnd: (end: PlayerEnd) => void) => Player,
    now: () => Seconds,
    onEnd: (end: BurstEnd) => void,
  ) {
    this.output = output;
    this.now = now;
    this.onEnd = onEnd;
    this.player = open(({ kind }) => (kind === 'slept' ? this.slept() : this.ended()));
  }

  get round(): RoundToPlay {
    return this.player.round;
  }

  get running(): boolean {
    return this.player.running;
  }

  /** Seconds since its bell was heard; below 0 before that. */
  get at(): Seconds {
    const since = this.endedAt === null ? 0 : this.now() - this.endedAt;
    return this.player.position + since - this.output.latency - BURST_READY;
  }

  start(): void {
    this.startedAt = this.now();
    this.player.start(0);
  }

  dispose(): void {
    clearTimeout(this.telling);
    this.player.dispose();
  }

  private ended(): void {
    this.endedAt = this.now();
    this.telling = setTimeout(() => this.onEnd('over'), this.output.latency * 1000);
  }

  /** A page that was only too busy to look goes on: its sound did. */
  private slept(): void {
    if (this.now() - this.startedAt - this.player.position < STOOD_STILL) return;
    this.player.hold();
    this.onEnd('slept');
  }
}

/** A burst between two rounds, ready to be played. */
export async function openBurst(
  { output, compileBurst, player, now }: ControllerParts<SoundOutput>,
  seconds: Seconds,
  onEnd: (end: BurstEnd) => void,
  isHeard: boolean,
): Promise<Burst> {
  const round = await compileBurst(seconds, isHeard);
  await output.load(clipIds(round), () => {});
  return new Burst(
    output,
    (ends) => player(round, ends, null),
    () => now() / 1000,
    onEnd,
  );
}
