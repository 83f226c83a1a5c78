import type { Calibration } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';

/** What this browser knows of its ears: the place at which it stands, and what was learnt of each device there. */
export interface EarSettings {
  readonly place: string;
  readonly learnt: Readonly<Record<string, LearntEar>>;
}

/** What was learnt of a device at a place. */
export interface LearntEar {
  readonly calibration?: Calibration;
  /** From the sound to its being told, as a chirp found it. */
  readonly latency?: Seconds;
  readonly at: string;
}

const KEY = 'eurhythm.ears';
const NOTHING: EarSettings = { place: 'the hall', learnt: {} };

const nameOf = (device: string, place: string): string => `${device} @ ${place.trim().toLowerCase()}`;

export function readEarSettings(): EarSettings {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<EarSettings> | null;
    if (typeof kept?.place !== 'string' || typeof kept.learnt !== 'object') return NOTHING;
    return { place: kept.place, learnt: kept.learnt ?? {} };
  } catch {
    return NOTHING; // not written by us
  }
}

export function keepPlace(place: string): void {
  write({ ...readEarSettings(), place });
}

/** What is known of a device where this browser stands now; null where nothing was learnt there. */
export function learntOf(device: string): LearntEar | null {
  const { place, learnt } = readEarSettings();
  return learnt[nameOf(device, place)] ?? null;
}

/** Keeps something more of a device at the present place. */
export function keepLearnt(device: string, more: Omit<LearntEar, 'at'>): void {
  const settings = readEarSettings();
  const name = nameOf(device, settings.place);
  const at = new Date().toISOString();
  write({ ...settings, learnt: { ...settings.learnt, [name]: { ...settings.learnt[name], ...more, at } } });
}

/** Forgets what was learnt of a device at the present place. */
export function forgetLearnt(device: string): void {
  const settings = readEarSettings();
  const { [nameOf(device, settings.place)]: _, ...learnt } = settings.learnt;
  write({ ...settings, learnt });
}

function write(settings: EarSettings): void {
  localStorage.setItem(KEY, JSON.stringify(settings));
}
