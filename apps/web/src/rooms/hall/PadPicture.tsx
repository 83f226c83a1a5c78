import type { Pad } from '@eurhythm/core/body';

/** Heights of the body in the picture. */
const HEIGHTS = { head: 22, body: 62, low: 104 } as const;
/** How far from the middle a pad is held. */
const ASIDE = 26;

/** The holder as seen in a mirror: where the pad is held for what comes. */
export function PadPicture({ pad, className = '' }: { pad: Pad; className?: string }) {
  const y = HEIGHTS[pad.level ?? 'body'];
  const hands = pad.hand === 'both' ? (['left', 'right'] as const) : ([pad.hand] as const);
  const tone = pad.isThrown ? 'fill-holder' : 'fill-tape';
  return (
    <svg viewBox="0 0 100 140" className={className} aria-hidden="true">
      <g className="fill-none stroke-rule" strokeWidth="5" strokeLinecap="round" strokeLinejoin="round">
        <circle cx="50" cy="20" r="11" />
        <path d="M50 31v46M50 77l-15 56M50 77l15 56M30 50q20-14 40 0" />
      </g>
      {hands.map((hand) => (
        <g key={hand} transform={`translate(${hand === 'left' ? 50 - ASIDE : 50 + ASIDE} ${y})`}>
          <rect x="-13" y="-17" width="26" height="34" rx="9" className={tone} />
          <circle r="5" className="fill-canvas" />
        </g>
      ))}
    </svg>
  );
}
