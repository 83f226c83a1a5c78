import type { Calibration } from '@eurhythm/core/strikes';
import type { Seconds } from '@eurhythm/core/units';

/** What this browser knows of its inputs: the place at which it stands, and what was learnt of each device there. */
export interface InputSettings {
  readonly place: string;
  readonly learnt: Readonly<Record<string, LearntInput>>;
}

/** What was learnt of a device at a place. */
export interface LearntInput {
  readonly calibration?: Calibration;
  /** From the sound to its being reported, as a chirp found it. */
  readonly latency?: Seconds;
  readonly at: string;
}

const KEY = 'eurhythm.ears';
const NOTHING: InputSettings = { place: 'the hall', learnt: {} };

const nameOf = (device: string, place: string): string => `${device} @ ${place.trim().toLowerCase()}`;

export function readInputSettings(): InputSettings {
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Partial<InputSettings> | null;
    if (typeof kept?.place !== 'string' || typeof kept.learnt !== 'object') return NOTHING;
    return { place: kept.place, learnt: kept.learnt ?? {} };
  } catch {
    return NOTHING; // not written by us
  }
}

export function keepPlace(place: string): void {
  write({ ...readInputSettings(), place });
}

/** What is known of a device where this browser stands now; null where nothing was learnt there. */
export function learntOf(device: string): LearntInput | null {
  const { place, learnt } = readInputSettings();
  return learnt[nameOf(device, place)] ?? null;
}

/** Keeps something more of a device at the present place. */
export function keepLearnt(device: string, more: Omit<LearntInput, 'at'>): void {
  const settings = readInputSettings();
  const name = nameOf(device, settings.place);
  const at = new Date().toISOString();
  write({ ...settings, learnt: { ...settings.learnt, [name]: { ...settings.learnt[name], ...more, at } } });
}

/** Forgets what was learnt of a device at the present place. */
export function forgetLearnt(device: string): void {
  const settings = readInputSettings();
  const { [nameOf(device, settings.place)]: _, ...learnt } = settings.learnt;
  write({ ...settings, learnt });
}

function write(settings: InputSettings): void {
  localStorage.setItem(KEY, JSON.stringify(settings));
}
