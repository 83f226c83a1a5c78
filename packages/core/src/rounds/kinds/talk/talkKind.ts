import type { BlockBase } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';

/** Somebody explains; the text is for the one who does. */
export interface TalkBlock extends BlockBase {
  readonly kind: 'talk';
  readonly title: string;
  readonly notes: string;
}

export const talkKind: BlockKind<TalkBlock> = {
  ...BY_THE_CLOCK,
  name: 'Talk',
  isPause: true,
  usual: (id) => ({ kind: 'talk', id, seconds: 60, title: 'What comes next', notes: '' }),
  tell: ({ title, notes }) => [title, notes].filter((text) => text !== '').join(': '),
  texts: () => [],
  scenes: ({ title, notes }, { from }) => [{ at: from, what: title, notes }],
  layOut: ({ id, title }, { from }, { layout }) =>
    void layout.cues.push({ at: from, kind: 'show', text: title, block: id }),
};
