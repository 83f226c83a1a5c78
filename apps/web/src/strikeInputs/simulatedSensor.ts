import { sensorMessages, type SensorWay } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { alongside } from './alongside.ts';
import type { SimulatedWork } from './StrikeInput.ts';
import { sensorAddress } from './sensorInput.ts';

const SEND_PATH = '/api/sensor/socket';
/** As a cheap radio in a full hall is: late by up to a tenth of a second, some lost, some twice, a clock that runs fast. */
const WAY: SensorWay = { late: [0.004, 0.1], lost: 0.03, twice: 0.05, drift: 8e-5, zero: 4321 };

/**
 * Plays the part of a strike sensor: connects to the server as one would, and sends what it would send while these strikes land. Gives
 * what switches it off. It comes back by itself when the server was away.
 */
export function startSimulatedSensor(
  { impacts, position }: SimulatedWork,
  seconds: number,
  code: string | null,
): () => void {
  const messages = sensorMessages(impacts, { ...WAY, seconds }, seededRandom(impacts.length + 1)).map(
    ({ message, received }) => ({ message, at: received }),
  );
  const hello = messages.find(({ message }) => message.kind === 'hello')!.message;
  let socket: WebSocket | null = null;
  let isOff = false;
  const connect = (): void => {
    const opened = new WebSocket(sensorAddress(SEND_PATH, code));
    socket = opened;
    opened.onopen = () => opened.send(JSON.stringify(hello));
    opened.onclose = () => {
      if (!isOff && socket === opened) setTimeout(() => !isOff && connect(), 700);
    };
  };
  connect();
  const stop = alongside(messages, position, ({ message }) => {
    if (message.kind !== 'hello' && socket?.readyState === WebSocket.OPEN)
      socket.send(JSON.stringify(message));
  });
  return () => {
    isOff = true;
    stop();
    socket?.close();
  };
}
