/** Lines for tests: any line of the grammar, from a seed. Not part of the product. */
import { STARTER_MOVES, STARTER_NUMBERS, findMove, isLegStrike, starterBook } from '../moves/index.ts';
import { pick, type RandomSource } from '../units/index.ts';

export { STARTER_MOVES, starterBook };

const book = starterBook();
const WORDS = [
  ...STARTER_MOVES.map((move) => move.code),
  ...STARTER_NUMBERS.map((entry) => String(entry.number)),
];

/** A text that reads well, with every construct of the grammar now and then. */
export function seededLineText(random: RandomSource): string {
  let lastKick = false;
  let strokes = 0;
  const stroke = (): string => {
    const first = strokes === 0;
    strokes += 1;
    const word = pick(random, WORDS);
    const kick = isLegStrike(findMove(book, word)!.move);
    const holder = random() < 0.08;
    const prefix = [
      holder ? 'o:' : '',
      !first && random() < 0.06 ? '?' : '',
      !holder && kick && lastKick && random() < 0.3 ? '^' : '',
      random() < 0.2 ? pick(random, ['f:', 'r:']) : '',
    ].join('');
    const suffix = [
      random() < 0.25 ? pick(random, ['@h', '@b', '@l']) : '',
      random() < 0.1 ? pick(random, ['>', '<']) : '',
      random() < 0.15 ? pick(random, ['*', "'"]) : '',
      random() < 0.08 ? '!' : '',
    ].join('');
    if (!holder) lastKick = kick;
    const text = prefix + word + suffix;
    return random() < 0.06 ? `(${text})` : text;
  };
  const items = (depth: number, most: number): string => {
    let text = '';
    const count = 1 + Math.floor(random() * most);
    for (let i = 0; i < count; i++) {
      const draw = random();
      const opens = text === '';
      if (draw < 0.08) text += `${opens ? '' : ' '}${pick(random, ['.', ','])} `;
      else if (draw < 0.12)
        text += `${opens ? '' : ' '}${pick(random, ['[free2]', '[hold 3]', '[say "hands high"]'])} `;
      else if (draw < 0.17 && depth < 3 && strokes < 8) {
        lastKick = false; // a copy must not lean on what stood before the group
        text += `${opens ? '' : ' '}{${items(depth + 1, 3)}}x${2 + Math.floor(random() * 2)} `;
      } else {
        const gap =
          opens || /\s$/.test(text) ? '' : pick(random, [' ', ' ', ' ', '-', '=', '+', ':3/4 ', ' # note\n']);
        text += gap + stroke();
      }
    }
    return text.trimEnd();
  };
  return items(0, 8);
}
