import { jest } from '@jest/globals';
import { QueryClient, type FetchQueryOptions } from '@tanstack/react-query';
import { Refused } from './api.ts';
import { queries, queryClient } from './queries.ts';

const fetched = jest.fn<typeof fetch>();
const before = globalThis.fetch;
beforeAll(() => void (globalThis.fetch = fetched));
afterAll(() => void (globalThis.fetch = before));
beforeEach(() => fetched.mockReset());

/** What a page gets that asks for it, from a server that gives these pages in order. */
async function asked(options: object, ...pages: object[]): Promise<unknown> {
  for (const page of pages) fetched.mockResolvedValueOnce(new Response(JSON.stringify(page)));
  return new QueryClient().fetchQuery(options as FetchQueryOptions);
}
const addresses = () => fetched.mock.calls.map(([address]) => address);

describe('what the pages ask for', () => {
  it('a long list is fetched page by page, to its end', async () => {
    const list = await asked(
      queries.fighters(),
      { items: ['maja', 'rafi'], next: 'rafi/2' },
      { items: ['noor'], next: 'noor' },
      { items: [], next: null },
    );
    expect(list).toEqual(['maja', 'rafi', 'noor']);
    expect(addresses()).toEqual([
      '/api/fighters',
      '/api/fighters?after=rafi%2F2',
      '/api/fighters?after=noor',
    ]);
  });
  it('a list of one page is fetched once', async () => {
    expect(await asked(queries.sessions(), { items: ['tuesday'] })).toEqual(['tuesday']);
    expect(await asked(queries.combos(), { items: [] })).toEqual([]);
    expect(addresses()).toEqual(['/api/sessions', '/api/combos?retired=with']);
  });
  it('what stands below another thing is found again when that one changes', () => {
    const key = (options: { queryKey: readonly unknown[] }) => options.queryKey;
    expect(key(queries.sheet('tuesday')).slice(0, 2)).toEqual(key(queries.session('tuesday')));
    expect(key(queries.comboVersions('ebb-1'))[0]).toBe(key(queries.combos())[0]);
    expect(key(queries.runPlan('r')).slice(0, 2)).toEqual(key(queries.run('r')));
    expect(key(queries.book())).toEqual(key(queries.moves()));
  });
  it('the book is looked up ready for use', () => {
    const select = queries.book().select!;
    expect(select({ items: [], numbers: [], sides: 'lead-rear', numbersVersion: 1 }).numbers.size).toBe(0);
  });
});

describe('asking again', () => {
  const retry = queryClient.getDefaultOptions().queries!.retry as (times: number, error: unknown) => boolean;
  it.each([
    ['a server that is away, twice', 0, new Refused(0, { message: 'away' }), true],
    ['no third time', 2, new Refused(0, { message: 'away' }), false],
    ['never what was refused', 0, new Refused(422, { message: 'no' }), false],
    ['never what went wrong in the page', 0, new TypeError('x'), false],
  ])('%s', (_, times, error, again) => expect(retry(times, error)).toBe(again));
});
