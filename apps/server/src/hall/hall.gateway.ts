import {
  BadRequestException,
  HttpException,
  Logger,
  UnauthorizedException,
  UseFilters,
  UsePipes,
} from '@nestjs/common';
import {
  ConnectedSocket,
  MessageBody,
  SubscribeMessage,
  WebSocketGateway,
  WebSocketServer,
  type OnGatewayConnection,
  type OnGatewayDisconnect,
  type OnGatewayInit,
} from '@nestjs/websockets';
import {
  JoinDto,
  LandedDto,
  PulseDto,
  StationHeardDto,
  WishDto,
  type HallDeviceView,
  type HallViewName,
  type StationKnownView,
  type WishAnswerView,
} from '@eurhythm/contract';
import { validateSync } from 'class-validator';
import type { DefaultEventsMap, RemoteSocket, Server, Socket } from 'socket.io';
import { AuthService } from '../auth/auth.service.ts';
import { whoIs } from '../auth/watchSessions.ts';
import { SAY_PASSPHRASE } from '../auth/allowRoles.ts';
import { loggable } from '../store/open/databaseFaults.ts';
import { contractPipe } from '../http/refusals.ts';
import { RunNews } from '../runs/runNews.ts';
import { HallService } from './hall.service.ts';
import { MessageFilter } from './messageFilter.ts';

/** What is known of a device from its coming in on. `host` plays the run. */
interface Device {
  readonly runId: string;
  readonly view: HallViewName | 'desk';
  readonly name: string;
  /** Of a host: the same for as long as its page is open. */
  readonly deskId: string;
}

/** A remote waits so long for the host's answer. */
const ANSWER_MS = 4000;
const AWAY = 'The coach’s device does not answer. Press again when it is back.';
const ONLY_SHOWS = 'This device only shows. Join as a remote to press something.';

const everybodyOf = (runId: string): string => `run ${runId}`;
const deskOf = (runId: string): string => `desk ${runId}`;
/** Hosts that another one plays instead of. */
const waitingFor = (runId: string): string => `waiting ${runId}`;

const deviceOf = (socket: Pick<Socket, 'data'>): Device => (socket.data as { device: Device }).device;

/**
 * The devices of a class. One of them, the host, plays the run and decides; the others show where it stands, and a remote asks it
 * for something.
 */
@UsePipes(contractPipe())
@UseFilters(new MessageFilter())
@WebSocketGateway()
export class HallGateway implements OnGatewayInit, OnGatewayConnection, OnGatewayDisconnect {
  @WebSocketServer()
  private readonly server!: Server;
  private readonly log = new Logger('Hall');
  /** What each host of this server reported last, for those who come later. */
  private readonly pulses = new Map<string, PulseDto>();

  constructor(
    private readonly hall: HallService,
    private readonly door: AuthService,
    private readonly news: RunNews,
  ) {}

  afterInit(server: Server): void {
    server.use((socket, next) => {
      this.comesIn(socket).then(
        (device) => {
          (socket.data as { device: Device }).device = device;
          next();
        },
        (error: unknown) => next(new Error(this.refusalOf(error))),
      );
    });
    this.news.hear((runId, event) => {
      server.to(everybodyOf(runId)).emit('event', event);
      if (event.kind === 'end') this.pulses.delete(runId);
    });
  }

  /** Who this is and what it may. @throws with a sentence */
  private async comesIn(socket: Socket): Promise<Device> {
    const { runId, deskId, ...auth } = socket.handshake.auth as Record<string, unknown>;
    if (typeof runId === 'string') {
      if ((await whoIs(socket.request, this.door)) === 'visitor')
        throw new UnauthorizedException(SAY_PASSPHRASE);
      return { runId, view: 'desk', name: '', deskId: String(deskId) };
    }
    const join = Object.assign(new JoinDto(), auth);
    const [wrong] = validateSync(join);
    if (wrong) throw new BadRequestException(Object.values(wrong.constraints ?? {})[0]);
    const run = await this.hall.runOf(join.code, socket.handshake.address);
    return { runId: run, view: join.view, name: join.name ?? '', deskId: '' };
  }

  /** The sentence for who is not let in; nothing of a fault of our own is reported. */
  private refusalOf(error: unknown): string {
    if (error instanceof HttpException) return error.message;
    this.log.error(loggable(error));
    return 'The class cannot be looked at for a moment. It is tried again.';
  }

  async handleConnection(socket: Socket): Promise<void> {
    const { runId, view } = deviceOf(socket);
    await this.goOn(async () => {
      await socket.join(everybodyOf(runId));
      const pulse = this.pulses.get(runId);
      if (pulse) socket.emit('pulse', pulse);
      if (view === 'desk') await this.deskComes(socket);
      await this.tellDevices(runId);
    });
  }

