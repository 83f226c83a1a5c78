import { SensorRelay } from './SensorRelay.ts';

function socket() {
  const takers = new Map<string, (data: string) => void>();
  const sent: { kind?: string; message?: unknown }[] = [];
  let closed = '';
  return {
    sent,
    get closed() {
      return closed;
    },
    say: (message: unknown) =>
      takers.get('message')?.(typeof message === 'string' ? message : JSON.stringify(message)),
    leave: () => takers.get('close')?.(''),
    send: (text: string) => void sent.push(JSON.parse(text)),
    close: (_code: number, reason: string) => void (closed = reason),
    on: (event: string, take: (data: string) => void) => takers.set(event, take),
  };
}

const hello = { kind: 'hello', sensor: 'pad-1', session: 'a' };
const impact = { kind: 'impact', sequence: 1, at: 2.5, force: 300 };

describe('what strike sensors say', () => {
  it('is passed on to whoever listens, also which sensors were there before', () => {
    const relay = new SensorRelay();
    const [sensor, early, late] = [socket(), socket(), socket()];
    relay.listener(early);
    relay.sensor(sensor);
    sensor.say(hello);
    sensor.say(impact);
    relay.listener(late);
    expect(early.sent.map(({ message }) => message)).toEqual([hello, impact]);
    expect(late.sent).toEqual([{ sensor: 'pad-1', connection: 'c1', message: hello }]);
    sensor.leave();
    expect(late.sent.at(-1)).toEqual({ sensor: 'pad-1', connection: 'c1', gone: true });
  });
  it('is nothing to a listener that has left', () => {
    const relay = new SensorRelay();
    const [sensor, gone] = [socket(), socket()];
    relay.listener(gone);
    gone.leave();
    relay.sensor(sensor);
    sensor.say(hello);
    expect(gone.sent).toEqual([]);
  });
  it('is refused with a sentence where it is no message, and shut out where it goes on', () => {
    const relay = new SensorRelay();
    const [sensor, listener] = [socket(), socket()];
    relay.listener(listener);
    relay.sensor(sensor);
    sensor.say('strike!');
    sensor.say(impact);
    expect(sensor.sent.map(({ kind }) => kind)).toEqual(['refused', 'refused']);
    for (let i = 0; i < 6; i++) sensor.say('strike!');
    expect(sensor.closed).toBe('No strike sensor.');
    expect(listener.sent).toEqual([]);
  });
  it('is cut off where it floods', () => {
    const relay = new SensorRelay();
    const sensor = socket();
    relay.sensor(sensor);
    sensor.say(hello);
    for (let i = 1; i < 500; i++) sensor.say({ ...impact, sequence: i });
    expect(sensor.closed).toContain('More than 200');
  });
});
