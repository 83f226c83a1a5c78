import type { ClockLimit, Finding } from '@eurhythm/core/body';
import { Foot } from './PinHead.tsx';
import type { StripPicture } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

/** The limiting pair, bracketed under the tape with the time it needs. */
export function LimitBracket({
  picture,
  scale,
  limit,
}: {
  picture: StripPicture;
  scale: StripScale;
  limit: ClockLimit;
}) {
  const [from, to] = [picture.pins[limit.fromStroke], picture.pins[limit.toStroke]];
  if (!from || !to) return null;
  // Where a change of lead is marked under the tape, the bracket goes below that mark.
  const leadMark = scale.label * 6.5;
  const isCrowded = picture.pieces
    .slice(1)
    .some((piece) => piece.from + leadMark > from.x && piece.from - leadMark / 2 < to.x + scale.label);
  const y = picture.tapeY + scale.tape + (isCrowded ? scale.label * 3 : 8);
  return (
    <g className="stroke-caution" strokeWidth={2} fill="none">
      <path d={`M${from.x} ${y}v8H${Math.max(to.x, from.x + 10)}v-8`} />
      <text
        x={(from.x + to.x) / 2}
        y={y + 8 + scale.label * 1.1}
        textAnchor="middle"
        fontSize={scale.label * 0.9}
        fontWeight={700}
        stroke="none"
        className="fill-caution"
      >
        {limit.seconds.toFixed(2)} s
      </text>
    </g>
  );
}

/** A wave on the tape's lower edge under every stroke that a finding is about, quieter for a note. */
export function FindingMarks({
  picture,
  scale,
  findings,
}: {
  picture: StripPicture;
  scale: StripScale;
  findings: readonly Finding[];
}) {
  const strokesOf = (isNote: boolean): Set<number> =>
    new Set(
      findings
        .filter((finding) => (finding.severity === 'note') === isNote)
        .flatMap((finding) => finding.strokes),
    );
  const [heavy, light] = [strokesOf(false), strokesOf(true)];
  const y = picture.tapeY + scale.tape - 3;
  return (
    <g fill="none" strokeWidth={2.5}>
      {picture.pins
        .filter((pin) => heavy.has(pin.index) || light.has(pin.index))
        .map((pin) => (
          <path
            key={pin.index}
            className={heavy.has(pin.index) ? 'stroke-caution' : 'stroke-quiet'}
            d={`M${pin.x - 12} ${y}q3 -6 6 0t6 0t6 0t6 0`}
          />
        ))}
    </g>
  );
}

/** On the tape under a strike that steps, the foot that lands: toes ahead where it goes forward, to the back where it goes back. */
export function LandingFeet({ picture, scale }: { picture: StripPicture; scale: StripScale }) {
  const length = Math.min(scale.head * 2, scale.tape);
  return picture.pins
    .filter(({ step }) => step !== null)
    .map(({ index, x, step }) => (
      <Foot
        key={index}
        x={x - length / 2}
        y={picture.tapeY + scale.tape / 2 - length * 0.21}
        length={length}
        colour="var(--color-on-tape)"
        turn={step === 'back' ? 180 : 0}
      />
    ));
}

/**
 * Where the round is now, on the tape alone, so that it covers no word above it; in a layer of its own, so that the tape is not
 * painted again each time it moves.
 */
export function MovingNotch({ x, tapeY, scale }: { x: number; tapeY: number; scale: StripScale }) {
  return (
    <g style={{ transform: `translateX(${x}px)`, willChange: 'transform' }} aria-hidden="true">
      <line y1={tapeY - 6} y2={tapeY + scale.tape} stroke="var(--color-ink)" strokeWidth={4} />
      <path d={`M-11 ${tapeY + scale.tape + 6}h22l-11 -14Z`} className="fill-ink" />
    </g>
  );
}
