import { RIGHT_BLOCKS } from '../blocks/testBlocks.ts';
import {
  RepeatSessionDto,
  SaveThemeDto,
  CompileRoundDto,
  SaveLibraryItemDto,
  SaveSessionDto,
  SaveSheetDto,
} from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

const round = { id: 'r', title: 'Pads', kind: 'pads', blocks: [RIGHT_BLOCKS.combo, RIGHT_BLOCKS.rest] };

describe('a session as a page writes one', () => {
  const reported = sentencesOf(SaveSessionDto, {
    title: 'Tuesday',
    lead: 'left',
    plannedFor: '2026-03-05T18:30:00Z',
    word: 'tide',
    groups: [{ name: 'Minnows', gradeIds: ['drop'] }],
    rounds: [{ ...round, series: { id: 's', times: 3 }, timeCalls: ['ten'] }],
  });
  it.each([
    [{}],
    [{ plannedFor: null, word: undefined, groups: undefined }],
    [{ word: '' }],
    [{ 'rounds.0.turns': 2 }],
    [{ 'rounds.0.turns': null }],
    [{ 'rounds.0.series': null, 'rounds.0.timeCalls': [] }],
  ])('%j is right', (changes) => expect(reported(changes)).toEqual([]));
  it.each([
    [{ 'rounds.0.turns': 4 }, 'rounds.0.turns: A round is done alone, by two or by three.'],
    [{ title: '' }, 'title: The title is plain text of 1 to 60 characters, without < or >.'],
    [{ plannedFor: '2026-03-05' }, 'plannedFor: The date is written like 2026-03-05T18:30:00Z.'],
    [{ plannedFor: '2026-02-30T18:30:00Z' }, 'plannedFor: The date is written like 2026-03-05T18:30:00Z.'],
    [
      { word: 'x'.repeat(41) },
      'word: The word of the day is plain text of at most 40 characters on one line, without < or >.',
    ],
    [{ rounds: [] }, 'rounds: A session needs at least one round.'],
    [{ rounds: Array(101).fill(round) }, 'rounds: A session holds at most 100 rounds.'],
    [{ rounds: 'pads' }, 'rounds: The rounds are a list.'],
    [{ 'rounds.0.blocks': [] }, 'rounds.0.blocks: A round needs at least one block.'],
    [
      { 'rounds.0.blocks': Array(61).fill(RIGHT_BLOCKS.rest) },
      'rounds.0.blocks: A round holds at most 60 blocks.',
    ],
    [{ 'rounds.0.series.times': 1 }, 'rounds.0.series.times: The times is a whole number from 2 to 20.'],
    [
      { 'rounds.0.title': '<' },
      'rounds.0.title: The title of a round is plain text of 1 to 60 characters, without < or >.',
    ],
    [
      {
        groups: [
          { name: 'Ebb', gradeIds: [] },
          { name: 'ebb ', gradeIds: [] },
        ],
      },
      'groups: Two groups have the same name.',
    ],
    [
      { groups: [...'abcdefghijklm'].map((name) => ({ name, gradeIds: [] })) },
      'groups: There are at most twelve groups.',
    ],
    [{ 'groups.0.gradeIds': 'drop' }, 'groups.0.gradeIds: The grades of a group are a list.'],
  ])('%j is reported', (changes, sentence) => expect(reported(changes)).toEqual([sentence]));
  it('names the kinds of round and of time call that there are', () => {
    expect(reported({ 'rounds.0.kind': 'party' })[0]).toMatch(
      /^rounds\.0\.kind: The kind of round is one of: warm-up/,
    );
    expect(reported({ 'rounds.0.timeCalls': ['noon'] })[0]).toMatch(
      /^rounds\.0\.timeCalls: A time call is one of: /,
    );
  });
  it('finds the block that is wrong, however deep it stands', () => {
    expect(
      reported({ 'rounds.0.blocks.1.seconds': 1, 'rounds.0.blocks.0.lanes.0.combos.0.line': 5 }),
    ).toEqual([
      'rounds.0.blocks.0.lanes.0.combos.0.line: The line is a text.',
      'rounds.0.blocks.1.seconds: The time goes from 5 to 7200 seconds.',
    ]);
  });
});

describe('a round to be compiled', () => {
  const reported = sentencesOf(CompileRoundDto, { blocks: round.blocks, lead: 'left', seed: 1 });
  it.each([
    [{}, []],
    [{ seed: 0xffffffff, voice: 'own', shifts: [] }, []],
    [{ seed: -1 }, ['seed: The seed is a whole number from 0 to 4294967295.']],
    [{ lead: 'both' }, ['lead: The lead is one of: left, right.']],
    [{ blocks: [] }, ['blocks: A round needs at least one block.']],
    [
      { shifts: [{ from: 1, by: 201 }] },
      ['shifts.0.by: The change of tempo goes from -200 to 200 beats a minute.'],
    ],
    [{ shifts: Array(501).fill({ from: 1, by: 2 }) }, ['shifts: There are at most 500 changes of tempo.']],
  ])('%j', (changes, sentences) => expect(reported(changes)).toEqual(sentences));
});

