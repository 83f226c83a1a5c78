import { SaveAttemptDto, SaveTestDto, checkFields, type TestView } from '@eurhythm/contract';
import { TRIAL_KINDS } from '@eurhythm/core/speed';
import { leadsOf, newTest, ofKind, testWords, writtenResult } from './testKinds.ts';

const of = { fighterId: 'ines', lead: 'left', at: '2026-11-30T18:00:00.000Z' } as const;
const named = (more: Partial<SaveTestDto>): SaveTestDto => ({
  ...newTest(),
  title: 'Height of the round kick',
  ...more,
});
const viewed = (more: Partial<SaveTestDto>): TestView => ({ ...named(more), id: 'own', version: 1 });

describe('a test of the gym’s own', () => {
  it('needs a name and a unit, and says so at its place', () => {
    const faults = (test: SaveTestDto) => checkFields(SaveTestDto, test).map(({ field }) => field);
    expect(faults(newTest())).toEqual(['title']);
    expect(faults(named({ unit: '' }))).toEqual(['unit']);
    expect(faults(named({ unit: null }))).toEqual(['unit']);
    expect(faults(named({}))).toEqual([]);
  });
  it.each(TRIAL_KINDS)('is right as %s, and tells itself', (kind) => {
    const test = { ...ofKind(named({}), kind), line: kind === 'combo-time' ? '1 2' : null };
    expect(checkFields(SaveTestDto, test)).toEqual([]);
    expect(testWords(test)).toMatch(/(more|less) is better$/);
  });
  it('takes what is read off, counted or timed, each as what it is', () => {
    const kept = (value: number, more: Partial<SaveTestDto>) => writtenResult(value, viewed(more), of);
    expect(kept(142, {})).toMatchObject({ result: 142, measured: 'by-hand', testId: 'own' });
    expect(kept(31, { kind: 'burst' })).toMatchObject({ said: 31 });
    expect(kept(0.42, { kind: 'reaction' })).toMatchObject({ time: 0.42 });
    for (const attempt of [kept(142, {}), kept(31, { kind: 'burst' }), kept(0.42, { kind: 'reaction' })])
      expect(checkFields(SaveAttemptDto, attempt as SaveAttemptDto)).toEqual([]);
  });
  it('has results once, with the own lead, or of both', () => {
    const right = { lead: 'right' } as const;
    expect(leadsOf({ sides: 'none' }, right)).toEqual(['right']);
    for (const sides of ['lead', 'side', null] as const)
      expect(leadsOf({ sides }, right)).toEqual(['left', 'right']);
  });
  it('refuses what nobody does', () => {
    const refused = (value: number, more: Partial<SaveTestDto> = {}) =>
      writtenResult(value, viewed(more), of);
    expect(refused(9000)).toMatch(/^9000 cm is too much: the most is 350 cm/);
    expect(refused(-1)).toBe('A result cannot be below 0.');
    expect(refused(NaN)).toBe('Enter a number.');
    expect(refused(2.5, { kind: 'burst' })).toBe('How many is a whole number.');
    expect(refused(900, { title: 'Standing jump', unit: 'cm' })).toMatchObject({ result: 900 });
  });
});
