import type { ComboBlockDto } from '@eurhythm/contract';
import { toldNumber } from '../../../ui/numbers.ts';
import type { BlockPage } from './blockPage.ts';
import { ComboSettings } from './fields/ComboSettings.tsx';

export const comboPage: BlockPage<ComboBlockDto> = {
  name: 'Combos',
  what: 'combos on a beat, called',
  Settings: ComboSettings,
  tell: ({ combos, bpm }, nameOf) =>
    `${combos.map((ref) => nameOf(ref.comboId)).join(', ') || 'no combo yet'} · ${toldNumber(bpm)} a minute`,
  lane: ({ lanes = [] }, group, nameOf) => {
    const lane = lanes.find((each) => each.group === group);
    if (!lane) return null;
    const text = lane.combos.map((ref) => nameOf(ref.comboId)).join(', ');
    // The lane says whose it is already.
    return { text, short: text.replaceAll(`${group} `, ''), share: 1 };
  },
};
