import { Feet } from './PinHead.tsx';
import { firstFeet } from './stripLabels.ts';
import type { StripPicture } from './stripPicture.ts';
import type { StripScale } from './stripScales.ts';

const TEETH = 3;

/** A torn end of tape at x, `height` high, its teeth pointing by `depth`. */
function tornEdge(x: number, y: number, height: number, depth: number): string {
  let path = `L${x} ${y}`;
  for (let i = 0; i < TEETH; i++) {
    path += `L${x + depth} ${y + ((i + 0.5) * height) / TEETH}L${x} ${y + ((i + 1) * height) / TEETH}`;
  }
  return path;
}

/** The tape itself: a piece for each lead, torn where the lead changes, with the beats cut into its upper edge. */
export function Tape({
  picture,
  scale,
  small,
  countsBeats,
}: {
  picture: StripPicture;
  scale: StripScale;
  small: boolean;
  countsBeats: boolean;
}) {
  const { tapeY, pieces, notches } = picture;
  const tear = small ? 1.5 : 7;
  return (
    <g>
      {pieces.map((piece, i) => {
        const from = i === 0 ? (small ? 0 : scale.left - scale.label * 3.4) : piece.from + (small ? 1 : 3);
        return (
          <path
            key={piece.from}
            d={`M${from} ${tapeY}${tornEdge(piece.to - (i < pieces.length - 1 ? tear : 0), tapeY, scale.tape, tear)}L${from} ${tapeY + scale.tape}${i > 0 ? tornBack(from, tapeY, scale.tape, tear) : ''}Z`}
            fill={piece.lead === 'left' ? 'var(--color-tape)' : 'var(--color-tape-right)'}
          />
        );
      })}
      {!small &&
        notches.map(({ x, beat }) => {
          const depth = beat === null ? 5 : 9;
          return (
            <g key={x}>
              <path
                d={`M${x - depth * 0.55} ${tapeY - 0.5}h${depth * 1.1}L${x} ${tapeY + depth}Z`}
                fill="var(--color-canvas)"
              />
              {beat !== null && countsBeats && (
                <text
                  x={x}
                  y={tapeY + scale.tape * 0.78}
                  textAnchor="middle"
                  fontSize={scale.label * 0.8}
                  fontWeight={600}
                  className="fill-on-tape"
                >
                  {beat}
                </text>
              )}
            </g>
          );
        })}
      {!small &&
        pieces.map((piece, i) => (
          <LeadMark key={piece.from} piece={piece} first={i === 0} picture={picture} scale={scale} />
        ))}
    </g>
  );
}

function tornBack(x: number, y: number, height: number, depth: number): string {
  let path = '';
  for (let i = TEETH - 1; i >= 0; i--) {
    path += `L${x + depth} ${y + ((i + 0.5) * height) / TEETH}L${x} ${y + (i * height) / TEETH}`;
  }
  return path;
}

function LeadMark({
  piece,
  first,
  picture,
  scale,
}: {
  piece: StripPicture['pieces'][number];
  first: boolean;
  picture: StripPicture;
  scale: StripScale;
}) {
  const { length, top, nameAt } = firstFeet(scale);
  const x = first ? 2 : piece.from - length * 0.6;
  const y = first ? picture.tapeY - top : picture.tapeY + scale.tape + 7;
  const textY = first ? picture.tapeY - nameAt : y + scale.label * 1.1;
  return (
    <g>
      <Feet x={x} y={y} lead={piece.lead} length={length} colour="var(--color-ink)" />
      <text x={first ? x : x + length * 2.1} y={textY} fontSize={scale.label * 0.9} className="fill-ink">
        {piece.lead} lead
      </text>
    </g>
  );
}
