import { numberWord } from '../../../calls/index.ts';
import { numberText, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { otherSideForms } from '../../../calls/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import type { CountWords } from '../../roundSettings.ts';
import {
  OPENING,
  SIDE_WORDS,
  sayAbout,
  sidesInTurn,
  tellCut,
  wordOfCount,
  type SideInTurn,
} from '../counting.ts';
import type { HoldBlock } from './holdBlock.ts';

/** The end of a hold is counted down from here. */
const COUNTED_DOWN = 5;

export const holdKind: BlockKind<HoldBlock> = {
  ...BY_THE_CLOCK,
  name: 'Hold',
  stretches: false,
  usual: (id) => ({
    kind: 'hold',
    id,
    seconds: 66,
    title: 'Low stance',
    holdSeconds: 30,
    sides: 'both',
    times: 1,
  }),
  tell: ({ title, holdSeconds, sides, times }) =>
    `${title}: ${numberText(holdSeconds)} s${sides === 'both' ? ' each side' : ''} × ${numberText(times)}`,
  isCounted: () => true,
  length: ({ times, sides, holdSeconds }) => times * sidesInTurn(sides).length * (OPENING + holdSeconds),
  *texts(block, _, count) {
    for (const side of sidesInTurn(block.sides)) yield* holdForms(block, side);
    for (let left = COUNTED_DOWN; left >= 1; left--) yield inWords(left, count);
  },
  scenes: (block, { from, to }) =>
    holdStarts(block).flatMap(({ at, side }, i, all) => {
      const how = [
        ...(side === null ? [] : [SIDE_WORDS[side]]),
        ...(all.length > 1 ? [`${i + 1} of ${all.length}`] : []),
      ];
      const begins = from + at;
      return [
        { at: begins - OPENING, what: block.title, how: [...how, 'get into it'], until: begins },
        { at: begins, what: block.title, how, until: Math.min(to, begins + block.holdSeconds) },
      ];
    }),
  layOut: layOutHold,
};

/** In the gym's language, as far as it goes. */
const inWords = (n: number, count: CountWords): string => wordOfCount(n, count) || numberWord(n);

function holdForms({ title }: HoldBlock, side: SideInTurn): string[] {
  const name = title.toLowerCase();
  return side === 'other' ? otherSideForms(name) : [name];
}

/** The instants at which a hold begins, from the start of the block, and on which side. */
function holdStarts({
  times,
  sides,
  holdSeconds,
}: HoldBlock): { readonly at: Seconds; readonly side: SideInTurn }[] {
  return Array.from({ length: times }, () => sidesInTurn(sides))
    .flat()
    .map((side, i) => ({ at: i * (OPENING + holdSeconds) + OPENING, side }));
}

/** A stretch or stance: named, held, its last five seconds counted. */
function layOutHold(block: HoldBlock, { from, to }: BlockTime, { layout, count }: LayOutContext): void {
  for (const [held, { at, side }] of holdStarts(block).entries()) {
    const start = from + at;
    if (start >= to) {
      tellCut(layout, block.id, to, held, holdStarts(block).length);
      break;
    }
    sayAbout(layout, block.id, {
      forms: holdForms(block, side),
      at: start - OPENING + 0.2,
      priority: 'combo',
      slack: 1.5,
    });
    layout.cues.push({ at: start, kind: 'count', text: 'hold', block: block.id, sound: 'count-in' });
    // A block that is too short for its hold ends it.
    const end = Math.min(to, start + block.holdSeconds);
    for (let left = Math.min(COUNTED_DOWN, Math.floor(end - start) - 1); left >= 1; left--) {
      layout.calls.push({
        forms: [inWords(left, count)],
        priority: 'count',
        place: { kind: 'centre', at: end - left },
        cue: { kind: 'count', block: block.id, sound: 'last-five' },
      });
    }
  }
}
