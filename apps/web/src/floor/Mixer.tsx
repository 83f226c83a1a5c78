import { useState } from 'react';
import type { SoundEvent } from '@eurhythm/core/rounds';
import type { AudioDesk } from './AudioDesk.ts';
import { MOST_VOLUME, keepDeskSettings, readDeskSettings, type DeskSettings } from './deskSettings.ts';

const BUSES: readonly (readonly [SoundEvent['bus'], string])[] = [
  ['call', 'Calls'],
  ['tick', 'Ticks'],
  ['bell', 'Bells'],
];

/** How loud each kind of sound is on this device; heard at once and kept. */
export function Mixer({ desk }: { desk: AudioDesk | null }) {
  const [settings, setSettings] = useState(readDeskSettings);
  const change = (next: DeskSettings): void => {
    setSettings(next);
    keepDeskSettings(next);
    desk?.apply(next);
  };
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-1 py-1" role="group" aria-label="Volume">
      {BUSES.map(([bus, name]) => (
        <label key={bus} className="flex min-h-11 items-center gap-3">
          <span className="w-12 font-semibold">{name}</span>
          <input
            type="range"
            min={0}
            max={MOST_VOLUME}
            step={0.05}
            value={settings.volumes[bus]}
            className="w-44 accent-rear"
            onChange={(e) =>
              change({ ...settings, volumes: { ...settings.volumes, [bus]: Number(e.target.value) } })
            }
          />
          <span className="tabular w-14 whitespace-nowrap text-quiet">
            {Math.round(settings.volumes[bus] * 100)} %
          </span>
        </label>
      ))}
    </div>
  );
}
