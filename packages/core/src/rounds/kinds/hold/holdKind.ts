import { numberWord } from '../../../calls/index.ts';
import { numberText, type Seconds } from '../../../units/index.ts';
import type { BlockTime, LayOutContext } from '../../layOutContext.ts';
import { otherSideForms } from '../../../calls/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import type { CountWords } from '../../roundSettings.ts';
import {
  BEFORE_BLOCK_ENDS,
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
    relaxSeconds: null,
  }),
  tell: ({ title, holdSeconds, sides, times, relaxSeconds }) =>
    `${title}: ${numberText(holdSeconds)} s${relaxSeconds ? `, relax ${numberText(relaxSeconds)} s` : ''}${sides === 'both' ? ' each side' : ''} × ${numberText(times)}`,
  worked: ({ title, holdSeconds, sides, times }) => [
    `${title}: ${times === 1 ? '' : `${times} times `}${holdSeconds} s${sides === 'both' ? ' each side' : ''}`,
  ],
  isCounted: () => true,
  length: (block) => block.times * sidesInTurn(block.sides).length * onceSeconds(block),
  *texts(block, _, count) {
    for (const side of sidesInTurn(block.sides)) yield* holdForms(block, side);
    if (block.relaxSeconds) yield* Object.values(GO_AND_RELAX);
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
        ...(block.relaxSeconds
          ? [
              {
                at: begins + block.holdSeconds,
                what: GO_AND_RELAX.relax,
                how,
                until: Math.min(to, begins + block.holdSeconds + block.relaxSeconds),
              },
            ]
          : []),
      ];
    }),
  layOut: layOutHold,
};

/** In the gym's language, as far as it goes. */
const inWords = (n: number, count: CountWords): string => wordOfCount(n, count) || numberWord(n);

/** Said at both ends of a hold that is let go of. */
const GO_AND_RELAX = { go: 'go', relax: 'relax' } as const;

/** From one hold to the next. */
const onceSeconds = ({ holdSeconds, relaxSeconds }: HoldBlock): Seconds =>
  OPENING + holdSeconds + (relaxSeconds ?? 0);

function holdForms({ title }: HoldBlock, side: SideInTurn): string[] {
  const name = title.toLowerCase();
  return side === 'other' ? otherSideForms(name) : [name];
}

/** The instants at which a hold begins, from the start of the block, and on which side. */
function holdStarts(block: HoldBlock): { readonly at: Seconds; readonly side: SideInTurn }[] {
  return Array.from({ length: block.times }, () => sidesInTurn(block.sides))
    .flat()
    .map((side, i) => ({ at: i * onceSeconds(block) + OPENING, side }));
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
    if (block.relaxSeconds) {
      sayAbout(layout, block.id, { forms: [GO_AND_RELAX.go], at: start, priority: 'combo', slack: 0.5 });
      const ends = start + block.holdSeconds;
      if (ends < to - BEFORE_BLOCK_ENDS)
        sayAbout(layout, block.id, { forms: [GO_AND_RELAX.relax], at: ends, priority: 'combo', slack: 1 });
    }
    layout.cues.push({ at: start, kind: 'count', text: 'hold', block: block.id, sound: 'count-in' });
    // A block that is too short for its hold ends it.
    const end = Math.min(to, start + block.holdSeconds);
    if (end < start + block.holdSeconds)
      layout.findings.push({
        rule: 'count-cut',
        severity: 'caution',
        at: end,
        block: block.id,
        message: `The block ends ${numberText(start + block.holdSeconds - end)} s before its hold of ${numberText(block.holdSeconds)} s does. It needs more time.`,
      });
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
