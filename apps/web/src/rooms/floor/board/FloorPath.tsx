import type { Walk } from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';

/** Pixels of the picture for one step of floor. */
const STEP = 30;
/** The feet stand so far from the middle of the body, sideways and along, in steps. */
const STANCE = { side: 0.28, along: 0.45 } as const;

interface Stand {
  readonly forward: number;
  readonly right: number;
  readonly facing: number;
  readonly lead: Lead;
}

/** The floor from above: where the feet stand at each step of the line, the opponent at the top. */
export function FloorPath({ walk, done }: { walk: Walk; done: number | null }) {
  const first = walk.strokes[0]?.before;
  if (!first) return null;
  const stands: Stand[] = [first, ...walk.strokes.map(({ after }) => after)].map(
    ({ place, facing, lead }) => ({ ...place, facing, lead }),
  );
  const now = stands[done === null ? 0 : Math.min(stands.length - 1, done + 1)]!;
  const { forward, back, left, right } = walk.floor;
  const [x, y] = [-(left + 1) * STEP, -(forward + 1) * STEP];
  const [width, height] = [(left + right + 2) * STEP, (forward + back + 2) * STEP];
  return (
    <svg
      viewBox={`${x} ${y} ${width} ${height}`}
      className="h-[16rem] max-w-[24rem] shrink-0 bg-paper phone:hidden"
      role="img"
      aria-label={`The floor: ${forward} steps forward, ${back} back, ${left} to the left, ${right} to the right`}
    >
      {gridLines(x, width).map((at) => (
        <line
          key={`x${at}`}
          x1={at}
          x2={at}
          y1={y}
          y2={y + height}
          className="stroke-rule"
          strokeWidth="0.6"
        />
      ))}
      {gridLines(y, height).map((at) => (
        <line
          key={`y${at}`}
          y1={at}
          y2={at}
          x1={x}
          x2={x + width}
          className="stroke-rule"
          strokeWidth="0.6"
        />
      ))}
      <polyline
        points={stands.map((each) => `${each.right * STEP},${-each.forward * STEP}`).join(' ')}
        className="fill-none stroke-tape"
        strokeWidth="2"
        strokeDasharray="4 3"
      />
      {stands.map((stand, i) => (
        <Feet key={i} stand={stand} className="opacity-35" />
      ))}
      <Feet stand={now} className="" />
    </svg>
  );
}

const gridLines = (from: number, length: number): number[] =>
  Array.from({ length: Math.floor(length / STEP) + 1 }, (_, i) => Math.ceil(from / STEP) * STEP + i * STEP);

/** Two footprints: the front one in the colour of the front, turned with the body. */
function Feet({ stand, className }: { stand: Stand; className: string }) {
  const { forward, right, facing, lead } = stand;
  const front = lead === 'left' ? -1 : 1;
  return (
    <g className={className} transform={`translate(${right * STEP} ${-forward * STEP}) rotate(${facing})`}>
      <Foot x={front * STANCE.side} y={-STANCE.along} className="fill-front" />
      <Foot x={-front * STANCE.side} y={STANCE.along} className="fill-rear" />
    </g>
  );
}

function Foot({ x, y, className }: { x: number; y: number; className: string }) {
  return (
    <g transform={`translate(${x * STEP} ${y * STEP})`} className={className}>
      <ellipse cx="0" cy="-2" rx="3.4" ry="4.6" />
      <ellipse cx="0" cy="5" rx="2.5" ry="3" />
    </g>
  );
}
