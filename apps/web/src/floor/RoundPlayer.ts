import { soundEvents, type CompiledRound, type SoundEvent } from '@eurhythm/core/rounds';
import type { Seconds } from '@eurhythm/core/units';
import type { AudioDesk } from './AudioDesk.ts';

/** Sounds are put on the audio clock this long before they are due: a page that stalls for less moves no beat. */
const AHEAD: Seconds = 4;
/** Time between the press and the first sound, so that nothing is due before it can be placed. */
const HEAD_START: Seconds = 0.12;

type Anchor = { readonly clock: 'audio' | 'wall'; readonly zero: Seconds };

/**
 * Plays a compiled round. The position runs on the audio clock; while the browser still keeps the page silent it runs on
 * the wall clock, and moves over to the audio clock, at the same second, as soon as that goes.
 */
export class RoundPlayer {
  private readonly events: readonly SoundEvent[];
  private anchor: Anchor | null = null;
  private stoppedAt: Seconds = 0;
  private next = 0;
  private placed: { readonly at: Seconds; readonly take: () => void }[] = [];
  private readonly heartbeat: Worker;
  private readonly onState = (): void => this.moveToAudio();
  readonly round: CompiledRound;
  private readonly desk: AudioDesk;
  private readonly onEnd: () => void;

  constructor(desk: AudioDesk, round: CompiledRound, onEnd: () => void) {
    this.desk = desk;
    this.round = round;
    this.onEnd = onEnd;
    this.events = soundEvents(round);
    this.heartbeat = new Worker(new URL('../workers/heartbeat.worker.ts', import.meta.url), {
      type: 'module',
    });
    this.heartbeat.onmessage = () => this.beat();
    desk.context.addEventListener('statechange', this.onState);
  }

  get running(): boolean {
    return this.anchor !== null;
  }

  /** Where the round stands, in seconds from its start. */
  get position(): Seconds {
    if (!this.anchor) return this.stoppedAt;
    const now = this.anchor.clock === 'audio' ? this.desk.context.currentTime : performance.now() / 1000;
    return Math.min(this.round.duration, now - this.anchor.zero);
  }

  /** Runs on from a position; what began before it is not heard. */
  start(position: Seconds): void {
    this.takeBack();
    const lead = position === 0 ? HEAD_START : 0;
    this.anchor = this.desk.audible
      ? { clock: 'audio', zero: this.desk.context.currentTime + lead - position }
      : { clock: 'wall', zero: performance.now() / 1000 - position };
    this.next = this.firstFrom(position + (lead === 0 ? 0.02 : 0));
    void this.desk.context.resume();
    this.place();
  }

  /** Stops at once; gives the position to run on from. */
  hold(): Seconds {
    this.stoppedAt = Math.max(0, this.position);
    this.anchor = null;
    this.takeBack();
    return this.stoppedAt;
  }

  dispose(): void {
    this.hold();
    this.heartbeat.terminate();
    this.desk.context.removeEventListener('statechange', this.onState);
  }

  private firstFrom(position: Seconds): number {
    const first = this.events.findIndex((event) => event.at >= position);
    return first === -1 ? this.events.length : first;
  }

  private moveToAudio(): void {
    if (this.anchor?.clock === 'wall' && this.desk.audible) this.start(Math.max(0.001, this.position));
  }

  private beat(): void {
    if (!this.anchor) return;
    this.place();
    const { position } = this;
    this.placed = this.placed.filter(({ at }) => at > position - 5);
    if (position < this.round.duration) return;
    this.stoppedAt = this.round.duration;
    this.anchor = null;
    this.onEnd();
  }

  private place(): void {
    if (this.anchor?.clock !== 'audio') return;
    const until = this.position + AHEAD;
    for (; this.next < this.events.length && this.events[this.next]!.at < until; this.next++) {
      const event = this.events[this.next]!;
      this.placed.push({ at: event.at, take: this.desk.play(event, this.anchor.zero + event.at) });
    }
  }

  private takeBack(): void {
    for (const { take } of this.placed) take();
    this.placed = [];
  }
}
