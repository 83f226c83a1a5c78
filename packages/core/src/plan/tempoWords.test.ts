import { starterBook } from '../moves/index.ts';
import { tempoWords } from './tempoWords.ts';

const book = starterBook();
const combo = (line: string) => ({ line, beatsPerBar: 4 });

describe('the words for a tempo', () => {
  it('come from the book and the pace', () => {
    const sharp = tempoWords([combo('1 2 r:round')], book, 1)!;
    const novice = tempoWords([combo('1 2 r:round')], book, 1.6)!;
    expect(sharp.full).toBeGreaterThan(novice.full);
    expect(sharp.slow).toBe(Math.round(sharp.full * 0.65));
  });
  it('are those of the slowest of several lines', () => {
    const both = tempoWords([combo('1 2'), combo('r:round-2')], book, 1.25)!;
    expect(both).toEqual(tempoWords([combo('r:round-2')], book, 1.25));
  });
  it('say nothing of lines that nobody can read', () => expect(tempoWords([combo('(')], book, 1)).toBeNull());
});
