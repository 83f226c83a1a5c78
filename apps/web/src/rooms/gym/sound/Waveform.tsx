import { peaks } from '@eurhythm/core/sound';
import { useMemo, type PointerEvent } from 'react';

interface WaveformProps {
  readonly samples: Float32Array;
  readonly seconds: number;
  /** The instant that belongs on the beat. */
  readonly centre: number;
  /** How far the voice stands over the room, in decibels; null where no room is heard. */
  readonly overRoom: number | null;
  onCentre(centre: number): void;
}

const WIDTH = 640;
const HEIGHT = 150;
const STEP = 0.005;
const MIDDLE = (HEIGHT - 16) / 2;
/** Noise goes about so far over its mean. */
const PEAK_OVER_MEAN = 2;

/** A recording as it sounds, with the line that lies on the beat; it is moved by dragging, or by the arrow keys. */
export function Waveform({ samples, seconds, centre, overRoom, onCentre }: WaveformProps) {
  const path = useMemo(() => outline(samples), [samples]);
  const x = (centre / seconds) * WIDTH;
  const room = useMemo(() => roomHeight(samples, overRoom), [samples, overRoom]);
  const move = (event: PointerEvent<SVGSVGElement>): void => {
    if (event.buttons === 0) return;
    const { left, width } = event.currentTarget.getBoundingClientRect();
    onCentre(Math.min(seconds, Math.max(0, ((event.clientX - left) / width) * seconds)));
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full cursor-ew-resize touch-none rounded-md border border-rule bg-paper"
      role="slider"
      tabIndex={0}
      aria-label="On the beat"
      aria-valuemin={0}
      aria-valuemax={Math.round(seconds * 1000)}
      aria-valuenow={Math.round(centre * 1000)}
      aria-valuetext={`${Math.round(centre * 1000)} milliseconds from the start`}
      onPointerDown={move}
      onPointerMove={move}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowLeft' ? -STEP : event.key === 'ArrowRight' ? STEP : 0;
        if (by === 0) return;
        event.preventDefault();
        onCentre(Math.min(seconds, Math.max(0, centre + by)));
      }}
    >
      <rect y={HEIGHT - 16} width={WIDTH} height={16} className="fill-tape" />
      <path d={path} className="fill-rear" opacity={0.85} />
      {room > 0 && (
        <rect
          y={MIDDLE - room}
          width={WIDTH}
          height={2 * room}
          className="fill-caution stroke-caution"
          fillOpacity={0.25}
          strokeDasharray="4 4"
        />
      )}
      <line x1={x} x2={x} y2={HEIGHT} className="stroke-front" strokeWidth={3} />
      <path d={`M${x - 8} ${HEIGHT}h16l-8 -13Z`} className="fill-ink" />
    </svg>
  );
}

/** As much above and below the middle as the room was loud, against the voice as it is shown. */
function roomHeight(samples: Float32Array, overRoom: number | null): number {
  if (overRoom === null) return 0;
  const power = samples.reduce((sum, sample) => sum + sample * sample, 0) / Math.max(1, samples.length);
  return Math.min(MIDDLE, Math.sqrt(power) * 10 ** (-overRoom / 20) * MIDDLE * PEAK_OVER_MEAN);
}

/** The loudest sample of each column, above and below the middle. */
function outline(samples: Float32Array): string {
  const columns = 320;
  const loud = peaks(samples, columns).map((most) => Math.max(0.5, most * MIDDLE));
  const point = (i: number, y: number): string => `${(i * WIDTH) / (columns - 1)} ${y.toFixed(1)}`;
  const upper = loud.map((height, i) => point(i, MIDDLE - height));
  const lower = loud.map((height, i) => point(i, MIDDLE + height)).reverse();
  return `M${[...upper, ...lower].join('L')}Z`;
}
