import type { Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import type { BlockBase } from '../blockBase.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { sayAbout } from '../counting.ts';

/** Everybody stands in line, and does what is said: how a class begins and ends where it bows. */
export interface LineupBlock extends BlockBase {
  readonly kind: 'lineup';
  /** Said in turn, in even parts of the time. */
  readonly calls: readonly string[];
}

/** A call that finds no room comes so much later at the most. */
const SLACK: Seconds = 1;

export const lineupKind: BlockKind<LineupBlock> = {
  ...BY_THE_CLOCK,
  name: 'Line up',
  isPause: true,
  stretches: false,
  usual: (id) => ({ kind: 'lineup', id, seconds: 30, calls: ['Line up', 'Eyes closed', 'Bow'] }),
  tell: ({ calls }) => calls.join(', ') || 'nothing is said',
  prompts: ({ calls }) => calls,
  texts: ({ calls }) => calls.map((call) => call.toLowerCase()),
  scenes: ({ calls }, time) =>
    calls.map((call, i) => ({
      at: partAt(calls, i, time),
      what: call,
      until: partAt(calls, i + 1, time),
    })),
  layOut: layOutLineup,
};

/** When the part of one of the calls begins. */
function partAt(calls: readonly string[], i: number, { from, to }: Pick<BlockTime, 'from' | 'to'>): Seconds {
  return from + (i * (to - from)) / calls.length;
}

function layOutLineup({ id, calls }: LineupBlock, time: BlockTime, { layout }: LayOutContext): void {
  for (const [i, call] of calls.entries()) {
    const at = partAt(calls, i, time);
    layout.cues.push({ at, kind: 'show', text: call, block: id });
    sayAbout(layout, id, { forms: [call.toLowerCase()], at: at + 0.2, priority: 'combo', slack: SLACK });
  }
}
