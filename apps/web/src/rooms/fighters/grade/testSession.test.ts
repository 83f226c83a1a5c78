import { SaveSessionDto, checkFields, type GradeCheckView, type TestView } from '@eurhythm/contract';
import { testSession } from './testSession.ts';

const line = (requirement: object, asked: string) => ({ requirement: { id: 'r', ...requirement }, asked });
const check = {
  grade: 'Slack',
  lines: [
    line({ kind: 'combo', comboId: 'ebb-1', bothLeads: true, bpm: 80, times: 1 }, 'Ebb 1 clean once'),
    line({ kind: 'test', testId: 't', value: 24, bothLeads: false, times: 2 }, 'Two straights: 24 or better'),
    line({ kind: 'shown', text: 'Greets the hall' }, 'Greets the hall'),
    line({ kind: 'sessions', count: 10, weeks: 8 }, '10 classes'),
    line({ kind: 'time', weeks: 12 }, '12 weeks'),
  ],
} as unknown as GradeCheckView;
const tests = [{ id: 't', title: 'Two straights', kind: 'burst', line: '1 2', seconds: 10 }] as TestView[];

describe('the session of a test day', () => {
  let n = 0;
  const session = testSession(check, tests, [], () => `id-${n++}`);

  it('has a round for all that can be seen, after a warm-up', () => {
    expect(session.rounds.map(({ title }) => title)).toEqual([
      'Warm-up',
      'Ebb 1 clean once',
      'Two straights: 24 or better',
      'Greets the hall',
    ]);
    expect(session.rounds[1]!.blocks[0]).toMatchObject({ kind: 'combo', bpm: 80, leadPlan: 'halves' });
    expect(session.rounds[2]!.blocks[0]).toMatchObject({
      kind: 'burst',
      title: 'Two straights',
      seconds: 10,
    });
  });

  it('can be saved as it is', () => {
    expect(checkFields(SaveSessionDto, session)).toEqual([]);
  });
});
