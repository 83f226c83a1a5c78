import type { SensorMessage } from '../strikes/index.ts';
import type { RandomSource, Seconds } from '../units/index.ts';

/** How bad the way from the sensor is. */
export interface SensorWay {
  /** Least and most time on the way. */
  readonly late: readonly [Seconds, Seconds];
  /** Shares of messages that get lost, and that come twice. */
  readonly lost: number;
  readonly twice: number;
  /** By how much the sensor's clock runs faster, as a share; and where it stands when this device's is at 0. */
  readonly drift: number;
  readonly zero: Seconds;
}

const ALIVE_EVERY: Seconds = 0.5;

/**
 * What a pad sensor sends while strikes land at these instants, as it arrives: in the order in which it comes, with the instant.
 *
 * @example
 * sensorMessages([], { seconds: 0, late: [0, 0], lost: 0, twice: 0, drift: 0, zero: 0 }, seededRandom(1)).length // 1
 */
export function sensorMessages(
  strikes: readonly Seconds[],
  { seconds, late, lost, twice, drift, zero }: SensorWay & { readonly seconds: Seconds },
  random: RandomSource,
): { readonly message: SensorMessage; readonly received: Seconds }[] {
  const own = (at: Seconds): Seconds => Math.round((zero + at * (1 + drift)) * 1e6) / 1e6;
  const alive = Array.from({ length: Math.floor(seconds / ALIVE_EVERY) }, (_, i) => (i + 1) * ALIVE_EVERY);
  const sent: { at: Seconds; message: SensorMessage }[] = [
    { at: 0, message: { kind: 'hello', sensor: 'pad-1', session: `s${Math.floor(1e9 * random())}` } },
  ];
  let sequence = 0;
  for (const { at, isStrike } of [
    ...alive.map((each) => ({ at: each, isStrike: false })),
    ...strikes.map((each) => ({ at: each, isStrike: true })),
  ].sort((a, b) => a.at - b.at))
    sent.push({
      at,
      message: isStrike
        ? { kind: 'impact', sequence: ++sequence, at: own(at), force: Math.round(150 + 400 * random()) }
        : { kind: 'alive', sequence, at: own(at) },
    });
  const onTheWay = (): Seconds => late[0] + (late[1] - late[0]) * random() ** 3;
  return sent
    .flatMap(({ at, message }) => {
      if (message.kind !== 'hello' && random() < lost) return [];
      const times = random() < twice ? 2 : 1;
      return Array.from({ length: times }, () => ({ message, received: at + onTheWay() }));
    })
    .sort((a, b) => a.received - b.received);
}
