import type { SoundEvent } from '@eurhythm/core/rounds';
import type { Seconds } from '@eurhythm/core/units';

/** How this device sounds: volumes of the kinds of sound, 0 to 1.5, and how late its loudspeaker is. */
export interface OutputSettings {
  readonly volumes: Readonly<Record<SoundEvent['bus'], number>>;
  /** Added to what the browser knows of its own output, as measured by tapping along. */
  readonly latency: Seconds;
}

export const DESK_DEFAULTS: OutputSettings = { volumes: { call: 1, tick: 0.8, bell: 1 }, latency: 0 };
export const MOST_VOLUME = 1.5;
export const MOST_LATENCY: Seconds = 0.6;

const PLACE = 'eurhythm.desk';

/** Kept in the browser, since every device has a loudspeaker of its own. */
export function readOutputSettings(): OutputSettings {
  try {
    const kept = JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Partial<OutputSettings>;
    return { ...DESK_DEFAULTS, ...kept, volumes: { ...DESK_DEFAULTS.volumes, ...kept.volumes } };
  } catch {
    return DESK_DEFAULTS; // not written by us
  }
}

export function keepOutputSettings(settings: OutputSettings): void {
  localStorage.setItem(PLACE, JSON.stringify(settings));
}
