import type { OnsetReport } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';
import type {
  InputEvents,
  RoundInputKind,
  InputWish,
  KeptSound,
  StrikeInput,
} from '../../strikeInputs/StrikeInput.ts';
import { PositionHistory } from './PositionHistory.ts';

const LOOK_MS = 250;

/** What is played, and where it stands, in seconds from its start; null while it stands still. */
export interface PlayedPlace {
  readonly round: number;
  readonly at: Seconds | null;
}

/** What a session needs to know, and to whom it reports. */
export interface SessionParts {
  place(): PlayedPlace;
  /** What a simulated fighter strikes in what is played. */
  simulatedImpacts(): readonly Seconds[];
  /** A strike of a round, `at` seconds from its start; one that lay in nothing that was played is not reported. */
  onOnset(round: number, report: OnsetReport): void;
  /** A round is begun anew: what was heard of it before is over. */
  onAgain?(round: number): void;
  onLevel?(decibels: number): void;
  /** @throws with a sentence */
  open(wish: InputWish, events: InputEvents): Promise<StrikeInput>;
  /** The page's clock. */
  now?(): Seconds;
}

export interface SessionState {
  /** Null until it is open. */
  readonly input: StrikeInput | null;
  /** Where what is played stood when it was opened. */
  readonly openedAt: PlayedPlace | null;
  /** What is to be known of the input while it hears; empty while all is well. */
  readonly status: string;
  /** Why it does not hear; empty while it does. */
  readonly failure: string;
}

const CLOSED: SessionState = { input: null, openedAt: null, status: '', failure: '' };

export interface ListeningWish {
  readonly kind: RoundInputKind;
  readonly keepsSound?: boolean;
  /** The code of the class, on a device that is not the coach's. */
  readonly code?: string | null;
}

/** Listens with one input to what is played, and reports each strike by its place in it, however late it is known. */
export class ListeningSession {
  private state = CLOSED;
  private history = new PositionHistory();
  /** Counts what was opened, so that what comes too late is closed. */
  private opened = 0;
  private looking: ReturnType<typeof setInterval> | undefined;
  private readonly watchers = new Set<() => void>();
  private readonly parts: SessionParts;

  constructor(parts: SessionParts) {
    this.parts = parts;
  }

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
  readonly snapshot = (): SessionState => this.state;

  /** Opens an input, in place of one that was open. @throws with a sentence, which stands in the state, too */
  async open({ kind, keepsSound = false, code = null }: ListeningWish): Promise<void> {
    this.close();
    const turn = ++this.opened;
    const { parts } = this;
    const isCurrent = (): boolean => turn === this.opened;
    const onStatus = (status: string): void => {
      if (isCurrent()) this.set({ status });
    };
    try {
      const input = await parts.open(
        {
          kind,
          keepsSound,
          code,
          pretends: { impacts: parts.simulatedImpacts(), position: () => parts.place().at },
        },
        {
          onStrike: (report) => isCurrent() && this.hear(report),
          onEnd: onStatus,
          onStatus,
          ...(parts.onLevel ? { onLevel: (decibels) => isCurrent() && parts.onLevel!(decibels) } : {}),
        },
      );
      if (!isCurrent()) return input.close();
      this.history = new PositionHistory();
      this.looking = setInterval(() => this.look(), LOOK_MS);
      this.look();
      this.set({ input, openedAt: parts.place(), failure: '' });
    } catch (error) {
      if (isCurrent()) this.set({ failure: error instanceof Error ? error.message : String(error) });
      throw error;
    }
  }

  /** Waits for all that sounded until now, and closes. Gives the sound, from the start of a round on, where it was kept. */
  async finish(round: number): Promise<KeptSound | null> {
    const { input } = this.state;
    if (!input) return null;
    await input.settled();
    const sound = await input.sound();
    const zero = this.history.zeroOf(round);
    this.close();
    return sound && zero !== null ? { ...sound, from: sound.from - zero } : null;
  }

  close(): void {
    this.opened += 1;
    clearInterval(this.looking);
    this.state.input?.close();
    if (this.state !== CLOSED) this.set(CLOSED);
  }

  /** Looks where what is played stands; to be done before anything is asked of a round that may have been begun anew. */
  look(): void {
    const { round, at } = this.parts.place();
    if (this.history.note(round, at, this.now())) this.parts.onAgain?.(round);
  }

  private hear({ at, ...report }: OnsetReport): void {
    this.look();
    const place = this.history.at(at);
    if (place) this.parts.onOnset(place.round, { ...report, at: place.at });
  }

  private now(): Seconds {
    return this.parts.now?.() ?? performance.now() / 1000;
  }

  private set(change: Partial<SessionState>): void {
    this.state = change === CLOSED ? CLOSED : { ...this.state, ...change };
    for (const watcher of this.watchers) watcher();
  }
}
