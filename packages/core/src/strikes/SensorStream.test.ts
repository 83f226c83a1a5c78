import { sensorMessages, type SensorWay } from '../simulation/index.ts';
import { seededRandom } from '../units/index.ts';
import { SensorStream } from './index.ts';

const STRIKES = Array.from({ length: 120 }, (_, i) => 1 + i * 0.25);
const WAY = { seconds: 32, late: [0.004, 0.15] as const, lost: 0, twice: 0.2, drift: 30e-6, zero: 5000 };

function taken(way: Partial<SensorWay> = {}) {
  const stream = new SensorStream();
  for (const { message, received } of sensorMessages(STRIKES, { ...WAY, ...way }, seededRandom(4)))
    stream.take(message, received);
  return stream;
}

describe('SensorStream', () => {
  it('puts impacts on this clock, whatever the way does with them', () => {
    const { impacts, lost } = taken();
    expect([impacts.length, lost]).toEqual([STRIKES.length, 0]);
    impacts.forEach(({ at }, i) => expect(Math.abs(at - STRIKES[i]!)).toBeLessThan(0.02));
  });
  it('counts what was lost, and guesses nothing', () => {
    const { impacts, lost } = taken({ lost: 0.1 });
    expect(impacts.length).toBeLessThan(STRIKES.length);
    expect(impacts.length + lost).toBe(STRIKES.length);
  });
  it('begins anew with a sensor that was started again, and keeps what came before', () => {
    const stream = new SensorStream();
    const impact = (sequence: number, at: number) => ({ kind: 'impact', sequence, at, force: 1 }) as const;
    stream.take({ kind: 'hello', sensor: 'pad-1', session: 'a' }, 100);
    expect(stream.take(impact(1, 50), 100.01)?.at).toBeCloseTo(100.01, 9);
    expect(stream.take(impact(1, 50), 100.2)).toBeNull();
    stream.take({ kind: 'hello', sensor: 'pad-1', session: 'b' }, 103);
    expect(stream.take(impact(1, 0.5), 103.6)?.at).toBeCloseTo(103.6, 9);
    expect(stream.impacts.map(({ at }) => Number(at.toFixed(2)))).toEqual([100.01, 103.6]);
  });
  it('goes on over a connection that is made anew', () => {
    const stream = new SensorStream();
    for (let i = 1; i <= 3; i++) {
      stream.take({ kind: 'hello', sensor: 'pad-1', session: 'a' }, i);
      stream.take({ kind: 'impact', sequence: i, at: i, force: 1 }, i + 0.01);
    }
    expect([stream.impacts.length, stream.lost]).toEqual([3, 0]);
  });
  it('does not count what no pad can be struck, and says so', () => {
    const stream = new SensorStream();
    for (let i = 1; i <= 200; i++)
      stream.take({ kind: 'impact', sequence: i, at: i / 1000, force: 1 }, 1 + i / 1000);
    expect([stream.impacts.length, stream.flooded, stream.lost]).toEqual([40, 160, 0]);
  });
  it('leaves out what is no number', () => {
    const stream = new SensorStream();
    expect(stream.take({ kind: 'impact', sequence: Number.NaN, at: 1, force: 1 }, 1)).toBeNull();
    expect(stream.take({ kind: 'impact', sequence: 1, at: Number.NaN, force: 1 }, 1)).toBeNull();
  });
});
