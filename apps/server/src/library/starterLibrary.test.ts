import { PACE_FACTORS } from '@eurhythm/core/body';
import { starterBook } from '@eurhythm/core/moves';
import { sessionSeconds } from '@eurhythm/core/plan';
import { compileRound, fillBlock } from '@eurhythm/core/rounds';
import { lettersVoice } from '../../../../packages/core/src/calls/testLibrary.ts';
import { SaveLibraryItemDto, checkFields, withRightLength } from '../../../../packages/contract/src/index.ts';
import { gradeTest } from './gradeTest.ts';
import { STARTER_LIBRARY } from './starterLibrary.ts';

const book = starterBook();

describe('the starter library', () => {
  it.each(STARTER_LIBRARY.map((item) => [item.title, item] as const))(
    '%s keeps the rules and can be played',
    (_, { title, rounds }) => {
      expect(checkFields(SaveLibraryItemDto, { title, rounds })).toEqual([]);
      for (const { blocks } of rounds) {
        const exact = blocks.map((block) =>
          fillBlock(withRightLength(block, book, PACE_FACTORS.club), new Map()),
        );
        const { findings, cues } = compileRound(
          { blocks: exact, lead: 'left', seed: 1 },
          book,
          lettersVoice(),
        );
        expect(
          findings.filter(({ rule, severity }) => rule === 'no-cycle-fits' || severity === 'caution'),
        ).toEqual([]);
        expect(cues.length).toBeGreaterThan(3);
      }
    },
  );
  it('keeps its words: a first lesson of a quarter of an hour at most, a cool-down of some minutes', () => {
    const seconds = (id: string): number =>
      sessionSeconds(
        STARTER_LIBRARY.find((item) => item.id === `starter.${id}`)!.rounds.map((round) => ({
          ...round,
          blocks: round.blocks.map((block) => withRightLength(block, book, PACE_FACTORS.club)),
        })),
      );
    expect(seconds('first-lesson')).toBeLessThan(16 * 60);
    expect(seconds('cool-down')).toBeGreaterThan(120);
  });
});

describe('the test of a grade', () => {
  const grade = { id: 'flood', name: 'Flood', band: 'adults' as const };
  it('is none while nothing is written', () => {
    expect(gradeTest(grade, [], [], () => null)).toBeNull();
  });
  it('asks for the techniques of the grade and a burst from each lead', () => {
    const technique = {
      id: 't',
      move: 'r:round',
      comboId: null,
      reps: 30,
      sides: 'both' as const,
      sets: 2,
      restSeconds: 20,
    };
    const { title, rounds } = gradeTest(grade, [], [technique], () => 'Round kick')!;
    expect(checkFields(SaveLibraryItemDto, { title, rounds })).toEqual([]);
    const blocks = rounds.flatMap((round) => round.blocks);
    expect(
      blocks.filter((block) => block.kind === 'count').map((block) => [block.title, block.reps]),
    ).toEqual([['Round kick', 5]]);
    expect(blocks.filter((block) => block.kind === 'burst')).toHaveLength(2);
  });
});
