import type { FighterLog, FighterProgress } from '@eurhythm/contract';
import { reportOf } from './reportOf.ts';

const NOTHING = {
  ...{
    courses: [],
    leads: [],
    fading: [],
    pace: null,
    tempos: [],
    memory: [],
    goals: [],
    check: null,
    gradings: [],
  },
} as FighterProgress;
const round = (at: string, done = 'finished') => ({ at, done, runId: at, combos: ['Ebb 1'] });
const log = {
  rounds: [round('2026-03-05'), round('2026-03-09', 'part'), round('2025-01-01')],
} as unknown as FighterLog;
const course = (verdict: string, title = 'Straights') => ({
  ...{ title, lead: 'left', kind: 'burst', learning: 0 },
  between: { verdict, means: { before: 20, after: 24.25 } },
});
const report = (progress: object) => reportOf(log, { ...NOTHING, ...progress }, '2026-03-01', '2026-04-01');

describe('a report', () => {
  it('tells what was trained between its days alone', () => {
    expect(report({})[0]).toEqual({
      title: 'What was trained',
      sentences: ['2 classes, 1 of 2 rounds finished.', 'Combos most often: Ebb 1 (2 rounds).'],
    });
    expect(reportOf(log, NOTHING, '2020-01-01', '2020-02-01')[0]!.sentences).toEqual([
      'No class in this time.',
    ]);
  });

  it('calls better only what is more than chance', () => {
    const parts = report({
      courses: [course('faster'), course('no real change', 'Kicks'), course('too little data')],
    });
    const of = (title: string) => parts.find((part) => part.title === title)?.sentences;
    expect(of('Clear changes for the better')).toEqual([
      'Straights, left lead: from 20 to 24.3. That is more than chance.',
    ]);
    expect(of('What stayed as it was')).toEqual(['Kicks, left lead: about 24.3.']);
    expect(report({})[1]!.sentences[0]).toMatch(/^Nothing yet that stands out from chance/);
  });

  it('says what is missing for the grade, and leaves the decision to a coach', () => {
    const check = (isMet: boolean) => ({ grade: 'Slack', lines: [{ isMet, asked: 'Ebb 2 clean' }] });
    const last = (progress: object) => report(progress).at(-1)!.sentences[0];
    expect(last({ check: check(false) })).toBe('For Slack: Ebb 2 clean.');
    expect(last({ check: check(true) })).toMatch(/a coach looks and decides/);
  });
});
