import {
  checkFields,
  SaveGradesDto,
  SaveTechniquesDto,
  AcceptNoticeDto,
  STARTER_SCHOOL_SETTINGS,
  SchoolDto,
  OWN_CALL_LIMITS,
  SayQuery,
  SetCentreDto,
} from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

const sentences = sentencesOf(SchoolDto, {
  ...STARTER_SCHOOL_SETTINGS,
  youth: [{ gradeId: 'drop', headContact: false, knees: false, elbows: false, spins: true, jumps: true }],
});

describe('the ways of a gym', () => {
  it.each([
    [{}],
    [{ floorSteps: 0.5 }],
    [{ floorSteps: null }],
    [{ countWords: ['hup', 'dva: d v aa', "l'une"] }],
    [{ kit: [], checklist: [], muted: [], youth: [] }],
    [{ muted: ['leg-in-air'] }],
    [{ voice: 'own', voiceRate: 1.3 }],
    [{ 'youth.0.contact': 0 }],
    [{ hips: undefined, counting: undefined, voiceRate: undefined }],
  ])('%j is right', (changes) => expect(sentences(changes)).toEqual([]));

  it.each([
    [{ strikes: 'pull' }, 'strikes: The end of a strike is one of: snap, through.'],
    [{ hips: 'half' }, 'hips: The turn of the hips is one of: full, square.'],
    [{ hips: null }, 'hips: The turn of the hips is one of: full, square.'],
    [
      { frontHighBlock: true },
      'frontHighBlock: The high block with the front arm is one of: allowed, avoided.',
    ],
    [{ pace: 'quick' }, 'pace: The pace is one of: novice, club, sharp.'],
    [{ words: 'both' }, 'words: What is called is one of: numbers, names.'],
    [{ counting: 'half' }, 'counting: The counting is one of: parts, whole.'],
    [{ rhythm: 'swing' }, 'rhythm: The rhythm is one of: even, broken.'],
    [{ workBy: 'feel' }, 'workBy: The measure of work is one of: clock, count.'],
    [{ speed: 'slow' }, 'speed: The speed aimed at is one of: clean, fastest.'],
    [{ voice: 'loud' }, 'voice: The voice is one of: rms, slt, own.'],
    [{ floorSteps: 0 }, 'floorSteps: The floor goes from 0.5 to 50 steps.'],
    [{ floorSteps: 'wide' }, 'floorSteps: The floor goes from 0.5 to 50 steps.'],
    [{ kit: Array(41).fill('pad') }, 'kit: The list of what the gym has holds at most 40 things.'],
    [
      { kit: ['<pad>'] },
      'kit: A thing that the gym has is plain text of 1 to 40 characters, without < or >.',
    ],
    [{ checklist: 'gloves' }, 'checklist: The checklist is a list.'],
    [{ checklist: Array(13).fill('gloves') }, 'checklist: The checklist holds at most twelve items.'],
    [{ muted: ['no-such-rule'] }, 'muted: One of the muted rules is not known.'],
    [{ countWords: 'hup' }, 'countWords: The count words are a list.'],
    [{ countWords: Array(21).fill('hup') }, 'countWords: There are at most 20 count words.'],
    [{ 'youth.0.knees': 'no' }, 'youth.0.knees: Knees is yes or no.'],
    [{ 'youth.0.headContact': null }, 'youth.0.headContact: Head contact is yes or no.'],
    [{ 'youth.0.contact': 101 }, 'youth.0.contact: The contact is a whole number from 0 to 100 percent.'],
    [{ 'youth.0.contact': 12.5 }, 'youth.0.contact: The contact is a whole number from 0 to 100 percent.'],
  ])('%j is reported', (changes, sentence) => expect(sentences(changes)).toEqual([sentence]));

  it.each([['hup: 1'], ['<hup>'], [''], ['x'.repeat(25)], ['hup: HH AH']])('%j is no count word', (word) => {
    expect(sentences({ countWords: ['one', word] })).toEqual([
      'countWords: A count word has 1 to 24 letters; its phones may follow a colon, such as hup: hh ah p.',
    ]);
  });
  it('a speed that the voice does not have is reported with those that it has', () => {
    expect(sentences({ voiceRate: 2 })[0]).toMatch(/^voiceRate: The speed of the voice is one of: 1, /);
  });
  it('the notice is accepted, not refused', () => {
    expect(checkFields(AcceptNoticeDto, { accepted: true })).toEqual([]);
    expect(checkFields(AcceptNoticeDto, { accepted: false })).toEqual([
      { field: 'accepted', message: 'The notice is accepted or left open.' },
    ]);
  });
});

