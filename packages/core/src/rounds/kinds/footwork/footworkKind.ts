import { numberText } from '../../../units/index.ts';
import { STARTER_LINES } from '../../../moves/index.ts';
import { BY_THE_CLOCK, type BlockKind } from '../blockKind.ts';
import { comboTexts } from '../combo/comboKind.ts';
import { lineInWords } from '../combo/lineInWords.ts';
import { layOutCombos } from '../combo/layOutCombos.ts';
import { footworkAsCombo, footworkLine, type FootworkBlock } from './footworkLine.ts';

export const footworkKind: BlockKind<FootworkBlock> = {
  ...BY_THE_CLOCK,
  name: 'Footwork',
  usual: (id) => ({
    kind: 'footwork',
    id,
    seconds: 60,
    there: STARTER_LINES.stepIn,
    back: STARTER_LINES.stepOut,
    steps: 3,
    strike: STARTER_LINES.rearStraight,
    strikeAt: 'after',
    room: null,
    bpm: 80,
  }),
  tell: ({ steps, there, strike, back }) =>
    `${numberText(steps)} × ${there}${strike === '' ? '' : `, ${strike}`}, ${numberText(steps)} × ${back}`,
  worked: ({ steps, there, strike, back }, _, { lead, book }) => [
    [
      `${steps} × ${lineInWords(there, book, lead)}`,
      strike && lineInWords(strike, book, lead),
      `${steps} × ${lineInWords(back, book, lead)}`,
    ]
      .filter((part) => part !== '')
      .join(', '),
  ],
  board: 'steps',
  written: ({ there, back, strike }) => [
    { field: 'there', line: there },
    { field: 'back', line: back },
    ...(strike === '' ? [] : [{ field: 'strike', line: strike }]),
  ],
  combos: (block, book) => footworkAsCombo(block, book).combos,
  done: (block, book) => [footworkLine(block, book)],
  texts: (block, book, count) => comboTexts(footworkAsCombo(block, book), book, count),
  scenes: ({ steps, strike }, { from }, { lead }) => [
    {
      at: from,
      what: 'Footwork',
      how: [
        `${numberText(steps)} there, ${strike === '' ? '' : 'strike, '}${numberText(steps)} back`,
        `${lead} lead`,
      ],
    },
  ],
  layOut: (block, time, context) => layOutCombos(footworkAsCombo(block, context.book), time, context),
  strikes: () => 'as-compiled',
};
