import { useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { peaks } from '@eurhythm/core/sound';
import { clockText, thousandths, howMany } from '@eurhythm/core/units';
import { SliderField } from '../../../ui/fields/SliderField.tsx';
import type { FileOnset, HeardFile } from './readSound.ts';

interface SoundStripProps {
  readonly file: HeardFile;
  readonly onsets: readonly FileOnset[];
  /** When strikes were due, where a line was found. */
  readonly due: readonly number[];
  /** Where it is played now. */
  readonly now: number | null;
  onChange(onsets: readonly FileOnset[]): void;
  /** Plays from an instant on. */
  onPlay(from: number): void;
}

const HEIGHT = 190;
const TAPE = 24;
const MIDDLE = (HEIGHT - TAPE) / 2;
/** Pixels of a second: all of it in view, or so that a tenth of a second is a finger wide. */
const ZOOMS = [20, 40, 80, 160, 320];
/** A drawing is no wider than this. */
const MOST_WIDTH = 30_000;
const NUDGE = 0.005;

/** The sound of a file with a pin for every strike: a pin is dragged, nudged by the arrow keys, or deleted; a double click adds one. */
export function SoundStrip({ file, onsets, due, now, onChange, onPlay }: SoundStripProps) {
  const { seconds, sound } = file;
  const [zoom, setZoom] = useState(1);
  const scale = Math.min(ZOOMS[zoom]!, MOST_WIDTH / seconds);
  const width = Math.max(600, seconds * scale);
  const path = useMemo(
    () => (sound ? outline(sound.samples, Math.ceil(width / 2), width) : ''),
    [sound, width],
  );
  const drawing = useRef<SVGSVGElement>(null);
  const atOf = (event: { clientX: number }): number =>
    Math.max(0, Math.min(seconds, (event.clientX - drawing.current!.getBoundingClientRect().left) / scale));
  const move = (place: number, at: number): void =>
    onChange(onsets.with(place, { ...onsets[place]!, at: thousandths(at) }));
  const drop = (place: number): void => onChange(onsets.toSpliced(place, 1));
  return (
    <div>
      <div
        className="overflow-x-auto rounded-md border border-rule bg-paper"
        tabIndex={0}
        aria-label="The sound"
      >
        <svg
          ref={drawing}
          width={width}
          height={HEIGHT}
          className="block touch-pan-x select-none"
          role="group"
          aria-label={`${howMany(onsets.length, 'strike')} in ${clockText(seconds)}`}
          onDoubleClick={(event) =>
            onChange([...onsets, { at: thousandths(atOf(event)) }].sort((a, b) => a.at - b.at))
          }
          onClick={(event) => event.detail === 1 && event.target === drawing.current && onPlay(atOf(event))}
        >
          <path d={path} className="pointer-events-none fill-rear" opacity={0.75} />
          <rect y={HEIGHT - TAPE} width={width} height={TAPE} className="pointer-events-none fill-tape" />
          {ticks(seconds, scale).map((at) => (
            <text
              key={at}
              x={at * scale + 3}
              y={HEIGHT - 7}
              fontSize={12}
              className="pointer-events-none fill-on-tape"
            >
              {clockText(at)}
            </text>
          ))}
          {due.map((at) => (
            <path
              key={at}
              d={`M${at * scale - 5} ${HEIGHT - TAPE}h10l-5 9Z`}
              className="pointer-events-none fill-ink"
            />
          ))}
          {onsets.map((onset, place) => (
            <OnsetPin
              key={place}
              onset={onset}
              x={onset.at * scale}
              onMove={(event) => move(place, atOf(event))}
              onNudge={(by) => move(place, Math.max(0, onset.at + by))}
              onDrop={() => drop(place)}
            />
          ))}
          {now !== null && (
            <line
              x1={now * scale}
              x2={now * scale}
              y2={HEIGHT}
              className="pointer-events-none stroke-ink"
              strokeWidth={2}
            />
          )}
        </svg>
      </div>
      <div className="flex flex-wrap items-center gap-6 pt-2 text-sm text-quiet">
        <SliderField
          label="Zoom"
          className="w-56"
          value={zoom}
          min={0}
          max={ZOOMS.length - 1}
          step={1}
          onChange={setZoom}
        />
        <span>
          Drag a pin, or nudge it with the arrow keys; Delete takes it out; a double click adds one; a click
          plays from there.
        </span>
      </div>
    </div>
  );
}

interface OnsetPinProps {
  readonly onset: FileOnset;
  readonly x: number;
  onMove(event: PointerEvent<SVGGElement>): void;
  onNudge(by: number): void;
  onDrop(): void;
}

function OnsetPin({ onset, x, onMove, onNudge, onDrop }: OnsetPinProps) {
  const { at, strength = -20, doubtful } = onset;
  const y = 14 + Math.max(0, Math.min(1, -strength / 60)) * (HEIGHT - TAPE - 30);
  const keys = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowLeft' ? -NUDGE : event.key === 'ArrowRight' ? NUDGE : 0;
    if (by !== 0) onNudge(by);
    else if (event.key === 'Delete' || event.key === 'Backspace') onDrop();
    else return;
    event.preventDefault();
  };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={`strike at ${at.toFixed(3)} s${doubtful ? ', doubtful' : ''}`}
      className="cursor-ew-resize"
      onKeyDown={keys}
      onDoubleClick={(event) => event.stopPropagation()}
      onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
      onPointerMove={(event) => event.buttons === 1 && onMove(event)}
    >
      <rect x={x - 7} width={14} height={HEIGHT} fill="transparent" />
      <line x1={x} x2={x} y1={y} y2={HEIGHT - TAPE} className="stroke-front" strokeWidth={2} />
      <circle
        cx={x}
        cy={y}
        r={6}
        className={doubtful ? 'fill-canvas stroke-front' : 'fill-front stroke-front'}
        strokeWidth={2}
      />
    </g>
  );
}

/** Instants that are written on the tape. */
function ticks(seconds: number, scale: number): number[] {
  const every = [1, 2, 5, 10, 30, 60, 300].find((each) => each * scale >= 60) ?? 600;
  return Array.from({ length: Math.floor(seconds / every) + 1 }, (_, i) => i * every);
}

/** The loudest sample of each column, above and below the middle. */
function outline(samples: Float32Array, columns: number, width: number): string {
  const loud = peaks(samples, columns);
  const top = loud.reduce((most, each) => Math.max(most, each), 0.05);
  const x = (i: number): string => ((i / columns) * width).toFixed(1);
  const y = (value: number): string => (MIDDLE - (value / top) * (MIDDLE - 6)).toFixed(1);
  const above = loud.map((value, i) => `${x(i)} ${y(value)}`);
  const below = loud.map((value, i) => `${x(i)} ${y(-value)}`).reverse();
  return `M${[...above, ...below].join('L')}Z`;
}
