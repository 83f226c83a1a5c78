import { databaseFault, loggable } from './databaseFaults.ts';

const failed = (cause: unknown): Error =>
  Object.assign(new Error('Failed query: update fighters set note = $1\nparams: Erna has asthma'), { cause });
const coded = (code: string, more: object = {}): Error =>
  Object.assign(new Error('the server said so'), { code, ...more });

describe('an error of the database', () => {
  it.each([
    ['57P01', 503, /away for a moment/],
    ['ECONNREFUSED', 503, /away for a moment/],
    ['40P01', 503, /at this moment/],
    ['53100', 507, /disk is full/],
    ['ENOSPC', 507, /disk is full/],
    ['23503', 409, /taken out at this moment/],
  ])('%s is %s, in a sentence', (code, status, sentence) => {
    const fault = databaseFault(failed(coded(code)));
    expect(fault?.status).toBe(status);
    expect(fault?.body.message).toMatch(sentence);
  });
  it('of a number that two combos wanted at once is reported at the number', () => {
    const fault = databaseFault(failed(coded('23505', { constraint: 'combo_number_in_grade' })));
    expect([fault?.status, fault?.body.errors?.[0]?.field]).toEqual([409, 'number']);
    expect(databaseFault(failed(coded('23505')))?.body.errors).toBeUndefined();
  });
  it('that ended a connection without a code is known by its words', () => {
    expect(databaseFault(failed(new Error('Connection terminated unexpectedly')))?.status).toBe(503);
  });
  it('of our own is none', () => {
    for (const error of [new Error('x'), coded('42P01'), undefined, null, 'x'])
      expect(databaseFault(error)).toBeNull();
  });
  it('is logged without the statement and its parameters', () => {
    const text = loggable(failed(coded('42P01')));
    expect(text).toContain('the server said so');
    expect(text).not.toMatch(/asthma|update fighters/);
  });
});
