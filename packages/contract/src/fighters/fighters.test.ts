import { SaveFighterDto } from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

const sentences = sentencesOf(SaveFighterDto, {
  name: 'Maja Brandvold',
  gradeId: 'ebb',
  lead: 'right',
  note: 'left knee; slow kicks',
  fit: true,
  height: 164,
  apart: ['rafi', 'noor'],
});

const NAME = 'name: The name is plain text of 1 to 60 characters, without < or >.';
const NOTE = 'note: The note is plain text of at most 500 characters, without < or >.';
const HEIGHT = 'height: The height goes from 70 to 230 cm.';
const GRADE = 'gradeId: The id of the grade is 1 to 64 letters, digits, dots, dashes or underscores.';
const LEAD = 'lead: The lead is one of: left, right.';
const APART = 'apart: The id of a fighter is 1 to 64 letters, digits, dots, dashes or underscores.';

describe('a fighter as a page writes one', () => {
  it.each([
    [{}],
    [{ height: undefined, apart: undefined }],
    [{ height: null }],
    [{ height: 70 }],
    [{ height: 230 }],
    [{ apart: [] }],
    [{ note: 'two\nlines' }],
    [{ name: 'Ł' }],
    [{ fit: false }],
  ])('%j is right', (changes) => expect(sentences(changes)).toEqual([]));

  it.each([
    [{ name: '' }, NAME],
    [{ name: '   ' }, NAME],
    [{ name: 'x'.repeat(61) }, NAME],
    [{ name: '<b>Maja</b>' }, NAME],
    [{ name: 'Maja\nBrandvold' }, NAME],
    [{ name: 7 }, NAME],
    [{ name: undefined }, NAME],
    [{ name: null }, NAME],
    [{ note: 'x'.repeat(501) }, NOTE],
    [{ note: null }, NOTE],
    [{ note: 'a > b' }, NOTE],
    [{ gradeId: 'the ebb' }, GRADE],
    [{ gradeId: '' }, GRADE],
    [{ gradeId: ['ebb'] }, GRADE],
    [{ lead: 'front' }, LEAD],
    [{ lead: null }, LEAD],
    [{ fit: 'yes' }, 'fit: Fit to train is yes or no.'],
    [{ fit: 1 }, 'fit: Fit to train is yes or no.'],
    [{ height: 69.9 }, HEIGHT],
    [{ height: 231 }, HEIGHT],
    [{ height: '164' }, HEIGHT],
    [{ height: NaN }, HEIGHT],
    [{ apart: 'rafi' }, 'apart: Those to be kept apart are a list.'],
    [{ apart: Array(21).fill('rafi') }, 'apart: At most 20 others can be kept apart.'],
    [{ apart: ['rafi', 'no one'] }, APART],
    [{ apart: [null] }, APART],
    [{ weight: 60 }, 'weight: `weight` is not known here.'],
  ])('%j is reported', (changes, sentence) => expect(sentences(changes)).toEqual([sentence]));

  it('tells of every field that is wrong at once', () => {
    expect(
      sentences({ name: '', lead: 'x', height: 5, fit: null }).map((each) => each.split(':')[0]),
    ).toEqual(expect.arrayContaining(['name', 'lead', 'height', 'fit']));
  });
});
