import { alongside } from './alongside.ts';
import type { StrikeInput, InputEvents, SimulatedWork } from './StrikeInput.ts';

/** Hears a virtual fighter, so that all the rest can be tried without anybody striking anything. Nothing of it is kept. */
export function openSimulatedInput(watch: InputEvents, { impacts, position }: SimulatedWork): StrikeInput {
  const close = alongside(
    impacts.map((at) => ({ at })),
    position,
    ({ at }) => watch.onStrike({ at: performance.now() / 1000 - ((position() ?? at) - at), strength: -20 }),
  );
  return {
    source: null,
    device: 'nobody strikes',
    detector: null,
    leastStrength: null,
    settled: () => Promise.resolve(),
    sound: () => Promise.resolve(null),
    close,
  };
}
