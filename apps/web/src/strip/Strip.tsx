import { memo, useMemo, type KeyboardEvent } from 'react';
import type { ClockLimit, Finding, Walk } from '@eurhythm/core/body';
import type { Lead, MoveBook } from '@eurhythm/core/moves';
import type { StrokeLanded } from '@eurhythm/core/speed';
import { PinHead, pinColour } from './PinHead.tsx';
import { STRIP_SCALES, type StripScale } from './stripScales.ts';
import { labelY } from './stripLabels.ts';
import { layOutStrip } from './stripLayout.ts';
import type { Pin } from './stripPicture.ts';
import { editOfKey, useDrag, type OnStripEdit } from './stripEdits.ts';
import { LandedMarks } from './LandedMarks.tsx';
import { FindingMarks, LandingFeet, LimitBracket, MovingNotch } from './StripMarks.tsx';
import { Tape } from './Tape.tsx';
import { tellStrip } from './tellStrip.ts';

interface StripProps {
  readonly walk: Walk;
  /** Length of the tape in beats. */
  readonly beats: number;
  readonly lead: Lead;
  readonly size: keyof typeof STRIP_SCALES;
  /** Whether the beats are numbered; never where somebody may take a number for a stroke. */
  readonly countsBeats?: boolean;
  /** Pixels to fill. */
  readonly room: number;
  /** The book by whose numbers the voice calls strokes: the labels are the same words. */
  readonly numbered?: MoveBook | null;
  /** The stroke that is chosen, and what happens when another is. */
  readonly chosen?: number | null;
  readonly onChoose?: (pin: Pin) => void;
  /** Moves a stroke along the tape by quarter beats, or up and down by heights, or takes it out. */
  readonly onEdit?: OnStripEdit;
  /** Where the moving notch stands; strokes up to `done` are behind it. */
  readonly now?: number | null;
  readonly done?: number | null;
  /** The pair that holds the tempo back. */
  readonly limit?: ClockLimit | null;
  readonly findings?: readonly Finding[];
  /** How its strokes landed, where they were heard. */
  readonly landed?: readonly StrokeLanded[];
}

/** The picture of a combo: a length of tape with the beats cut into it, and a pin for every stroke. */
export const Strip = memo(function Strip({
  walk,
  beats,
  lead,
  size,
  countsBeats = true,
  room,
  numbered = null,
  chosen = null,
  onChoose,
  onEdit,
  now = null,
  done = null,
  limit = null,
  findings = [],
  landed = [],
}: StripProps) {
  const scale = STRIP_SCALES[size];
  const picture = useMemo(
    () => layOutStrip(walk, beats, lead, room, scale, numbered),
    [walk, beats, lead, room, scale, numbered],
  );
  const small = size === 'row';
  const text = useMemo(() => tellStrip(walk, lead), [walk, lead]);
  const chosenPin = picture.pins.find((pin) => pin.index === chosen);
  return (
    <svg
      width={picture.width}
      height={picture.height}
      viewBox={`0 0 ${picture.width} ${picture.height}`}
      role={onChoose ? 'group' : 'img'}
      aria-label={text}
      className="block shrink-0 overflow-visible"
    >
      <polyline
        points={picture.levels.map(({ x, y }) => `${x},${y}`).join(' ')}
        fill="none"
        stroke="var(--color-quiet)"
        strokeOpacity={0.55}
        strokeWidth={small ? 0.6 : 1.6}
        strokeDasharray={small ? '1 1.5' : '3 4'}
      />
      {picture.pins.map((pin) => (
        <Stem
          key={pin.index}
          pin={pin}
          tapeY={picture.tapeY}
          scale={scale}
          faded={done !== null && now !== null && pin.index < done}
        />
      ))}
      <Tape {...{ picture, scale, small, countsBeats }} />
      {picture.pins.map((pin, i) => (
        <PinMark
          key={pin.index}
          pin={pin}
          before={picture.pins[i - 1]}
          scale={scale}
          small={small}
          faded={done !== null && now !== null && pin.index < done}
          chosen={pin.index === chosen}
          onChoose={onChoose}
          onEdit={onEdit}
          quarter={picture.beatWidth / 4}
        />
      ))}
      {chosenPin && !small && (
        <rect
          x={chosenPin.x - 3}
          y={picture.tapeY + scale.tape - 4}
          width={6}
          height={4}
          className="fill-ink"
        />
      )}
      {!small && <LandingFeet picture={picture} scale={scale} />}
      {!small && <FindingMarks picture={picture} scale={scale} findings={findings} />}
      {!small && limit && <LimitBracket picture={picture} scale={scale} limit={limit} />}
      {landed.length > 0 && <LandedMarks picture={picture} scale={scale} landed={landed} />}
      {now !== null && <MovingNotch x={picture.xOfBeat(now)} tapeY={picture.tapeY} scale={scale} />}
    </svg>
  );
});

