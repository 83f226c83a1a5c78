import { openHeartbeat } from '../workers/heartbeat.ts';
import { soundEvents, type SoundEvent } from '@eurhythm/core/rounds';
import { firstSoundFrom, type RoundToPlay } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { Anchor, SoundOutput, HandOver, PlacedSound, PlayerEnd } from './player.ts';

/** Sounds are put on the audio clock this long before they are due: a page that stalls for less moves no beat. */
const AHEAD: Seconds = 4;
/** Time between the press and the first sound, so that nothing is due before it can be placed. */
const HEAD_START: Seconds = 0.12;
/** A thread that beats five times a second and was not heard for so long slept, with its device. */
const SLEPT_MS = 5000;
/** Beats that are counted before a held round goes on. */
const COUNTED_BEATS = 2;

/** An output with the clock that the sounds are placed on. */
export type ClockedOutput = SoundOutput & {
  readonly context: Pick<AudioContext, 'currentTime' | 'addEventListener' | 'removeEventListener'>;
};

/**
 * Plays a compiled round. The sounds of the round that follows are placed ahead behind it, on the same clock, so that it begins on
 * its sample; what rings when the last one is over rings out. The position runs on the audio clock; while the browser still
 * keeps the page silent it runs on the wall clock, and moves over to the audio clock, at the same second, as soon as that goes.
 */
export class RoundPlayer {
  round: RoundToPlay;
  /** Of this round and of the one that follows, on the clock of this one. */
  private events: readonly SoundEvent[];
  private own = 0;
  private anchor: Anchor | null = null;
  private stoppedAt: Seconds = 0;
  /** The position does not go back behind this while a count leads up to it. */
  private countedTo: Seconds = 0;
  private holdsAt: Seconds | null = null;
  private next = 0;
  private beatAt = Date.now();
  private placed: PlacedSound[] = [];
  private readonly heartbeat: Worker;
  private readonly onState = (): void => this.moveToAudio();
  private readonly output: ClockedOutput;
  private readonly onEnd: (end: PlayerEnd) => void;
  private following: RoundToPlay | null;

  /** `onEnd` is reported when the round is over, has come to where it was to be held, or the device slept. */
  constructor(
    output: ClockedOutput,
    round: RoundToPlay,
    onEnd: (end: PlayerEnd) => void,
    following: RoundToPlay | null = null,
  ) {
    this.output = output;
    this.round = round;
    this.onEnd = onEnd;
    this.following = following;
    this.events = this.eventsOf(round);
    this.heartbeat = openHeartbeat();
    this.heartbeat.onmessage = () => this.beat();
    output.context.addEventListener('statechange', this.onState);
  }

  get running(): boolean {
    return this.anchor !== null;
  }

  /** Where the round stands, in seconds from its start. */
  get position(): Seconds {
    if (!this.anchor) return this.stoppedAt;
    const end = this.holdsAt ?? this.round.duration;
    return Math.max(this.countedTo, Math.min(end, this.clock - this.anchor.zero));
  }

  private get clock(): Seconds {
    return this.anchor?.clock === 'audio' ? this.output.context.currentTime : performance.now() / 1000;
  }

  /** Goes on where the round before it ended. */
  takeOver({ anchor, placed, next }: HandOver): void {
    this.takeBack();
    this.holdsAt = null;
    this.countedTo = -Infinity;
    this.anchor = anchor;
    this.placed = [...placed];
    this.next = next;
    this.place();
  }

  private eventsOf(round: RoundToPlay): readonly SoundEvent[] {
    const own = soundEvents(round);
    this.own = own.length;
    if (!this.following) return own;
    return [
      ...own,
      ...soundEvents(this.following).map((event) => ({ ...event, at: event.at + round.duration })),
    ];
  }

  /** Runs on from a position; what began before it is not heard. With `beat`, two beats of that length are counted first. */
  start(position: Seconds, beat: Seconds = 0): void {
    this.takeBack();
    this.holdsAt = null;
    const lead = position === 0 || beat > 0 ? HEAD_START : 0;
    const counted = COUNTED_BEATS * beat;
    this.countedTo = beat > 0 ? position : -Infinity;
    this.anchor = this.output.audible
      ? { clock: 'audio', zero: this.output.context.currentTime + lead + counted - position }
      : { clock: 'wall', zero: performance.now() / 1000 + counted - position };
    if (beat > 0) this.count(position, beat);
    this.next = firstSoundFrom(this.events, position + (lead === 0 ? 0.02 : 0));
    this.output.wake();
    this.place();
  }

