import { howMany } from '@eurhythm/core/units';
import { SensorStream, type SensorNews } from '@eurhythm/core/strikes';
import type { StrikeInput, InputEvents } from './StrikeInput.ts';

/** Why no sensor is heard, as a sentence that says what to do. */
export class NoSensor extends Error {}

const HEAR_PATH = '/api/sensor/hear';
/** So long is waited for the server, and then for a sensor that is there. */
const SERVER_MS = 4000;
const SENSOR_MS = 3000;
const AGAIN_MS = 700;
const NO_SERVER = 'The server does not answer, so no sensor is heard. Try again in a moment.';
const NONE_THERE =
  'No strike sensor is there. Switch it on, or start the simulated one with “npm run sensor”.';
const SERVER_AWAY = 'The server is away; the sensor is heard again when it comes back.';
const SENSOR_AWAY = 'The sensor is away; it is heard again when it comes back.';

export const sensorAddress = (path: string, code: string | null): string =>
  `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}${code ? `?code=${code}` : ''}`;

/**
 * Hears the strike sensor that comes first. It goes on when the sensor or the server was away for a while; what was lost is reported.
 * `code` is that of a class, for a device that is not the coach's. @throws NoSensor
 */
export async function openSensorInput(watch: InputEvents, code: string | null = null): Promise<StrikeInput> {
  const stream = new SensorStream();
  let chosen: string | null = null;
  let socket: WebSocket | null = null;
  let isClosed = false;
  let status = '';
  /** Why nothing comes just now; empty while the sensor is there. */
  let away = '';
  let onChosen = (): void => {};

  const tell = (): void => {
    const now = [away, lostIn(stream)].filter((each) => each !== '').join(' ');
    if (now !== status) watch.onStatus?.(now);
    status = now;
  };
  const take = (news: SensorNews): void => {
    chosen ??= news.sensor;
    if (news.sensor !== chosen) return;
    onChosen();
    away = 'gone' in news ? SENSOR_AWAY : '';
    const impact = 'gone' in news ? null : stream.take(news.message, performance.now() / 1000);
    if (impact) watch.onStrike({ at: impact.at, strength: impact.strength });
    tell();
  };
  const connect = (): Promise<void> =>
    new Promise((done, fail) => {
      const opened = new WebSocket(sensorAddress(HEAR_PATH, code));
      socket = opened;
      opened.onopen = () => done();
      opened.onmessage = ({ data }: MessageEvent<string>) => take(JSON.parse(data) as SensorNews);
      opened.onclose = () => {
        fail(new NoSensor(NO_SERVER));
        if (isClosed || socket !== opened) return;
        away = SERVER_AWAY;
        tell();
        setTimeout(() => !isClosed && void connect().catch(() => {}), AGAIN_MS);
      };
    });
  const close = (): void => {
    isClosed = true;
    socket?.close();
  };
  try {
    await within(SERVER_MS, connect(), NO_SERVER);
    if (chosen === null) await within(SENSOR_MS, new Promise<void>((done) => (onChosen = done)), NONE_THERE);
  } catch (error) {
    close();
    throw error;
  }
  return {
    source: 'sensor',
    device: chosen ?? 'sensor',
    detector: null,
    leastStrength: null,
    settled: () => Promise.resolve(),
    sound: () => Promise.resolve(null),
    close,
  };
}

/** What of the sensor's impacts was lost, as a sentence; empty for nothing. */
function lostIn({ lost, flooded }: SensorStream): string {
  const status = [
    ...(lost > 0 ? [`${howMany(lost, 'impact')} never came from the sensor`] : []),
    ...(flooded > 0 ? [`${flooded} came faster than anybody strikes and were left out`] : []),
  ].join('; ');
  return status === '' ? '' : `${status}.`;
}

function within(ms: number, work: Promise<void>, why: string): Promise<void> {
  return Promise.race([work, new Promise<void>((_, fail) => setTimeout(() => fail(new NoSensor(why)), ms))]);
}
