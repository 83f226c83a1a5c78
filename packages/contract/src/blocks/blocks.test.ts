import { BLOCK_KINDS } from '@eurhythm/core/rounds';
import { BLOCK_SHAPES, type AnyBlockDto } from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';
import { RIGHT_BLOCKS } from './testBlocks.ts';

type Row = readonly [Readonly<Record<string, unknown>>, string];

const TIME = 'seconds: The time goes from 5 to 7200 seconds.';
const TURNED = 'The longest wait is shorter than the shortest one.';

/** What may go wrong in each kind, with the sentence that is reported. */
const WRONG: Readonly<Record<AnyBlockDto['kind'], readonly Row[]>> = {
  combo: [
    [{ combos: [] }, 'combos: Choose at least one combo.'],
    [{ combos: Array(21).fill({ comboId: 'a' }) }, 'combos: A block holds at most 20 combos.'],
    [{ bpm: 19 }, 'bpm: The tempo goes from 20 to 300 beats a minute.'],
    [{ cyclesEach: 0 }, 'cyclesEach: Cycles of each combo is a whole number from 1 to 50.'],
    [{ times: 501 }, 'times: The number of times from each lead is a whole number from 1 to 500.'],
    [{ wayBack: 0 }, 'wayBack: The number of times before the way back is a whole number from 1 to 50.'],
    [{ 'tempo.by': 101 }, 'tempo.by: The step of the tempo goes from -100 to 100 beats a minute.'],
    [{ gaps: { kind: 'random', min: 6, max: 3 } }, `gaps.max: ${TURNED}`],
    [{ intensity: [25.5] }, 'intensity: A step of contact is a whole number from 0 to 100 percent.'],
    [{ intensity: Array(9).fill(10) }, 'intensity: A contact plan has at most eight steps.'],
    [
      { 'lanes.0.combos': [] },
      'lanes.0.combos: Choose at least one combo for the group, or take the group out.',
    ],
    [
      { 'lanes.0.group': '' },
      'lanes.0.group: The name of a group is plain text of 1 to 24 characters, without < or >.',
    ],
  ],
  count: [
    [{ title: '' }, 'title: What is done is plain text of 1 to 60 characters, without < or >.'],
    [{ reps: 501 }, 'reps: The count is a whole number from 1 to 500 repetitions.'],
    [{ sides: 'left' }, 'sides: The side plan is one of: both, one, in-turn.'],
    [{ speeds: ['warp'] }, 'speeds: The speed of a set is one of: slow, usual, full.'],
    [{ speeds: Array(21).fill('slow') }, 'speeds: There are at most twenty speeds, one for each set.'],
    [{ sets: 0 }, 'sets: The number of sets is a whole number from 1 to 20.'],
    [{ rest: -1 }, 'rest: The rest between sets goes from 0 to 600 seconds.'],
    [{ repSeconds: 0.3 }, 'repSeconds: The time of a repetition goes from 0.4 to 30 seconds.'],
    [{ 'groups.0.line': 7 }, 'groups.0.line: The line of a group is a text.'],
    [{ shoutLast: 'yes' }, 'shoutLast: A shout on the last one is yes or no.'],
    [{ line: 12 }, 'line: The line is a text.'],
    [
      { 'groups.0.reps': 1.5 },
      'groups.0.reps: The count of a group is a whole number from 1 to 500 repetitions.',
    ],
    [{ groups: Array(13).fill({ group: 'Ebb', reps: 3 }) }, 'groups: There are at most twelve groups.'],
  ],
  burst: [
    [{ title: '   ' }, 'title: What is done is plain text of 1 to 60 characters, without < or >.'],
    [
      { groups: [{ group: 'Ebb' }] },
      'groups.0.title: What a group does is plain text of 1 to 60 characters, without < or >.',
    ],
  ],
  hold: [
    [{ holdSeconds: 2 }, 'holdSeconds: The time of a hold goes from 3 to 600 seconds.'],
    [{ times: 21 }, 'times: The number of times is a whole number from 1 to 20.'],
    [{ sides: 'left' }, 'sides: The side plan is one of: both, one.'],
  ],
  free: [
    [{ prompts: Array(31).fill('Hands') }, 'prompts: A block holds at most 30 prompts.'],
    [{ prompts: [7] }, 'prompts: A prompt is plain text of 1 to 60 characters, without < or >.'],
    [{ 'every.min': 2 }, 'every.min: The shortest wait goes from 3 to 120 seconds.'],
    [{ 'every.max': 3, 'every.min': 9 }, `every.max: ${TURNED}`],
  ],
  react: [
    [
      { call: 'x'.repeat(41) },
      'call: The call is plain text of at most 40 characters on one line, without < or >.',
    ],
    [{ 'every.min': 0.4 }, 'every.min: The shortest wait goes from 0.5 to 120 seconds.'],
    [{ more: Array(10).fill({ call: 'a', line: '1' }) }, 'more: A block has at most ten calls.'],
    [{ more: [{ call: 'x', line: 7 }] }, 'more.0.line: The answer is a text.'],
    [{ regular: 3601 }, 'regular: The regular part goes from 0 to 3600 seconds.'],
    [{ 'every.max': 4, 'every.min': 5 }, `every.max: ${TURNED}`],
  ],
  footwork: [
    [{ steps: 21 }, 'steps: The number of steps is a whole number from 1 to 20.'],
    [{ strikeAt: 'before' }, 'strikeAt: The place of the strike is one of: with, after.'],
    [{ room: 0 }, 'room: The room goes from 0.5 to 50 steps.'],
    [{ there: null }, 'there: The step there is a text.'],
    [{ bpm: 301 }, 'bpm: The tempo goes from 20 to 300 beats a minute.'],
  ],
  condition: [
    [{ 'groups.0.line': 7 }, 'groups.0.line: The line of a group is a text.'],
    [
      { 'groups.0.title': '' },
      'groups.0.title: What a group does is plain text of 1 to 60 characters, without < or >.',
    ],
    [{ reps: 0 }, 'reps: The count is a whole number from 1 to 500 repetitions.'],
    [{ repSeconds: 31 }, 'repSeconds: The time of a repetition goes from 0.4 to 30 seconds.'],
  ],
  breath: [
    [{ inSeconds: 0 }, 'inSeconds: The breath in goes from 1 to 20 seconds.'],
    [{ holdSeconds: 21 }, 'holdSeconds: The breath kept goes from 0 to 20 seconds.'],
    [{ outSeconds: '6' }, 'outSeconds: The breath out goes from 1 to 20 seconds.'],
  ],
  lineup: [
    [{ calls: 'Bow' }, 'calls: What is said is a list.'],
    [{ calls: ['<b>'] }, 'calls: What is said is plain text of 1 to 60 characters, without < or >.'],
    [{ calls: Array(13).fill('Bow') }, 'calls: A line-up has at most 12 things that are said.'],
  ],
  rest: [
    [
      { next: 'x'.repeat(81) },
      'next: What comes next is plain text of at most 80 characters on one line, without < or >.',
    ],
  ],
  talk: [
    [
      { notes: 'x'.repeat(2001) },
      'notes: The note is plain text of at most 2000 characters, without < or >.',
    ],
  ],
};

