import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import type { BlockBase } from '../blockBase.ts';

/** As many clean repetitions as fit. */
export interface BurstBlock extends BlockBase {
  readonly kind: 'burst';
  readonly title: string;
}

/** What is done in a burst until a coach says otherwise. */
export const USUAL_BURST_TITLE = 'Two straights';

/** A burst is only called by its name: the bell starts it, the last five seconds are counted. */
export const burstKind: BlockKind<BurstBlock> = {
  ...BY_THE_CLOCK,
  name: 'Burst',
  stretches: false,
  usual: (id) => ({ kind: 'burst', id, seconds: 10, title: USUAL_BURST_TITLE }),
  tell: ({ title }) => title,
  texts: () => [],
  layOut: ({ id, title }, { from }, { layout }) =>
    void layout.cues.push({ at: from, kind: 'show', text: title, block: id }),
};
