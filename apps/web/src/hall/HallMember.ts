import type { Socket } from 'socket.io-client';
import type {
  HallRunView,
  HallViewName,
  LandedDto,
  PulseDto,
  RunEventView,
  StationHeardDto,
  StationKnownView,
  WishAnswerView,
  WishDto,
} from '@eurhythm/contract';
import { newId, send, type Refused } from '../server/api.ts';
import { coreWorkWith } from '../workers/coreWork.ts';
import { FollowingController } from './FollowingController.ts';
import { HallClock } from './hallClock.ts';
import { hallSocket } from './hallSocket.ts';

export interface MemberState {
  readonly kind: 'joining' | 'refused' | 'there';
  /** Why it was refused. */
  readonly message: string;
  readonly isConnected: boolean;
  readonly view: HallRunView | null;
  readonly controller: FollowingController | null;
  /** Whose numbers of a burst are still open. */
  readonly counting: readonly string[];
  /** The burst of the class that runs: when its bell is heard, in milliseconds of the server's clock. */
  readonly burst: { readonly at: number; readonly seconds: number } | null;
  /** What landed in the rounds so far, as the coach's device tells it. */
  readonly landed: readonly LandedDto[];
}

export const JOINING: MemberState = {
  kind: 'joining',
  message: '',
  isConnected: false,
  view: null,
  controller: null,
  counting: [],
  landed: [],
  burst: null,
};

/** Another round or another state is looked for so often; pictures look for themselves at every frame. */
const LOOK_MS = 100;
const TRY_AGAIN_MS = 1000;
/** A bell whose instant differs so little is the same one, seen through another pulse. */
const SAME_BURST_MS = 15;
const AWAY: Omit<WishAnswerView, 'id'> = {
  isDone: false,
  message: 'The server does not answer. Press again when it is back.',
};

/** This device as a part of a class: it joins by a code, follows the run, and comes back by itself. */
export class HallMember {
  state: MemberState = JOINING;
  readonly clock = new HallClock(() => this.askClock());
  private socket: Socket | null = null;
  private isGone = false;
  private timers: ReturnType<typeof setInterval>[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly as: { readonly code: string; readonly view: HallViewName; readonly name?: string };

  /** The code of the class. */
  get code(): string {
    return this.as.code;
  }

  constructor(code: string, view: HallViewName, name: string) {
    this.as = { code, view, ...(name === '' ? {} : { name }) };
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly snapshot = (): MemberState => this.state;

  async join(): Promise<void> {
    this.isGone = false;
    const view = await this.fetchView();
    if (!view || this.isGone) return;
    const { plan, sessionId, events } = view;
    const { lead, word, count, clips, factor, book } = plan;
    const setting = { seedKey: sessionId, lead, word, count, clips, factor };
    const controller = new FollowingController({
      events,
      rounds: plan.rounds.length,
      compile: async (round, shifts) =>
        (await coreWorkWith(book)).compile(plan.rounds[round]!, setting, shifts),
      now: () => this.clock.now(),
    });
    this.set({ view, controller });
    this.connect(controller);
    await controller.load();
    if (this.isGone) return;
    this.set({ kind: 'there' });
    this.timers.push(setInterval(() => controller.look(), LOOK_MS));
  }

  /** Asks the device that plays the run for something; says what came of it. */
  async wish(wish: Omit<WishDto, 'id'>): Promise<WishAnswerView> {
    const id = newId();
    if (!this.socket?.connected) return { id, ...AWAY };
    return (this.socket.emitWithAck('wish', { id, ...wish }) as Promise<WishAnswerView>).catch(() => ({
      id,
      ...AWAY,
    }));
  }

  /** Tells the host what this station heard; null where it could not be reported. */
  async heard(heard: StationHeardDto): Promise<StationKnownView | null> {
    if (!this.socket?.connected) return null;
    return (this.socket.emitWithAck('heard', heard) as Promise<StationKnownView | null>).catch(() => null);
  }

  leave(): void {
    this.isGone = true;
    this.clock.stop();
    for (const timer of this.timers) clearInterval(timer);
    this.socket?.disconnect();
  }

  /** The run as the server tells it; tried again while the server is away. Null when this device was refused. */
  private async fetchView(): Promise<HallRunView | null> {
    while (!this.isGone) {
      try {
        return await send<HallRunView>('POST', 'hall/join', this.as);
      } catch (error) {
        const { status, message } = error as Refused;
        if (status !== 0 && status < 500) {
          this.set({ kind: 'refused', message });
          return null;
        }
        await new Promise((done) => setTimeout(done, TRY_AGAIN_MS));
      }
    }
    return null;
  }

  private connect(controller: FollowingController): void {
    const socket = hallSocket(this.as);
    this.socket = socket;
    let hasBeenThere = false;
    socket.on('connect', () => {
      this.set({ isConnected: true });
      this.clock.start();
      // What was done while this device was away.
      if (hasBeenThere) void this.catchUp(controller);
      hasBeenThere = true;
    });
    socket.on('disconnect', () => {
      this.clock.stop();
      this.set({ isConnected: false });
    });
    socket.on('connect_error', ({ message }) => {
      // Refused by the server itself, not by the way to it.
      if (!socket.active && controller.state.phase !== 'over') this.set({ kind: 'refused', message });
    });
    socket.on('event', (event: RunEventView) => {
      controller.hear(event);
      // Who stands together is reported with the run.
      if (event.kind === 'comes' || event.kind === 'leaves') void this.catchUp(controller);
    });
    socket.on('pulse', ({ at, counting, burst, ...pulse }: PulseDto) => {
      controller.pulse({ ...pulse, at: Date.parse(at) });
      this.setBurst(burst ? { at: Date.parse(burst.at), seconds: burst.seconds } : null);
      if (counting.join() !== this.state.counting.join()) this.set({ counting });
    });
    socket.on('landed', (landed: LandedDto) => {
      const isOther = ({ round, fighterId }: LandedDto): boolean =>
        round !== landed.round || fighterId !== landed.fighterId;
      this.set({ landed: [...this.state.landed.filter(isOther), landed] });
    });
  }

  private setBurst(burst: MemberState['burst']): void {
    const known = this.state.burst;
    if (known && burst && Math.abs(known.at - burst.at) < SAME_BURST_MS) return;
    if (known !== burst) this.set({ burst });
  }

  private async catchUp(controller: FollowingController): Promise<void> {
    const view = await send<HallRunView>('POST', 'hall/join', this.as).catch(() => null);
    if (!view) return;
    controller.catchUp(view.events);
    this.set({ view });
  }

  private async askClock(): Promise<number> {
    if (!this.socket?.connected) throw new Error('not connected');
    return (await this.socket.emitWithAck('clock')) as number;
  }

  private set(changes: Partial<MemberState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}