describe('the grades of a gym', () => {
  const grades = sentencesOf(SaveGradesDto, {
    grades: [
      { id: 'drop', name: 'Drop', band: 'children' },
      { id: 'ebb', name: 'Ebb', band: 'adults' },
    ],
  });
  it.each([
    [{}, []],
    [{ grades: [] }, ['grades: A gym has at least one grade.']],
    [{ grades: {} }, ['grades: The grades are a list.']],
    [{ 'grades.1.id': 'drop' }, ['grades: A grade stands twice in this list.']],
    [{ 'grades.1.name': ' DROP ' }, ['grades: Two grades have the same name.']],
    [{ 'grades.0.band': 'all' }, ['grades.0.band: The band is one of: children, adults.']],
    [
      { 'grades.0.name': 'x'.repeat(25) },
      ['grades.0.name: The name of a grade is plain text of 1 to 24 characters, without < or >.'],
    ],
    [
      { grades: Array.from({ length: 41 }, (_, i) => ({ id: `g${i}`, name: `G${i}`, band: 'adults' })) },
      ['grades: A gym has at most 40 grades.'],
    ],
  ])('%j', (changes, sentences) => expect(grades(changes)).toEqual(sentences));
});

describe('what a grade trains', () => {
  const techniques = sentencesOf(SaveTechniquesDto, {
    techniques: [
      { id: 't', move: 'r:round', comboId: null, reps: 15, sides: 'both', sets: 3, restSeconds: 20 },
    ],
  });
  it.each([
    [{ 'techniques.0.reps': 0 }, 'techniques.0.reps: The count is a whole number from 1 to 500 repetitions.'],
    [{ 'techniques.0.sets': 21 }, 'techniques.0.sets: The number of sets is a whole number from 1 to 20.'],
    [
      { 'techniques.0.restSeconds': 601 },
      'techniques.0.restSeconds: The rest between sets goes from 0 to 600 seconds.',
    ],
    [{ 'techniques.0.sides': 'left' }, 'techniques.0.sides: The side plan is one of: both, one.'],
    [{ 'techniques.0.move': '1 2' }, 'techniques.0.move: A move is named by its code or number.'],
  ])('%j is reported', (changes, sentence) => expect(techniques(changes)).toEqual([sentence]));
});

describe('what the voice is asked for', () => {
  const say = sentencesOf(SayQuery, { text: 'cross', voice: 'rms', rate: 1 });
  it.each([
    [{}, []],
    [{ text: '' }, ['text: Say a plain text of 1 to 120 characters.']],
    [{ text: 'x'.repeat(121) }, ['text: Say a plain text of 1 to 120 characters.']],
    [{ text: ['cross'] }, ['text: Say a plain text of 1 to 120 characters.']],
    [{ voice: 'other' }, ['voice: The voice is one of: rms, slt, own.']],
  ])('%j', (changes, sentences) => expect(say(changes)).toEqual(sentences));

  const centre = sentencesOf(SetCentreDto, { centre: 0.4 });
  it.each([[-0.01], [OWN_CALL_LIMITS.seconds + 0.01], ['0.4'], [Infinity], [null]])(
    'a centre at %j is told',
    (at) => expect(centre({ centre: at })).toEqual(['centre: The centre goes from 0 to 5 seconds.']),
  );
});