function Stem({ pin, tapeY, scale, faded }: { pin: Pin; tapeY: number; scale: StripScale; faded: boolean }) {
  if (pin.shape === 'foot' && pin.by === 'fighter') return null;
  const width = (pin.power === 'touch' ? 0.09 : pin.power === 'full' ? 0.42 : 0.22) * scale.head;
  const end = pin.by === 'holder' ? tapeY + scale.tape : tapeY;
  return (
    <line
      x1={pin.x}
      x2={pin.x}
      y1={pin.y}
      y2={end}
      stroke={pinColour(pin)}
      strokeWidth={Math.max(0.8, width)}
      strokeDasharray={pin.feint ? '4 3' : undefined}
      opacity={faded ? 0.4 : 1}
    />
  );
}

interface PinMarkProps {
  readonly pin: Pin;
  readonly before: Pin | undefined;
  readonly scale: StripScale;
  readonly small: boolean;
  readonly faded: boolean;
  readonly chosen: boolean;
  readonly onChoose: ((pin: Pin) => void) | undefined;
  readonly onEdit: OnStripEdit | undefined;
  /** Width of a quarter beat. */
  readonly quarter: number;
}

/** The tie between the stems of two strokes of a leg that stays up, under both heads. */
function tieOf(before: Pin, pin: Pin, scale: StripScale): string {
  const end = scale.head * 0.5;
  const y = Math.max(before.y, pin.y) + scale.head * 1.9;
  return `M${before.x} ${y - end}v${end}H${pin.x}v${-end}`;
}

/** Pins are laid out anew at every key; most of them come out as they were and need not be drawn again. */
function isSameMark(a: PinMarkProps, b: PinMarkProps): boolean {
  return (Object.keys(a) as (keyof PinMarkProps)[]).every((key) =>
    key === 'pin' || key === 'before' ? isSamePin(a[key], b[key]) : a[key] === b[key],
  );
}

function isSamePin(a: Pin | undefined, b: Pin | undefined): boolean {
  if (!a || !b) return a === b;
  return (Object.keys(a) as (keyof Pin)[]).every((key) => a[key] === b[key]);
}

const PinMark = memo(function PinMark({
  pin,
  before,
  scale,
  small,
  faded,
  chosen,
  onChoose,
  onEdit,
  quarter,
}: PinMarkProps) {
  const drag = useDrag(pin, quarter, scale, onEdit);
  const keys = (event: KeyboardEvent<SVGGElement>): void => {
    const edit = editOfKey(event);
    if (edit && onEdit) {
      event.preventDefault();
      onEdit(pin, edit);
      return;
    }
    if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      onChoose?.(pin);
    }
    const to =
      event.key === 'ArrowRight'
        ? 'nextElementSibling'
        : event.key === 'ArrowLeft'
          ? 'previousElementSibling'
          : null;
    const other = to && event.currentTarget[to];
    if (other instanceof SVGGElement && other.getAttribute('role') === 'button') other.focus();
  };
  const pressable = onChoose
    ? {
        role: 'button',
        tabIndex: 0,
        onClick: () => onChoose(pin),
        onKeyDown: keys,
        ...drag,
        'aria-label': pin.label,
        'aria-pressed': chosen,
        cursor: 'pointer',
      }
    : {};
  return (
    <g opacity={faded ? 0.45 : 1} {...pressable}>
      {onChoose && <rect x={pin.x - 14} y={pin.y - 34} width={28} height={58} fill="transparent" />}
      {pin.keptUp && before && (
        <path
          d={tieOf(before, pin, scale)}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={small ? 0.6 : 2}
        />
      )}
      {pin.holdsTo !== null && (
        <path
          d={`M${pin.x} ${pin.y}H${pin.holdsTo - scale.head}v${scale.head * 0.6}`}
          fill="none"
          stroke="var(--color-ink)"
          strokeDasharray={`${scale.head * 0.3} ${scale.head * 0.3}`}
          strokeWidth={small ? 0.6 : 2}
        />
      )}
      <g transform={`translate(${pin.x} ${pin.y})`}>
        <PinHead pin={pin} r={scale.head * (pin.power === 'touch' ? 0.8 : pin.power === 'full' ? 1.12 : 1)} />
        {chosen && <circle r={scale.head * 1.5} fill="none" stroke="var(--color-ink)" strokeWidth={2} />}
      </g>
      {!small && (
        <text
          x={pin.x}
          y={labelY(pin, scale)}
          textAnchor="middle"
          fontSize={scale.label}
          fontWeight={700}
          className="fill-ink"
        >
          {pin.label}
        </text>
      )}
    </g>
  );
}, isSameMark);
