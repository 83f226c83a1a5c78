import type { BurstBlockDto } from '@eurhythm/contract';
import { GROUPS_FIELD, type BlockPage } from './blockPage.ts';

export const burstPage: BlockPage<BurstBlockDto> = {
  what: 'as many as possible in ten seconds',
  fields: [
    { kind: 'text', name: 'title', label: 'What is done' },
    { ...GROUPS_FIELD, what: 'title' },
  ],
  lane: ({ groups = [] }, group) => {
    const own = groups.find((each) => each.group === group);
    const what = own?.title ?? own?.line;
    return what === undefined ? null : { text: what, short: what, share: 1 };
  },
};
