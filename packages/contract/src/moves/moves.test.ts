import { STARTER_MOVES } from '@eurhythm/core/moves';
import { formFromMove, moveFromForm, SaveMoveDto, SaveNumbersDto } from '../index.ts';
import { sentencesOf } from '../rules/testSentences.ts';

const round = STARTER_MOVES.find((move) => move.code === 'round')!;
const sentences = sentencesOf(SaveMoveDto, formFromMove(round));

describe('a move as a form writes it', () => {
  it.each([
    [{}],
    [{ surface: '', target: '' }],
    [{ easier: null, minGrade: null, role: null }],
    [{ easier: undefined }],
    [{ level: null, stance: null }],
    [{ out: 0.05, back: 0 }],
    [{ forward: -5, right: 5, facing: -360 }],
    [{ faults: [], cautions: [], aliases: [] }],
    [{ role: 'evasion' }],
    [{ risks: [{ text: 'Open.', severity: 'note', side: null, level: 'body', muted: true }] }],
    [{ risks: undefined }],
  ])('%j is right', (changes) => expect(sentences(changes)).toEqual([]));

  it.each([
    [{ name: '' }, 'name: The name is plain text of 1 to 60 characters, without < or >.'],
    [{ sayLong: '' }, 'sayLong: The long spoken form is plain text of 1 to 60 characters, without < or >.'],
    [
      { sayShort: 'x'.repeat(31) },
      'sayShort: The short spoken form is plain text of 1 to 30 characters, without < or >.',
    ],
    [
      { risks: [{ text: '', severity: 'note', side: null, level: null, muted: false }] },
      'risks.0.text: The risk is plain text of 1 to 160 characters, without < or >.',
    ],
    [
      { risks: [{ text: 'Open.', severity: 'loud', side: null, level: null, muted: false }] },
      'risks.0.severity: The weight of a risk is one of: note, caution.',
    ],
    [{ limb: 'tail' }, 'limb: The limb is one of: hand, both-hands, leg, feet, body.'],
    [
      { side: 'left' },
      'side: The side is one of: front, rear, free-front, free-rear, over-front, over-rear, both, none.',
    ],
    [{ level: 'high' }, 'level: The level is one of: head, body, low.'],
    [{ out: 0 }, 'out: The time out goes from 0.05 to 3 seconds.'],
    [{ back: 3.1 }, 'back: The time back goes from 0 to 3 seconds.'],
    [{ turn: 2 }, 'turn: The turn of the hips is -1, 0 or 1.'],
    [{ spin: 721 }, 'spin: The spin is a whole number from 0 to 720 degrees.'],
    [{ spin: 12.5 }, 'spin: The spin is a whole number from 0 to 720 degrees.'],
    [{ support: 'hands' }, 'support: The support is one of: both-feet, one-foot, airborne, ground.'],
    [{ lead: 'left' }, 'lead: The lead afterwards is one of: keeps, flips.'],
    [{ facing: 361 }, 'facing: The turn on the spot is a whole number from -360 to 360 degrees.'],
    [{ forward: 6 }, 'forward: Steps forward goes from -5 to 5.'],
    [{ right: null }, 'right: Steps to the right goes from -5 to 5.'],
    [{ stance: 'crane' }, 'stance: The stance is one of: fighting, square, long, back, horse, kneeling.'],
    [{ parts: [] }, 'parts: A move has at least one counted part.'],
    [{ parts: Array(9).fill({ name: 'a', cue: 'b' }) }, 'parts: A move has at most eight counted parts.'],
    [
      { 'parts.0.cue': '' },
      'parts.0.cue: The cue of a part is plain text of 1 to 120 characters, without < or >.',
    ],
    [{ faults: 'falls over' }, 'faults: The faults are a list.'],
    [{ faults: ['<i>'] }, 'faults: A fault is plain text, without < or >.'],
    [{ easier: 'Push kick' }, 'easier: The easier move is named by its code.'],
    [{ cautions: ['sharp'] }, 'cautions: One of the cautions is not known.'],
    [{ aliases: Array(21).fill('a') }, 'aliases: A move has at most 20 aliases.'],
    [{ aliases: ['x'.repeat(41)] }, 'aliases: An alias has at most 40 characters.'],
    [
      { minGrade: 'third grade' },
      'minGrade: The id of the lowest grade is 1 to 64 letters, digits, dots, dashes or underscores.',
    ],
    [{ retired: true }, 'retired: `retired` is not known here.'],
  ])('%j is reported', (changes, sentence) => expect(sentences(changes)).toEqual([sentence]));

  it.each([
    ['front', { kind: 'fixed', side: 'front' }],
    ['rear', { kind: 'fixed', side: 'rear' }],
    ['free-front', { kind: 'free', usual: 'front' }],
    ['free-rear', { kind: 'free', usual: 'rear' }],
    ['over-front', { kind: 'directed', usual: 'front' }],
    ['over-rear', { kind: 'directed', usual: 'rear' }],
    ['both', { kind: 'both' }],
    ['none', { kind: 'none' }],
  ] as const)('a side chosen as %s is kept as %j and shown the same', (chosen, side) => {
    const move = moveFromForm('own', { ...formFromMove(round), side: chosen });
    expect(move.side).toEqual(side);
    expect(formFromMove(move).side).toBe(chosen);
  });
  it('what lands and what is held may be left empty', () => {
    const move = moveFromForm('own', { ...formFromMove(round), surface: '', target: '' });
    expect([move.surface, move.target]).toEqual([null, null]);
    expect(formFromMove(move)).toMatchObject({ surface: '', target: '' });
  });
});

describe('the map of numbers', () => {
  const numbers = sentencesOf(SaveNumbersDto, {
    numbers: [{ number: 1, code: 'jab', side: null }],
    rewrite: true,
  });
  it.each([
    [{}, []],
    [{ 'numbers.0.side': 'rear' }, []],
    [{ 'numbers.0.number': 0 }, ['numbers.0.number: A number is a whole number from 1 to 99.']],
    [{ 'numbers.0.number': 1.5 }, ['numbers.0.number: A number is a whole number from 1 to 99.']],
    [{ 'numbers.0.code': 'Jab' }, ['numbers.0.code: A number stands for the code of a move.']],
    [{ 'numbers.0.side': 'left' }, ['numbers.0.side: The side is one of: front, rear.']],
    [{ rewrite: 'yes' }, ['rewrite: Rewriting the lines is yes or no.']],
    [{ numbers: {} }, ['numbers: The numbers are a list.']],
    [
      { numbers: Array(100).fill({ number: 1, code: 'jab', side: null }) },
      ['numbers: The map holds at most 99 numbers.'],
    ],
  ])('%j', (changes, sentences) => expect(numbers(changes)).toEqual(sentences));
});
