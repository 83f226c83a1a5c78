import { io, type Socket } from 'socket.io-client';
import type { JoinDto } from '@eurhythm/contract';

/** How a device comes in: by the code of a class, or as the host that plays its run. */
export type ComingIn =
  Pick<JoinDto, 'code' | 'view' | 'name'> | { readonly runId: string; readonly deskId: string };

/** Answers are waited for so long. */
const ANSWER_MS = 5000;

/** A way to the other devices of a class, which is taken up again whenever it is lost. */
export function hallSocket(as: ComingIn): Socket {
  return io({
    path: '/api/hall/socket',
    transports: ['websocket'],
    auth: { ...as },
    ackTimeout: ANSWER_MS,
    reconnectionDelay: 300,
    reconnectionDelayMax: 1000,
  });
}
