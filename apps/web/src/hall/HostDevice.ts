import type { Socket } from 'socket.io-client';
import type {
  HallDeviceView,
  LandedDto,
  PulseDto,
  StationHeardDto,
  StationKnownView,
  WishAnswerView,
  WishDto,
} from '@eurhythm/contract';
import { send } from '../server/api.ts';
import { HallClock } from './hallClock.ts';
import { hallSocket } from './hallSocket.ts';
import { TabClaim } from './tabClaim.ts';

export interface HostState {
  readonly isConnected: boolean;
  /** Whether it is known by now who plays the run; a server that does not answer is not waited for. */
  readonly isDecided: boolean;
  /** Whether another device plays this run: then this one is silent. */
  readonly isElsewhere: boolean;
  readonly devices: readonly HallDeviceView[];
  /** The code with which devices join; null until the hall is opened. */
  readonly code: string | null;
  readonly failure: string;
}

export interface HostTasks {
  /** Where the run stands and is heard, without the time. */
  place(): Omit<PulseDto, 'at'>;
  /** Does what a remote asks; a sentence says what was done, or why not. */
  grant(wish: WishDto & { readonly from: string }): Omit<WishAnswerView, 'id'>;
  /** Takes what a station heard, and tells how much of the round is known by now. */
  hear(heard: StationHeardDto): StationKnownView;
}

const PULSE_MS = 1000;
/** A server that has not said so soon who plays the run is away, and this page plays it. */
const DECIDED_MS = 1500;
const NOT_READY = { isDone: false, message: 'The coach’s device is not ready yet.' };

/** The device that plays a run, as the others of the class see it: it tells where it stands, and does what remotes ask. */
export class HostDevice {
  state: HostState = {
    isConnected: false,
    isDecided: false,
    isElsewhere: false,
    devices: [],
    code: null,
    failure: '',
  };
  readonly clock = new HallClock(() => this.askClock());
  private readonly tab: TabClaim;
  private socket: Socket | null = null;
  private isGone = false;
  private timer: ReturnType<typeof setInterval> | undefined;
  private readonly listeners = new Set<() => void>();
  /** What this page does for the class, once it plays. */
  private tasks: HostTasks | null = null;
  private readonly runId: string;

  constructor(runId: string) {
    this.runId = runId;
    this.tab = new TabClaim(`eurhythm.run.${runId}`);
  }

  serve(tasks: HostTasks | null): void {
    this.tasks = tasks;
    this.pulse();
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): HostState => this.state;

  /** Comes to the class, unless another tab of this browser or another device plays the run already. */
  async connect(deskId: string): Promise<void> {
    const waited = setTimeout(() => this.set({ isDecided: true }), DECIDED_MS);
    if (!(await this.tab.claim(() => this.set({ isElsewhere: true })))) {
      clearTimeout(waited);
      return this.set({ isElsewhere: true, isDecided: true });
    }
    if (this.isGone) return;
    const socket = hallSocket({ runId: this.runId, deskId });
    this.socket = socket;
    socket.on('connect', () => {
      this.set({ isConnected: true });
      this.clock.start();
    });
    socket.on('disconnect', () => {
      this.clock.stop();
      this.set({ isConnected: false });
    });
    socket.on('desk', ({ isElsewhere }: { isElsewhere: boolean }) => {
      clearTimeout(waited);
      this.set({ isElsewhere, isDecided: true });
      this.pulse();
    });
    socket.on('taken-over', () => this.set({ isElsewhere: true }));
    socket.on('devices', (devices: readonly HallDeviceView[]) => this.set({ devices }));
    socket.on('wish', (wish: WishDto & { from: string }, answer: (given: WishAnswerView) => void) =>
      answer({ id: wish.id, ...(this.tasks?.grant(wish) ?? NOT_READY) }),
    );
    socket.on('heard', (heard: StationHeardDto, answer: (known: StationKnownView | null) => void) =>
      answer(this.tasks?.hear(heard) ?? null),
    );
    this.timer = setInterval(() => this.pulse(), PULSE_MS);
  }

  /** Asks for the code with which devices join. */
  async open(): Promise<void> {
    try {
      const { code } = await send<{ code: string }>('PUT', `runs/${this.runId}/hall`, {});
      this.set({ code, failure: '' });
    } catch (error) {
      this.set({ failure: (error as Error).message });
    }
  }

  /** Plays the run here from now on; the tab or device that played it falls silent. */
  async takeOver(deskId: string): Promise<void> {
    await this.tab.take();
    const socket = this.socket ?? hallSocket({ runId: this.runId, deskId });
    await socket.emitWithAck('take-over').catch(() => {
      // Without the server it is enough to have it from the other tabs.
    });
  }

  /** Tells where the run stands; also at once when that changes. */
  pulse(): void {
    if (!this.socket?.connected || !this.tasks || this.state.isElsewhere || this.clock.within === null)
      return;
    this.socket.volatile.emit('pulse', {
      at: new Date(this.clock.now()).toISOString(),
      ...this.tasks.place(),
    } satisfies PulseDto);
  }

  /** Tells everybody what landed. */
  landed(landed: LandedDto): void {
    if (this.socket?.connected && !this.state.isElsewhere) this.socket.emit('landed', landed);
  }

  leave(): void {
    this.isGone = true;
    this.clock.stop();
    clearInterval(this.timer);
    this.tab.release();
    this.socket?.disconnect();
  }

  private async askClock(): Promise<number> {
    if (!this.socket?.connected) throw new Error('not connected');
    return (await this.socket.emitWithAck('clock')) as number;
  }

  private set(changes: Partial<HostState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}
