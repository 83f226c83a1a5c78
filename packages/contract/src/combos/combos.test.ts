import { AnalyseComboDto, OrderCombosDto, SaveComboDto } from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

describe('a combo as a page writes one', () => {
  const sentences = sentencesOf(SaveComboDto, {
    gradeId: 'ebb',
    number: 4,
    title: 'Low door',
    line: '1 2 3',
    bpm: 72,
    beatsPerBar: 4,
    notes: '',
    bothLeads: true,
    focus: ['hips'],
    cycleBeats: 8,
    contact: [0, 25],
    variant: { parentId: 'ebb-1', kind: 'faster', step: 2 },
  });
  it.each([
    [{}],
    [{ line: '' }],
    [{ line: 'what is not a line yet' }],
    [{ focus: undefined, cycleBeats: null, contact: undefined, variant: null }],
    [{ notes: 'two\nlines' }],
    [{ 'variant.step': null }],
  ])('%j is right', (changes) => {
    const kinds = sentences(changes).filter((sentence) => !sentence.startsWith('variant.kind'));
    expect(kinds).toEqual([]);
  });
  it.each([
    [{ number: 0 }, 'number: The number is a whole number from 1 to 99.'],
    [{ number: 100 }, 'number: The number is a whole number from 1 to 99.'],
    [{ title: '' }, 'title: The title is plain text of 1 to 60 characters, without < or >.'],
    [{ line: 'x'.repeat(20_001) }, 'line: This text is far too long for a line.'],
    [{ bpm: 'fast' }, 'bpm: The tempo goes from 20 to 300 beats a minute.'],
    [{ beatsPerBar: 13 }, 'beatsPerBar: The bar is a whole number from 1 to 12 beats.'],
    [
      { notes: 'x'.repeat(2001) },
      'notes: The note is plain text of at most 2000 characters, without < or >.',
    ],
    [{ bothLeads: 'both' }, 'bothLeads: Both leads is yes or no.'],
    [{ focus: Array(9).fill('hips') }, 'focus: A combo has at most eight focus words.'],
    [{ focus: ['x'.repeat(25)] }, 'focus: A focus word is plain text of 1 to 24 characters, without < or >.'],
    [{ cycleBeats: 65 }, 'cycleBeats: The cycle goes from 1 to 64 beats.'],
    [{ contact: [101] }, 'contact: A step of contact is a whole number from 0 to 100 percent.'],
    [{ contact: Array(9).fill(0) }, 'contact: A contact plan has at most eight steps.'],
  ])('%j is reported', (changes, sentence) => {
    expect(sentences({ ...changes, variant: null })).toEqual([sentence]);
  });
  it('a form of another combo says of which one, and how', () => {
    expect(
      sentences({ 'variant.parentId': '', 'variant.kind': 'nicer' }).map((each) => each.split(':')[0]),
    ).toEqual(['variant.parentId', 'variant.kind']);
  });
});

describe('lines to be read, and orders', () => {
  const line = sentencesOf(AnalyseComboDto, {
    line: '1 2',
    lead: 'left',
    pace: 'club',
    bpm: 80,
    gradeId: 'ebb',
  });
  it.each([
    [{}, []],
    [{ pace: undefined, bpm: undefined, gradeId: undefined }, []],
    [{ pace: 'slow' }, ['pace: The pace is one of: novice, club, sharp.']],
    [{ bpm: null }, ['bpm: The tempo goes from 20 to 300 beats a minute.']],
    [{ line: undefined }, ['line: The line is a text.']],
  ])('a line with %j', (changes, sentences) => expect(line(changes)).toEqual(sentences));

  const order = sentencesOf(OrderCombosDto, { gradeId: 'ebb', ids: ['a', 'b'] });
  it.each([
    [{}, []],
    [{ ids: ['a', 'a'] }, ['ids: A combo stands twice in this order.']],
    [{ ids: [1] }, ['ids: The order is a list of combos.']],
    [{ ids: Array.from({ length: 100 }, (_, i) => `c${i}`) }, ['ids: A grade has at most 99 combos.']],
  ])('an order with %j', (changes, sentences) => expect(order(changes)).toEqual(sentences));
});
