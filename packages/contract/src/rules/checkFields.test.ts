import {
  AnalyseComboDto,
  CompileRoundDto,
  SaveComboDto,
  SaveFighterDto,
  SaveMoveDto,
  SaveSessionDto,
  SaveTechniquesDto,
  checkFields,
  formFromMove,
  moveFromForm,
} from '../index.ts';
import { STARTER_MOVES } from '@eurhythm/core/moves';

const fighter = { name: 'Ines Okafor', gradeId: 'spring', lead: 'left', note: '', fit: true };

describe('checkFields', () => {
  it('has nothing to say about what is right', () => {
    expect(checkFields(SaveFighterDto, fighter)).toEqual([]);
    expect(checkFields(AnalyseComboDto, { line: '1 2', lead: 'left' })).toEqual([]);
  });
  it('says one sentence for each field that is wrong', () => {
    const reported = checkFields(SaveFighterDto, { ...fighter, name: '', lead: 'middle', note: '<i>' });
    expect(reported.map((each) => each.field).sort()).toEqual(['lead', 'name', 'note']);
    for (const { message } of reported) expect(message).toMatch(/\.$/);
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
      { field: 'rounds.0.blocks.1.seconds', message: 'The time goes from 5 to 7200 seconds.' },
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

describe('blocks and their shapes', () => {
  const block = {
    kind: 'combo',
    id: 'b',
    seconds: 60,
    combos: [{ comboId: 'ebb-1' }],
    bpm: 80,
    calls: 'on-beat',
    words: 'numbers',
    leadPlan: 'each',
    cyclesEach: 4,
  };
  const reported = (extra: object): string[] =>
    checkFields(CompileRoundDto, { lead: 'left', seed: 1, blocks: [{ ...block, ...extra }] }).map(
      ({ field, message }) => `${field}: ${message}`,
    );
  it.each([
    [{}],
    [{ tempo: { kind: 'constant' } }],
    [{ tempo: { kind: 'ramp', to: 120 }, gaps: { kind: 'random', min: 1, max: 4 } }],
    [{ tempo: { kind: 'steps', by: -4, every: 3 }, order: 'by-need' }],
    [{ tempo: { kind: 'build-up', fast: 110 }, calls: 'one-count', words: 'combo-number' }],
    [{ tempo: { kind: 'broken', pause: 4 }, intensity: [0, 10, 25, 40], calls: 'holder' }],
  ])('%j is right', (extra) => expect(reported(extra)).toEqual([]));
  it.each([
    [
      { tempo: { kind: 'ramp', to: 999 } },
      'blocks.0.tempo.to: The tempo goes from 20 to 300 beats a minute.',
    ],
    [
      { tempo: { kind: 'steps', by: 4, every: 0 } },
      'blocks.0.tempo.every: The times through before a step is a whole number from 1 to 50.',
    ],
    [
      { tempo: { kind: 'nosuch' } },
      'blocks.0.tempo.kind: The shape of the tempo is one of: constant, ramp, steps, build-up, broken.',
    ],
    [
      { gaps: { kind: 'random', min: -1, max: 4 } },
      'blocks.0.gaps.min: The shortest wait goes from 0 to 60 seconds.',
    ],
    [
      { intensity: [0, 101] },
      'blocks.0.intensity: A step of contact is a whole number from 0 to 100 percent.',
    ],
    [
      { leadPlan: 'both' },
      'blocks.0.leadPlan: The lead plan is one of: as-set, other, halves, each, random.',
    ],
  ])('%j is not', (extra, message) => expect(reported(extra)).toEqual([message]));
  it('shadowing changes its lead in steady ways only', () => {
    const free = {
      kind: 'free',
      id: 'f',
      seconds: 60,
      prompts: [],
      every: { min: 5, max: 9 },
      leadPlan: 'random',
    };
    expect(checkFields(CompileRoundDto, { lead: 'left', seed: 1, blocks: [free] })[0]!.field).toBe(
      'blocks.0.leadPlan',
    );
  });
  it('changes of tempo are checked one by one', () => {
    const request = {
      lead: 'left',
      seed: 1,
      blocks: [block],
      shifts: [
        { from: 3, by: 2 },
        { from: -1, by: 2 },
      ],
    };
    expect(checkFields(CompileRoundDto, request)).toEqual([
      { field: 'shifts.1.from', message: 'The place of the change goes from 0 to 36000 seconds.' },
    ]);
  });
});

describe('what a grade trains', () => {
  const technique = {
    id: 't',
    move: 'r:round',
    comboId: null,
    reps: 15,
    sides: 'both',
    sets: 3,
    restSeconds: 20,
  };
  const faults = (extra: object): string[] =>
    checkFields(SaveTechniquesDto, { techniques: [{ ...technique, ...extra }] }).map(({ field }) => field);
  it.each([
    [{}, []],
    [{ move: null, comboId: 'ebb-1' }, []],
    [{ move: null }, ['techniques.0.move']],
    [{ move: 'Round kick' }, ['techniques.0.move']],
    [{ restSeconds: -1, sides: 'left' }, ['techniques.0.sides', 'techniques.0.restSeconds']],
  ])('%j has faults at %j', (extra, fields) => expect(faults(extra).sort()).toEqual([...fields].sort()));
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
