import { howMany } from '@eurhythm/core/units';
import { useFrame } from '../../../floor/useFrame.ts';
import { KEPT_SECONDS, type Past } from './useLabInput.ts';

interface LevelPictureProps {
  readonly past: Past;
  readonly isLive: boolean;
  /** What is quieter is doubtful, in decibels of full scale; null where nothing was learnt. */
  readonly least: number | null;
  /** How loud it is here while nobody strikes; null where nothing was learnt. */
  readonly quiet: number | null;
}

const WIDTH = 760;
const HEIGHT = 190;
const FLOOR = -80;
/** Where the level is lined, in decibels of full scale. */
const LINES = [-20, -40, -60];
const BASE = HEIGHT - 22;

const yOf = (decibels: number): number => BASE - ((Math.max(FLOOR, decibels) - FLOOR) / -FLOOR) * (BASE - 8);

/** The last ten seconds as the device hears them: how loud, what counts, and a pin for each strike. */
export function LevelPicture({ past, isLive, least, quiet }: LevelPictureProps) {
  const now = useFrame(() => performance.now() / 1000, isLive);
  const xOf = (at: number): number => WIDTH - ((now - at) / KEPT_SECONDS) * WIDTH;
  const line = past.levels
    .map(({ at, decibels }) => `${xOf(at).toFixed(1)},${yOf(decibels).toFixed(1)}`)
    .join(' ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full rounded-md border border-rule bg-paper"
      role="img"
      aria-label={`The last ten seconds: ${howMany(past.strikes.length, 'strike')}.`}
    >
      {quiet !== null && (
        <rect y={yOf(quiet)} width={WIDTH} height={BASE - yOf(quiet)} className="fill-hint" opacity={0.8} />
      )}
      {LINES.map((decibels) => (
        <line key={decibels} x2={WIDTH} y1={yOf(decibels)} y2={yOf(decibels)} className="stroke-rule" />
      ))}
      <polyline points={line} fill="none" className="stroke-rear" strokeWidth={1.5} />
      {least !== null && (
        <line
          x2={WIDTH}
          y1={yOf(least)}
          y2={yOf(least)}
          className="stroke-caution"
          strokeDasharray="7 5"
          strokeWidth={2}
        />
      )}
      <rect y={BASE} width={WIDTH} height={HEIGHT - BASE} className="fill-tape" />
      {past.strikes.map(({ at, strength, doubtful }) => {
        const y = strength === undefined || strength > 0 ? BASE - 60 : yOf(strength);
        return (
          <g key={at}>
            <line x1={xOf(at)} x2={xOf(at)} y1={y} y2={BASE} className="stroke-front" strokeWidth={2} />
            <circle
              cx={xOf(at)}
              cy={y}
              r={5}
              className={doubtful ? 'fill-canvas stroke-front' : 'fill-front stroke-front'}
              strokeWidth={2}
            />
          </g>
        );
      })}
      {/* Words lie over the pins, which pass behind them. */}
      <g className="stroke-paper" strokeWidth={4} strokeLinejoin="round" paintOrder="stroke">
        {LINES.map((decibels) => (
          <text key={decibels} x={WIDTH / 2} y={yOf(decibels) - 3} fontSize={11} className="fill-quiet">
            {decibels} dB
          </text>
        ))}
        {least !== null && (
          <text
            x={WIDTH - 6}
            y={yOf(least) - 5}
            textAnchor="end"
            fontSize={12}
            fontWeight={700}
            className="fill-caution"
          >
            counts from here
          </text>
        )}
      </g>
    </svg>
  );
}
