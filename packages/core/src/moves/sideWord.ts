import type { Lead, Side, SideNames } from './move.ts';

const SIDE_WORDS = {
  'lead-rear': { front: 'lead', rear: 'rear' },
  'front-back': { front: 'front', rear: 'back' },
} as const;

/**
 * The word for a side.
 *
 * @param lead the lead that stands when the stroke is done
 *
 * @example
 * sideWord('rear', 'left-right', 'left') // 'right'
 * sideWord('front', 'lead-rear', 'left') // 'lead'
 */
export function sideWord(side: Side, names: SideNames, lead: Lead): string {
  if (names !== 'left-right') return SIDE_WORDS[names][side];
  return (side === 'front') === (lead === 'left') ? 'left' : 'right';
}
