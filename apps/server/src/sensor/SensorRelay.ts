import { readSensorMessage, type SensorNews } from '@eurhythm/core/strikes';

/** As much of a WebSocket as is asked for. */
export interface SensorSocket {
  send(text: string): void;
  close(code: number, reason: string): void;
  on(event: 'message', take: (data: { toString(): string }) => void): unknown;
  on(event: 'close' | 'error', take: () => void): unknown;
}

/** A sensor that says more in a second is out of order. */
const MOST_A_SECOND = 200;
/** So many unreadable messages are answered; then it is no sensor. */
const MOST_ODD = 5;
const ODD =
  'This is no message of a strike sensor. Send {"kind":"hello","sensor":"…","session":"…"} first, then impacts.';
/** WebSocket's code for what breaks the rules of the receiver (RFC 6455). */
const BREAKS_RULES = 1008;

/** Passes on what strike sensors say to whoever listens. What is said is read first, and kept nowhere. */
export class SensorRelay {
  private readonly listeners = new Set<SensorSocket>();
  private readonly hellos = new Map<string, SensorNews>();
  private connections = 0;

  /** A sensor has come. */
  sensor(socket: SensorSocket): void {
    const connection = `c${++this.connections}`;
    let sensor: string | null = null;
    let odd = 0;
    let [second, said] = [0, 0];
    socket.on('message', (data) => {
      const now = Math.floor(Date.now() / 1000);
      [second, said] = now === second ? [second, said + 1] : [now, 1];
      if (said > MOST_A_SECOND)
        return socket.close(BREAKS_RULES, `More than ${MOST_A_SECOND} messages in a second.`);
      const message = readSensorMessage(data.toString());
      if (!message || (sensor === null && message.kind !== 'hello')) {
        odd += 1;
        if (odd > MOST_ODD) return socket.close(BREAKS_RULES, 'No strike sensor.');
        return socket.send(JSON.stringify({ kind: 'refused', message: ODD }));
      }
      if (message.kind === 'hello') sensor = message.sensor;
      const news: SensorNews = { sensor: sensor!, connection, message };
      if (message.kind === 'hello') this.hellos.set(connection, news);
      this.tell(news);
    });
    socket.on('error', () => socket.close(BREAKS_RULES, 'The message is too long.'));
    socket.on('close', () => {
      this.hellos.delete(connection);
      if (sensor !== null) this.tell({ sensor, connection, gone: true });
    });
  }

  /** Somebody listens from now on, and hears first which sensors are there. */
  listener(socket: SensorSocket): void {
    this.listeners.add(socket);
    for (const hello of this.hellos.values()) socket.send(JSON.stringify(hello));
    socket.on('error', () => this.listeners.delete(socket));
    socket.on('close', () => this.listeners.delete(socket));
  }

  private tell(news: SensorNews): void {
    const text = JSON.stringify(news);
    for (const listener of this.listeners) listener.send(text);
  }
}
