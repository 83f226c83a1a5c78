import { useEffect, useRef, useState } from 'react';
import { tapLatency } from '@eurhythm/core/sound';
import {
  MOST_LATENCY,
  keepOutputSettings,
  readOutputSettings,
} from '../../../floor/output/outputSettings.ts';
import type { OpenOutput } from '../../../floor/output/useAudioOutput.ts';
import { useStable } from '../../../ui/useStable.ts';
import { Button } from '../../../ui/buttons/Button.tsx';
import { TextField } from '../../../ui/fields/Field.tsx';
import { Part } from '../../../ui/panels/Panel.tsx';

const BEAT = 60 / 90;
const TICKS = 18;

/** How late the loudspeaker is: set by hand, or found by tapping along with ticks. */
export function LatencyCheck({ output }: { output: OpenOutput }) {
  const [latency, setLatency] = useState(() => readOutputSettings().latency);
  const [taps, setTaps] = useState<number | null>(null);
  const [message, setMessage] = useState('');
  const run = useRef<{ ticks: number[]; taps: number[] } | null>(null);
  const keep = (seconds: number): void => {
    const settings = { ...readOutputSettings(), latency: Math.min(MOST_LATENCY, Math.max(0, seconds)) };
    setLatency(settings.latency);
    keepOutputSettings(settings);
    output.output?.apply(settings);
  };

  const finish = (): void => {
    const found = run.current && tapLatency(run.current.ticks, run.current.taps, BEAT);
    run.current = null;
    setTaps(null);
    if (!found) {
      setMessage('Too few taps to tell. Tap with every tick, from the third one on.');
      return;
    }
    const own = output.output ? output.output.context.outputLatency || output.output.context.baseLatency : 0;
    keep(found.latency - own);
    setMessage(
      `${Math.round(found.latency * 1000)} ms behind the clock, from ${found.taps} taps, half of them within ${Math.round(found.spread * 1000)} ms. Kept.`,
    );
  };
  const start = (): void => {
    const opened = output.open();
    const zero = opened.context.currentTime + 0.6;
    const ticks = Array.from({ length: TICKS }, (_, i) => zero + i * BEAT);
    for (const at of ticks)
      opened.play({ at, bus: 'tick', source: { kind: 'synth', sound: 'tick-beat' }, gain: 1 }, at);
    run.current = { ticks, taps: [] };
    setTaps(0);
    setMessage('');
    setTimeout(finish, (TICKS * BEAT + 1.2) * 1000);
  };
  const tap = useStable((): void => {
    if (!run.current || !output.output) return;
    run.current.taps.push(output.output.context.currentTime);
    setTaps(run.current.taps.length);
  });
  const isRunning = taps !== null;
  useEffect(() => {
    if (!isRunning) return;
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || event.repeat) return;
      event.preventDefault();
      tap();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [isRunning, tap]);

  return (
    <Part title="The gym’s loudspeaker" aside="kept on this device">
      <p className="py-3">
        A wireless loudspeaker can be a quarter of a second late. The strip waits for it, so that the eye and
        the ear agree.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <TextField
          label="Late by, milliseconds"
          className="w-48"
          inputMode="numeric"
          hint="on top of what the browser knows"
          value={String(Math.round(latency * 1000))}
          onChange={(e) => keep((Number(e.target.value) || 0) / 1000)}
        />
        {taps === null ? (
          <Button className="mb-6" onClick={start}>
            Tap along
          </Button>
        ) : (
          <Button className="mb-6 min-h-16 bg-tape! px-8 text-on-tape!" onPointerDown={tap}>
            Tap with every tick: {taps}
          </Button>
        )}
      </div>
      <p role="status" className="min-h-6 text-quiet">
        {message}
      </p>
    </Part>
  );
}
