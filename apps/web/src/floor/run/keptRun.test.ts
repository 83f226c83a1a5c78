import type { ResultView, RunEventView, RunView } from '@eurhythm/contract';
import { withKept } from './keptRun.ts';

const event = (id: string): RunEventView => ({ id, kind: 'hold', sequence: 0, at: '', receivedAt: '' });
const mark = (id: string, done: ResultView['done']): ResultView => ({
  ...{ id, runId: 'r', round: 0, fighterId: id, done, at: '' },
});
const reported = {
  id: 'r',
  fighterIds: ['x'],
  events: [event('a'), event('b')],
  results: [mark('m', 'part'), mark('n', 'part')],
};

describe('a run with what was done here since the server reported it', () => {
  it('has every event once, those of the server first', () => {
    const { events } = withKept(reported as unknown as RunView, {
      events: [event('b'), event('c')],
      results: {},
      partners: null,
    });
    expect(events.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
  });
  it('has who came late, and who stands together since', () => {
    const late: RunEventView = { ...event('d'), kind: 'comes', fighterId: 'y' };
    const partners = [{ round: 1, groups: [] }];
    const shown = withKept(reported as unknown as RunView, { events: [late], results: {}, partners });
    expect([shown.fighterIds, shown.partners]).toEqual([['x', 'y'], partners]);
  });
  it('has the marks as they stand here, and none that was taken back', () => {
    const results = { m: mark('m', 'sat-out'), n: null, o: mark('o', 'finished') };
    const shown = withKept(reported as unknown as RunView, { events: [], results, partners: null });
    expect(shown.results.map(({ id, done }) => [id, done])).toEqual([
      ['m', 'sat-out'],
      ['o', 'finished'],
    ]);
  });
});
