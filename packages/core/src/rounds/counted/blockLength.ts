import type { MoveBook } from '../../moves/index.ts';
import type { Seconds } from '../../units/index.ts';
import type { Block } from '../block.ts';
import { conditionSeconds, countSteps, holdSeconds } from './countSteps.ts';

/**
 * The exact length of a block whose work is counted, in whole seconds rounded up; null for one that goes by the clock and
 * is as long as it says.
 */
export function countedLength(block: Block, book: MoveBook, factor: number): Seconds | null {
  switch (block.kind) {
    case 'count':
      return Math.ceil(countSteps(block, book, factor).seconds);
    case 'hold':
      return Math.ceil(holdSeconds(block));
    case 'condition': {
      const seconds = conditionSeconds(block);
      return seconds === null ? null : Math.ceil(seconds);
    }
    case 'combo':
    case 'burst':
    case 'free':
    case 'react':
    case 'footwork':
    case 'rest':
    case 'talk':
      return null;
    default:
      return block satisfies never;
  }
}
