import type { Pin } from './stripPicture.ts';

/** Colour by side, and never by colour alone: the rear side's head has a notch cut into it. */
export function pinColour(pin: Pick<Pin, 'by' | 'side' | 'shape'>): string {
  if (pin.by === 'holder') return 'var(--color-holder)';
  if (pin.side === 'front') return 'var(--color-front)';
  if (pin.side === 'rear') return 'var(--color-rear)';
  return 'var(--color-quiet)';
}

/** The head of a pin at (0, 0) with radius `r`. */
export function PinHead({
  pin,
  r,
}: {
  pin: Pick<Pin, 'by' | 'side' | 'shape' | 'feint' | 'shout'>;
  r: number;
}) {
  const colour = pinColour(pin);
  const paint = pin.feint
    ? {
        fill: 'var(--color-canvas)',
        stroke: colour,
        strokeWidth: r / 4,
        strokeDasharray: `${r / 2.2} ${r / 3.5}`,
      }
    : { fill: colour };
  const notched = pin.side === 'rear' && pin.by === 'fighter' && pin.shape !== 'bar' && pin.shape !== 'foot';
  return (
    <g>
      <HeadShapePath shape={pin.shape} r={r} paint={paint} />
      {notched && (
        <path
          d={`M${-r * 0.42} ${r * 1.05}L0 ${r * 0.05}L${r * 0.42} ${r * 1.05}Z`}
          fill="var(--color-canvas)"
        />
      )}
      {pin.shout && <Shout r={r} colour={colour} />}
    </g>
  );
}

function HeadShapePath({ shape, r, paint }: { shape: Pin['shape']; r: number; paint: object }) {
  switch (shape) {
    case 'round':
      return <circle r={r} {...paint} />;
    case 'wedge':
      return (
        <path d={`M${-r} ${-r * 0.9}H${r * 0.35}L${r * 1.3} 0L${r * 0.35} ${r * 0.9}H${-r}Z`} {...paint} />
      );
    case 'spike':
      return <path d={`M0 ${-r * 1.25}L${r * 1.05} ${r}H${-r * 1.05}Z`} {...paint} />;
    case 'bar':
      return <rect x={-r * 1.35} y={-r * 0.42} width={r * 2.7} height={r * 0.84} rx={r * 0.15} {...paint} />;
    case 'foot':
      return <Foot x={-r} y={-r * 0.42} length={r * 2} colour="var(--color-ink)" />;
    default:
      return shape satisfies never;
  }
}

/** The sole of one foot, toes to the right. */
export function Foot({
  x,
  y,
  length,
  colour,
  turn = 0,
}: {
  x: number;
  y: number;
  length: number;
  colour: string;
  turn?: number;
}) {
  const scale = length / 24;
  return (
    <path
      transform={`translate(${x} ${y}) scale(${scale}) rotate(${turn} 12 5)`}
      fill={colour}
      d="M1.5 5C1.5 2.6 4 1.7 6.4 2.2 8.6 2.7 9.6 3 11.8 2.2 15.4 .9 21.4 .8 22.9 3.4 24.3 6 21.2 9.1 16.6 8.9 13.2 8.7 11 7.2 8.6 7.7 5.4 8.4 1.5 8.3 1.5 5Z"
    />
  );
}

/** Both feet seen from above, walking to the right: the front one ahead, the rear one turned out. */
export function Feet({
  x,
  y,
  lead,
  length,
  colour,
}: {
  x: number;
  y: number;
  lead: 'left' | 'right';
  length: number;
  colour: string;
}) {
  const apart = length * 0.62;
  const [frontY, rearY, turn] = lead === 'left' ? [y, y + apart, 38] : [y + apart, y, -38];
  return (
    <g aria-hidden="true">
      <Foot x={x + length * 0.72} y={frontY} length={length} colour={colour} />
      <Foot x={x} y={rearY} length={length} colour={colour} turn={turn} />
    </g>
  );
}

function Shout({ r, colour }: { r: number; colour: string }) {
  const rays = [-150, -120, -90, -60, -30].map((degrees) => (degrees * Math.PI) / 180);
  return (
    <g stroke={colour} strokeWidth={r / 6} strokeLinecap="round">
      {rays.map((angle) => (
        <line
          key={angle}
          x1={Math.cos(angle) * r * 1.5}
          y1={Math.sin(angle) * r * 1.5}
          x2={Math.cos(angle) * r * 2.1}
          y2={Math.sin(angle) * r * 2.1}
        />
      ))}
    </g>
  );
}
