import type { InputEvents, StrikeInput } from './StrikeInput.ts';

/**
 * How a tap of somebody who watches varies about the strike, in seconds: hand and eye are steady to about a twentieth of a second
 * from tap to tap, once how late they are is taken off. Where a careful coach would begin; the typical error of a test is measured from its own trials.
 */
export const TAP_VARIES = 0.05;

const watchers = new Set<(at: number) => void>();

/** Somebody taps a strike, at an instant of the page's clock in milliseconds. */
export function tapNow(at: number = performance.now()): void {
  for (const watcher of watchers) watcher(at / 1000);
}

/** Hears the taps of a coach or a holder, who watches a fighter strike. */
export function openTapInput(watch: InputEvents): StrikeInput {
  const hear = (at: number): void => watch.onStrike({ at, strength: 0 });
  watchers.add(hear);
  return {
    source: 'taps',
    device: 'taps of somebody who watches',
    detector: null,
    leastStrength: null,
    settled: () => Promise.resolve(),
    sound: () => Promise.resolve(null),
    close: () => void watchers.delete(hear),
  };
}
