import { howMany } from '@eurhythm/core/units';
interface TrialPictureProps {
  readonly onsets: readonly { readonly at: number; readonly doubtful?: boolean }[];
  readonly due: readonly number[];
  readonly from: number;
  readonly to: number;
  /** Where it is played now. */
  readonly now: number | null;
}

const WIDTH = 560;
const HEIGHT = 92;
const TAPE = { y: 52, height: 18 } as const;

/** The strikes of a trial as pins on a length of tape, and notches where they were due. */
export function TrialPicture({ onsets, due, from, to, now }: TrialPictureProps) {
  const x = (at: number): number => ((at - from) / Math.max(0.1, to - from)) * WIDTH;
  const inView = (at: number): boolean => at >= from && at <= to;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="mt-3 w-full"
      role="img"
      aria-label={`${howMany(onsets.length, 'strike')}${due.length > 0 ? `, ${due.length} due` : ''}`}
    >
      <rect y={TAPE.y} width={WIDTH} height={TAPE.height} className="fill-tape" />
      {due.filter(inView).map((at) => (
        <path key={at} d={`M${x(at) - 4} ${TAPE.y + TAPE.height}h8l-4 -8Z`} className="fill-canvas" />
      ))}
      {onsets
        .filter(({ at }) => inView(at))
        .map(({ at, doubtful }) => (
          <g key={at}>
            <line x1={x(at)} x2={x(at)} y1={18} y2={TAPE.y} className="stroke-front" strokeWidth={1.5} />
            <circle
              cx={x(at)}
              cy={14}
              r={4}
              className={doubtful ? 'fill-canvas stroke-front' : 'fill-front'}
              strokeWidth={1.5}
            />
          </g>
        ))}
      {now !== null && (
        <line x1={x(now)} x2={x(now)} y2={HEIGHT - 8} className="stroke-ink" strokeWidth={2} />
      )}
      <text x={0} y={HEIGHT - 4} fontSize={11} className="fill-quiet">
        {from.toFixed(0)} s
      </text>
      <text x={WIDTH} y={HEIGHT - 4} textAnchor="end" fontSize={11} className="fill-quiet">
        {to.toFixed(0)} s
      </text>
    </svg>
  );
}
