import type { Walk } from '@eurhythm/core/body';
import type { Lead } from '@eurhythm/core/moves';
import { toNumber } from '@eurhythm/core/units';

/** The strip in words, for those who hear it instead of seeing it. */
export function tellStrip(walk: Walk, lead: Lead): string {
  const strokes = walk.strokes.map(({ beat, move, side, level, stroke, after, before }) => {
    const words = [
      `beat ${Number((toNumber(beat) + 1).toFixed(2))}:`,
      stroke.by === 'holder' ? 'holder,' : '',
      stroke.feint ? 'feint,' : '',
      move.side.kind === 'free' || (move.side.kind === 'directed' && stroke.side !== null)
        ? (side ?? '')
        : '',
      move.name.toLowerCase(),
      level ?? '',
      after.lead === before.lead ? '' : `to ${after.lead} lead`,
    ];
    return words.filter((word) => word !== '').join(' ');
  });
  return [`From the ${lead} lead`, ...strokes].join('; ') + '.';
}