  async handleDisconnect(socket: Socket): Promise<void> {
    // Who was not let in has nobody to tell.
    const { device } = socket.data as { device?: Device };
    if (device) await this.goOn(() => this.tellDevices(device.runId));
  }

  /** Nobody waits for what comes of a coming or going: a database that is away then must not end the server. */
  private async goOn(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.log.warn(loggable(error));
    }
  }

  /** A host plays, unless another one does; the same page that has lost its way and come back is no other one. */
  private async deskComes(socket: Socket): Promise<void> {
    const { runId, deskId } = deviceOf(socket);
    const others = (await this.desksOf(runId)).filter((each) => deviceOf(each).deskId !== deskId);
    await socket.join(others.length === 0 ? deskOf(runId) : waitingFor(runId));
    socket.emit('desk', { isElsewhere: others.length > 0 });
  }

  private desksOf(runId: string): Promise<RemoteSocket<DefaultEventsMap, unknown>[]> {
    return this.server.in(deskOf(runId)).fetchSockets();
  }

  /** A host that waited plays from now on, and the one that played is reported. */
  @SubscribeMessage('take-over')
  async takeOver(@ConnectedSocket() socket: Socket): Promise<boolean> {
    const { runId, view } = deviceOf(socket);
    if (view !== 'desk') return false;
    for (const other of await this.desksOf(runId)) {
      if (other.id === socket.id) continue;
      other.leave(deskOf(runId));
      other.join(waitingFor(runId));
      other.emit('taken-over');
    }
    await socket.leave(waitingFor(runId));
    await socket.join(deskOf(runId));
    await this.tellDevices(runId);
    return true;
  }

  /** What this server's clock shows, in milliseconds since 1970. */
  @SubscribeMessage('clock')
  clock(): number {
    return Date.now();
  }

  @SubscribeMessage('pulse')
  pulse(@ConnectedSocket() socket: Socket, @MessageBody() pulse: PulseDto): void {
    const { runId } = deviceOf(socket);
    if (!socket.rooms.has(deskOf(runId))) return;
    this.pulses.set(runId, pulse);
    socket.to(everybodyOf(runId)).volatile.emit('pulse', pulse);
  }

  /** What a remote asks is done by the host, or not at all. */
  @SubscribeMessage('wish')
  async wish(@ConnectedSocket() socket: Socket, @MessageBody() wish: WishDto): Promise<WishAnswerView> {
    const { runId, view, name } = deviceOf(socket);
    if (view !== 'remote' && view !== 'station') return { id: wish.id, isDone: false, message: ONLY_SHOWS };
    const [host] = await this.desksOf(runId);
    if (!host) return { id: wish.id, isDone: false, message: AWAY };
    try {
      const [answer] = (await this.server
        .to(host.id)
        .timeout(ANSWER_MS)
        .emitWithAck('wish', { ...wish, from: name })) as unknown as WishAnswerView[];
      return answer ?? { id: wish.id, isDone: false, message: AWAY };
    } catch {
      // The time for an answer is over.
      return { id: wish.id, isDone: false, message: AWAY };
    }
  }

  /** What a station heard goes to the host, which tells how much of it it knows by now. Null where no host is there. */
  @SubscribeMessage('heard')
  async heard(
    @ConnectedSocket() socket: Socket,
    @MessageBody() heard: StationHeardDto,
  ): Promise<StationKnownView | null> {
    const { runId, view } = deviceOf(socket);
    if (view !== 'station') return null;
    const [host] = await this.desksOf(runId);
    if (!host) return null;
    try {
      const [known] = (await this.server
        .to(host.id)
        .timeout(ANSWER_MS)
        .emitWithAck('heard', heard)) as unknown as StationKnownView[];
      return known ?? null;
    } catch {
      return null; // the time for an answer is over; the station tells it again
    }
  }

  /** What landed of a round is seen by everybody. */
  @SubscribeMessage('landed')
  landed(@ConnectedSocket() socket: Socket, @MessageBody() landed: LandedDto): void {
    const { runId } = deviceOf(socket);
    if (socket.rooms.has(deskOf(runId))) socket.to(everybodyOf(runId)).emit('landed', landed);
  }

  /** The hosts know who is there. */
  private async tellDevices(runId: string): Promise<void> {
    const all = await this.server.in(everybodyOf(runId)).fetchSockets();
    const devices = all.flatMap((each): HallDeviceView[] => {
      const { view, name } = deviceOf(each as never);
      return view === 'desk' ? [] : [{ id: each.id, view, name }];
    });
    this.server.to([deskOf(runId), waitingFor(runId)]).emit('devices', devices);
  }
}
