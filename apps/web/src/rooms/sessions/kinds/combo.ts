import type { ComboBlockDto } from '@eurhythm/contract';
import type { BlockPage } from './blockPage.ts';
import { ComboSettings } from './fields/ComboSettings.tsx';

export const comboPage: BlockPage<ComboBlockDto> = {
  isDrawnOnCard: true,
  what: 'combos on a beat, called',
  Settings: ComboSettings,
  lane: ({ lanes = [] }, group, nameOf) => {
    const lane = lanes.find((each) => each.group === group);
    if (!lane) return null;
    const text = lane.combos.map((ref) => nameOf(ref)).join(', ');
    // The lane says whose it is already.
    return { text, short: text.replaceAll(`${group} `, ''), share: 1 };
  },
};
