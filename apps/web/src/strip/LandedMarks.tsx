import type { StrokeLanded } from '@eurhythm/core/speed';
import type { StripPicture } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

/** So late a strike is drawn this share of a beat behind its pin, whatever the tempo: a tenth of a second is seen from afar. */
const FULL_OFF = 0.1;
const FULL_SHARE = 0.32;
/** Smaller letters are not read on a phone. */
const LEAST_SIZE = 12;

/**
 * Under the tape, for each stroke that was heard, a dot where it usually came: left of its pin early, right of it late, and below by
 * how many hundredths of a second, and after a × how often it was missed. A ring is a stroke that never landed.
 */
export function LandedMarks({
  picture,
  scale,
  landed,
}: {
  picture: StripPicture;
  scale: StripScale;
  landed: readonly StrokeLanded[];
}) {
  const y = picture.tapeY + scale.tape + scale.head * 0.9;
  const r = scale.head * 0.42;
  const size = Math.max(LEAST_SIZE, scale.label * 0.75);
  return (
    <g>
      {picture.pins.flatMap((pin) => {
        const stroke = landed.find((each) => each.stroke === pin.index);
        if (!stroke) return [];
        const { off, misses } = stroke;
        const share = Math.max(-1, Math.min(1, (off ?? 0) / FULL_OFF));
        const x = pin.x + share * FULL_SHARE * picture.beatWidth;
        return [
          <g key={pin.index}>
            <line
              x1={pin.x}
              x2={pin.x}
              y1={picture.tapeY + scale.tape}
              y2={y + r}
              className="stroke-quiet"
              strokeWidth={1.5}
            />
            {off !== null && (
              <line x1={pin.x} x2={x} y1={y} y2={y} className="stroke-ink" strokeWidth={r * 0.6} />
            )}
            <circle
              cx={x}
              cy={y}
              r={r}
              className={off === null ? 'fill-canvas stroke-ink' : 'fill-ink'}
              strokeWidth={2}
            />
            <text x={x} y={y + r + size} textAnchor="middle" fontSize={size} className="fill-ink">
              {offText(off)}
            </text>
            {misses > 0 && (
              <text
                x={pin.x}
                y={y + r + size * 2.05}
                textAnchor="middle"
                fontSize={size}
                className="fill-caution"
              >
                {`×${misses}`}
              </text>
            )}
          </g>,
        ];
      })}
    </g>
  );
}

/** Hundredths of a second; which way is where the dot stands. Nothing for what nobody can feel. */
function offText(off: number | null): string {
  const hundredths = Math.abs(Math.round((off ?? 0) * 100));
  return hundredths < 2 ? '' : `.${String(hundredths).padStart(2, '0')}`;
}
