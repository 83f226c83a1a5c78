import { alongside } from './alongside.ts';
import type { Ear, EarWatch, PretendWork } from './Ear.ts';

/** Hears a virtual fighter, so that all the rest can be tried without anybody striking anything. Nothing of it is kept. */
export function openPretendEar(watch: EarWatch, { impacts, position }: PretendWork): Ear {
  const close = alongside(
    impacts.map((at) => ({ at })),
    position,
    ({ at }) => watch.onStrike({ at: performance.now() / 1000 - ((position() ?? at) - at), strength: -20 }),
  );
  return {
    source: null,
    device: 'nobody strikes',
    latency: 0,
    detector: null,
    leastStrength: null,
    settled: () => Promise.resolve(),
    sound: () => Promise.resolve(null),
    close,
  };
}
