import { useState } from 'react';
import type { SoundEvent } from '@eurhythm/core/rounds';
import type { AudioOutput } from './AudioOutput.ts';
import { SliderField } from '../../ui/fields/SliderField.tsx';
import {
  MOST_VOLUME,
  keepOutputSettings,
  readOutputSettings,
  type OutputSettings,
} from './outputSettings.ts';

const BUSES: readonly (readonly [SoundEvent['bus'], string])[] = [
  ['call', 'Calls'],
  ['tick', 'Ticks'],
  ['bell', 'Bells'],
];

const percent = (share: number): string => `${Math.round(share * 100)} %`;

/** How loud each kind of sound is on this device; heard at once and kept. */
export function Mixer({ output }: { output: Pick<AudioOutput, 'apply'> | null }) {
  const [settings, setSettings] = useState(readOutputSettings);
  const change = (next: OutputSettings): void => {
    setSettings(next);
    keepOutputSettings(next);
    output?.apply(next);
  };
  return (
    <div className="flex flex-wrap gap-x-10 gap-y-1 py-1" role="group" aria-label="Volume">
      {BUSES.map(([bus, name]) => (
        <div key={bus} className="flex min-h-11 items-center gap-3">
          <span className="w-12 font-semibold">{name}</span>
          <SliderField
            label={name}
            min={0}
            max={MOST_VOLUME}
            step={0.05}
            value={settings.volumes[bus]}
            valueText={percent(settings.volumes[bus])}
            className="w-44"
            onChange={(volume) => change({ ...settings, volumes: { ...settings.volumes, [bus]: volume } })}
          />
          <span className="tabular w-14 whitespace-nowrap text-quiet">{percent(settings.volumes[bus])}</span>
        </div>
      ))}
    </div>
  );
}
