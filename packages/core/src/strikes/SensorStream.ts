import type { Seconds } from '../units/index.ts';

/** What a strike sensor sends, one JSON object a message (docs/strikes.md). */
export type SensorMessage =
  /** First of a connection. `session` is another one each time the sensor starts, and its clock and its numbers with it. */
  | { readonly kind: 'hello'; readonly sensor: string; readonly session: string }
  /** A strike, at an instant of the sensor's own clock; numbers go up by one from 1. */
  | { readonly kind: 'impact'; readonly sequence: number; readonly at: Seconds; readonly force: number }
  /** Nothing happened; the last number that was given. */
  | { readonly kind: 'alive'; readonly sequence: number; readonly at: Seconds };

/** What a sensor sent is passed on like this to whoever listens: from which sensor and connection, or that it is gone. */
export type SensorNews =
  | { readonly sensor: string; readonly connection: string; readonly message: SensorMessage }
  | { readonly sensor: string; readonly connection: string; readonly gone: true };

/** No name of a sensor is longer. */
const LONGEST_NAME = 60;

/**
 * Reads what a sensor sent; null for what is no message of the open format.
 *
 * @example
 * readSensorMessage('{"kind":"alive","sequence":0,"at":1}')?.kind // 'alive'
 */
export function readSensorMessage(text: string): SensorMessage | null {
  let read: Readonly<Record<string, unknown>>;
  try {
    read = JSON.parse(text) as typeof read;
  } catch {
    return null; // not JSON
  }
  if (typeof read !== 'object' || read === null) return null;
  const { kind, sensor, session, sequence, at, force } = read;
  const isName = (name: unknown): name is string =>
    typeof name === 'string' && name.length > 0 && name.length <= LONGEST_NAME;
  if (kind === 'hello') return isName(sensor) && isName(session) ? { kind, sensor, session } : null;
  if (!Number.isSafeInteger(sequence) || (sequence as number) < 0 || !Number.isFinite(at)) return null;
  const place = { sequence: sequence as number, at: at as Seconds };
  if (kind === 'alive') return { kind, ...place };
  return kind === 'impact' && Number.isFinite(force) ? { kind, ...place, force: force as number } : null;
}

export interface SensorImpact {
  readonly sequence: number;
  /** On the clock of this device. */
  readonly at: Seconds;
  readonly strength: number;
}

/** The clocks are compared over the messages of so long. */
const COMPARED: Seconds = 20;
/** No pad is struck more often; a sensor that says so is out of order. */
const MOST_A_SECOND = 40;
/** A clock that goes back by more than this has begun anew. */
const JUMPS: Seconds = 1;

/**
 * Takes what a sensor sends, however it comes: twice, late, in another order, with holes, over a connection that is made anew; and puts
 * its impacts on the clock of this device. What was lost is counted, not guessed.
 */
export class SensorStream {
  private session = '';
  private readonly taken = new Map<number, { readonly at: Seconds; readonly force: number }>();
  private highest = 0;
  private first = 0;
  private newest: Seconds = -Infinity;
  private compared: { readonly at: Seconds; readonly offset: Seconds }[] = [];
  private kept: SensorImpact[] = [];
  private recent: Seconds[] = [];
  private floods = 0;
  private lostBefore = 0;

  /** Takes a message that came at this instant of this device's clock; gives the impact that it brings, or null. */
  take(message: SensorMessage, received: Seconds): SensorImpact | null {
    if (message.kind === 'hello') {
      if (message.session !== this.session) this.begin(message.session);
      return null;
    }
    const { sequence, at } = message;
    if (!Number.isFinite(at) || !Number.isSafeInteger(sequence) || sequence < 0) return null;
    if (at < this.newest - JUMPS && sequence > this.highest) this.begin(this.session);
    this.newest = Math.max(this.newest, at);
    this.compare(at, received);
    if (this.first === 0) this.first = message.kind === 'impact' ? sequence : sequence + 1;
    this.highest = Math.max(this.highest, sequence);
    if (message.kind === 'alive' || this.taken.has(sequence)) return null;
    this.recent = [...this.recent.filter((each) => received - each < 1), received];
    if (this.recent.length > MOST_A_SECOND) {
      this.floods += 1;
      return null;
    }
    this.first = Math.min(this.first, sequence);
    this.taken.set(sequence, { at, force: message.force });
    return { sequence, at: at + this.offset, strength: message.force };
  }

  /** All impacts, in order, on the clock of this device, as the clocks are known by now. */
  get impacts(): readonly SensorImpact[] {
    return [...this.kept, ...this.mapped()].sort((a, b) => a.at - b.at);
  }

  /** How many impacts never came. */
  get lost(): number {
    return this.lostBefore + this.missing();
  }

  /** How many were not counted because no pad is struck so often. */
  get flooded(): number {
    return this.floods;
  }

  private missing(): number {
    return this.first === 0 ? 0 : Math.max(0, this.highest - this.first + 1 - this.taken.size - this.floods);
  }

  private mapped(): SensorImpact[] {
    return [...this.taken].map(([sequence, { at, force }]) => ({
      sequence,
      at: at + this.offset,
      strength: force,
    }));
  }

  private begin(session: string): void {
    this.kept = [...this.kept, ...this.mapped()];
    this.lostBefore += this.missing();
    this.session = session;
    this.taken.clear();
    this.compared = [];
    this.highest = 0;
    this.first = 0;
    this.newest = -Infinity;
  }

  /** What this device's clock is ahead: messages are late by the network, never early, so the least difference is the nearest. */
  private get offset(): Seconds {
    return this.compared.reduce((least, { offset }) => Math.min(least, offset), Infinity);
  }

  private compare(at: Seconds, received: Seconds): void {
    this.compared = this.compared.filter((each) => at - each.at < COMPARED);
    this.compared.push({ at, offset: received - at });
  }
}