describe.each(BLOCK_KINDS)('a block of the kind %s', (kind) => {
  const sentences = sentencesOf<AnyBlockDto>(BLOCK_SHAPES[kind], RIGHT_BLOCKS[kind]);

  it('is right with all that a page may write in it', () => expect(sentences({})).toEqual([]));
  it.each(WRONG[kind])('%j is reported', (changes, sentence) =>
    expect(sentences(changes)).toEqual([sentence]),
  );

  it.each<Row>([
    [{ seconds: 4 }, TIME],
    [{ seconds: 7201 }, TIME],
    [{ seconds: null }, TIME],
    [{ id: 'a block' }, 'id: The id of a block is 1 to 64 letters, digits, dots, dashes or underscores.'],
    [{ kit: Array(13).fill('pad') }, 'kit: A block needs at most twelve things.'],
    [{ kit: 'pad' }, 'kit: What is needed is a list.'],
    [{ who: Array(13).fill('Ebb') }, 'who: There are at most twelve groups.'],
    [{ space: 51 }, 'space: The room of a block goes from 0 to 50 steps.'],
    [
      { tell: 'x'.repeat(501) },
      'tell: What is said before is plain text of at most 500 characters, without < or >.',
    ],
    [{ colour: 'red' }, 'colour: `colour` is not known here.'],
  ])('as every kind does, it tells %j', (changes, sentence) =>
    expect(sentences(changes)).toEqual([sentence]),
  );

  it('may say for whom it is, what it needs and what comes before', () => {
    expect(sentences({ who: ['Ebb'], kit: ['pad'], space: 3, tell: 'Toes\nback' })).toEqual([]);
    expect(sentences({ who: undefined, kit: undefined, space: null, tell: undefined })).toEqual([]);
  });
});