  /** Stops at once; gives the position to run on from. */
  hold(): Seconds {
    this.stoppedAt = Math.max(0, this.position);
    this.anchor = null;
    this.holdsAt = null;
    this.takeBack();
    return this.stoppedAt;
  }

  /** Runs on up to a position ahead and holds there; null lets it run on after all. */
  holdAt(position: Seconds | null): void {
    if (!this.anchor) return;
    this.holdsAt = position;
    this.placeAgain(position ?? this.position);
  }

  /** Goes on with another compile of the same round, which is the same up to `from`; that lies ahead. */
  swap(round: RoundToPlay, from: Seconds): void {
    this.round = round;
    this.events = this.eventsOf(round);
    this.placeAgain(from);
  }

  /** Another round follows this one; what of the former stands on the clock already is taken off. */
  follow(following: RoundToPlay | null): void {
    this.following = following;
    this.events = this.eventsOf(this.round);
    const { duration } = this.round;
    for (const { at, take } of this.placed) if (at >= duration) take();
    this.placed = this.placed.filter(({ at }) => at < duration);
    this.next = Math.min(this.next, this.own);
    this.place();
  }

  dispose(): void {
    this.hold();
    this.heartbeat.terminate();
    this.output.context.removeEventListener('statechange', this.onState);
  }

  private count(position: Seconds, beat: Seconds): void {
    if (this.anchor?.clock !== 'audio') return;
    for (let left = COUNTED_BEATS; left > 0; left--) {
      const event: SoundEvent = {
        at: position - left * beat,
        bus: 'tick',
        source: { kind: 'synth', sound: 'count-in' },
        gain: 1,
      };
      this.placed.push({ at: event.at, take: this.output.play(event, this.anchor.zero + event.at) });
    }
  }

  private moveToAudio(): void {
    if (this.anchor?.clock === 'wall' && this.output.audible) this.start(Math.max(0.001, this.position));
  }

  private beat(): void {
    const now = Date.now();
    const hasSlept = now - this.beatAt > SLEPT_MS;
    this.beatAt = now;
    if (!this.anchor) return;
    if (hasSlept) return this.onEnd({ kind: 'slept' });
    this.place();
    const { position, holdsAt, anchor } = this;
    this.placed = this.placed.filter(({ at }) => at > position - 5);
    if (position < (holdsAt ?? this.round.duration)) return;
    const handOver = this.handOver(anchor);
    this.stoppedAt = position;
    this.anchor = null;
    this.holdsAt = null;
    // What sounds still is not taken back any more.
    this.placed = [];
    this.onEnd(holdsAt === null ? { kind: 'over', handOver } : { kind: 'held' });
  }

  private handOver({ clock, zero }: Anchor): HandOver {
    const { duration } = this.round;
    return {
      anchor: { clock, zero: zero + duration },
      placed: this.placed.flatMap(({ at, take }) => (at >= duration ? { at: at - duration, take } : [])),
      next: Math.max(0, this.next - this.own),
    };
  }

  private place(): void {
    if (this.anchor?.clock !== 'audio') return;
    const until = Math.min(this.holdsAt ?? Infinity, this.clock - this.anchor.zero + AHEAD);
    for (; this.next < this.events.length && this.events[this.next]!.at < until; this.next++) {
      const event = this.events[this.next]!;
      this.placed.push({ at: event.at, take: this.output.play(event, this.anchor.zero + event.at) });
    }
  }

  /** Takes off what stands on the clock from `from` on, and places it anew. */
  private placeAgain(from: Seconds): void {
    for (const { at, take } of this.placed) if (at >= from) take();
    this.placed = this.placed.filter(({ at }) => at < from);
    this.next = firstSoundFrom(this.events, from);
    this.place();
  }

  private takeBack(): void {
    for (const { take } of this.placed) take();
    this.placed = [];
  }
}