describe('what the calendar is reported', () => {
  const theme = sentencesOf(SaveThemeDto, { title: 'Range', from: '2026-03-02', until: '2026-03-08' });
  it.each([
    [{}, []],
    [{ until: '2026-03-02' }, []],
    [{ until: '2026-03-01' }, ['until: The last day comes before the first one.']],
    [{ from: '2 March' }, ['from: A day is written like 2026-03-05.']],
    [{ from: '2026-02-30' }, ['from: A day is written like 2026-03-05.']],
  ])('a theme with %j', (changes, sentences) => expect(theme(changes)).toEqual(sentences));

  const repeat = sentencesOf(RepeatSessionDto, {
    ids: ['a', 'b'],
    dates: ['2026-03-12T18:30:00Z', '2026-03-19T18:30:00Z'],
  });
  it.each([
    [{}, []],
    [{ ids: ['a', 'a'] }, ['ids: An id stands twice in this list.']],
    [{ dates: [] }, ['dates: Repeat it at least once.']],
    [{ 'dates.1': '2026-03-12T18:30:00Z' }, ['dates: A date stands twice in this list.']],
    [{ 'dates.1': 'next week' }, ['dates: A date is written like 2026-03-05T18:30:00Z.']],
    [
      { ids: Array.from({ length: 53 }, (_, i) => `s${i}`) },
      ['ids: A session is repeated for at most a year: 52 times.'],
    ],
  ])('repeated with %j', (changes, sentences) => expect(repeat(changes)).toEqual(sentences));
});

describe('what is kept, and who came', () => {
  const item = sentencesOf(SaveLibraryItemDto, { title: 'Our pads', rounds: [round] });
  it.each([
    [{}, []],
    [{ rounds: [] }, ['rounds: Keep at least one round.']],
    [{ rounds: Array(101).fill(round) }, ['rounds: At most 100 rounds are kept under one name.']],
    [{ title: '' }, ['title: The name is plain text of 1 to 60 characters, without < or >.']],
  ])('a piece with %j', (changes, sentences) => expect(item(changes)).toEqual(sentences));

  const present = { fighterId: 'maja', from: 0, until: null, ticked: ['gloves'] };
  const sheet = sentencesOf(SaveSheetDto, { present: [present], size: 2, rotations: 6 });
  it.each([
    [{}, []],
    [{ present: [] }, []],
    [{ size: 4 }, ['size: People work alone, by two or by three.']],
    [{ rotations: 0 }, ['rotations: The number of rotations is a whole number from 1 to 30.']],
    [{ present: [present, present] }, ['present: Somebody stands twice in this list.']],
    [
      { 'present.0.from': 31 },
      ['present.0.from: The rotation of the arrival is a whole number from 0 to 30.'],
    ],
    [{ 'present.0.ticked': 'gloves' }, ['present.0.ticked: What was ticked is a list.']],
  ])('a sheet with %j', (changes, sentences) => expect(sheet(changes)).toEqual(sentences));
});

describe('a session that asks for too much', () => {
  const reported = sentencesOf(SaveSessionDto, {
    title: 'Tuesday',
    lead: 'left',
    rounds: [round],
  });
  it('tells what lasts too long together', () => {
    const long = { ...RIGHT_BLOCKS.talk, seconds: 7200 };
    const two = [long, { ...long, id: 'again' }];
    expect(reported({ 'rounds.0.blocks': two, 'rounds.0.series': null })).toEqual([
      'rounds.0.blocks: A round lasts at most two hours.',
    ]);
    expect(reported({ 'rounds.0.blocks': [long], 'rounds.0.series': { id: 's', times: 5 } })).toEqual([
      'rounds: A session lasts at most eight hours.',
    ]);
  });
  it('wants things where things have to be', () => {
    expect(reported({ 'rounds.0.blocks.0': { ...RIGHT_BLOCKS.free, every: undefined } })).toEqual([
      'rounds.0.blocks.0.every: The wait has its fields, as the contract lists them.',
    ]);
    expect(reported({ 'rounds.0.blocks.0': { ...RIGHT_BLOCKS.react, every: [] } })).toEqual([
      'rounds.0.blocks.0.every: The wait has its fields, as the contract lists them.',
    ]);
    expect(reported({ 'rounds.0.blocks.0': { ...RIGHT_BLOCKS.combo, tempo: [] } })).toEqual([
      'rounds.0.blocks.0.tempo: The tempo has its kind and its fields.',
    ]);
  });
  it('takes nothing that would split a call', () => {
    expect(reported({ word: 'tide\nturn' })).toEqual([
      'word: The word of the day is plain text of at most 40 characters on one line, without < or >.',
    ]);
    expect(reported({ 'rounds.0.blocks.0': { ...RIGHT_BLOCKS.free, prompts: ['a\u0007b'] } })[0]).toMatch(
      /prompts/,
    );
  });
});
