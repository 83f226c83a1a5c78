import {
  AnalyseComboDto,
  SaveComboDto,
  SaveFighterDto,
  SaveMoveDto,
  SaveSessionDto,
  audienceOf,
  checkFields,
  formFromMove,
  moveFromForm,
  STARTER_SCHOOL_SETTINGS,
} from './index.ts';
import { STARTER_MOVES } from '@eurhythm/core/moves';

const fighter = { name: 'Ines Okafor', gradeId: 'spring', lead: 'left', note: '', fit: true };

describe('checkFields', () => {
  it('has nothing to say about what is right', () => {
    expect(checkFields(SaveFighterDto, fighter)).toEqual([]);
    expect(checkFields(AnalyseComboDto, { line: '1 2', lead: 'left' })).toEqual([]);
  });
  it('says one sentence for each field that is wrong', () => {
    const told = checkFields(SaveFighterDto, { ...fighter, name: '', lead: 'middle', note: '<i>' });
    expect(told.map((each) => each.field).sort()).toEqual(['lead', 'name', 'note']);
    for (const { message } of told) expect(message).toMatch(/\.$/);
  });
  it('names unknown fields', () => {
    expect(checkFields(SaveFighterDto, { ...fighter, weight: 60 })).toEqual([
      { field: 'weight', message: '`weight` is not known here.' },
    ]);
  });
  it('follows lists to the place that is wrong', () => {
    const rest = { kind: 'rest', id: 'r', seconds: 2 };
    const session = {
      title: 'S',
      lead: 'left',
      rounds: [{ id: 'a', title: 'A', kind: 'pads', blocks: [{ ...rest, seconds: 20 }, rest] }],
    };
    expect(checkFields(SaveSessionDto, session)).toEqual([
      { field: 'rounds.0.blocks.1.seconds', message: 'The time goes from 5 to 3600 seconds.' },
    ]);
  });
  it('takes what is no number for what it is', () => {
    const combo = {
      gradeId: 'ebb',
      number: NaN,
      title: 'T',
      line: '1',
      bpm: null,
      beatsPerBar: 4.5,
      notes: '',
      bothLeads: 'yes',
    };
    expect(
      checkFields(SaveComboDto, combo)
        .map((each) => each.field)
        .sort(),
    ).toEqual(['beatsPerBar', 'bothLeads', 'bpm', 'number']);
  });
});

describe('the form of a move', () => {
  it.each(STARTER_MOVES.map((move) => [move.code, move] as const))(
    '%s comes back as it was, and is allowed',
    (code, move) => {
      const form = formFromMove(move);
      expect(checkFields(SaveMoveDto, form)).toEqual([]);
      expect(moveFromForm(code, form)).toEqual(move);
    },
  );
});

describe('audienceOf', () => {
  const grades = [
    { id: 'minnows', name: 'Minnows', band: 'children' },
    { id: 'ebb', name: 'Ebb', band: 'adults' },
    { id: 'slack', name: 'Slack', band: 'adults' },
  ] as const;
  it('ranks adults among adults', () => {
    expect(audienceOf('slack', grades, STARTER_SCHOOL_SETTINGS)).toEqual({
      grade: { name: 'Slack', rank: 1 },
      youth: null,
    });
    expect(audienceOf(undefined, grades, STARTER_SCHOOL_SETTINGS)).toEqual({ grade: null, youth: null });
  });
  it('keeps children to the strictest limits until the gym says otherwise', () => {
    expect(audienceOf('minnows', grades, STARTER_SCHOOL_SETTINGS).youth).toMatchObject({
      band: 'Minnows',
      knees: false,
      spins: false,
    });
    const allowed = {
      gradeId: 'minnows',
      headContact: false,
      knees: true,
      elbows: false,
      spins: false,
      jumps: false,
    };
    expect(
      audienceOf('minnows', grades, { ...STARTER_SCHOOL_SETTINGS, youth: [allowed] }).youth,
    ).toMatchObject({ knees: true, spins: false });
  });
});
