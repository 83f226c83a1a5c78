import { jest } from '@jest/globals';
import { Refused, get, send, sendForm } from './api.ts';

const answer = (status: number, body?: string) => Promise.resolve(new Response(body ?? null, { status }));
const fetched = jest.fn<typeof fetch>();
const before = globalThis.fetch;
beforeAll(() => void (globalThis.fetch = fetched));
afterAll(() => void (globalThis.fetch = before));
beforeEach(() => fetched.mockReset());

async function refusal(asked: Promise<unknown>): Promise<Refused> {
  const error: unknown = await asked.catch((thrown: unknown) => thrown);
  if (!(error instanceof Refused)) throw new Error(`was not refused: ${String(error)}`);
  return error;
}

describe('a request', () => {
  it('gives the answer as it was sent', async () => {
    fetched.mockReturnValue(answer(200, '{"items":[1,2]}'));
    expect(await get('combos')).toEqual({ items: [1, 2] });
    expect(fetched).toHaveBeenCalledWith('/api/combos', expect.objectContaining({ method: 'GET' }));
  });
  it('sends what was written as JSON, and takes an answer without words', async () => {
    fetched.mockReturnValue(answer(204));
    expect(await send('PUT', 'gym/school', { pace: 'club' })).toBeUndefined();
    expect(fetched.mock.calls[0]![1]).toEqual({
      method: 'PUT',
      headers: { 'content-type': 'application/json', 'eurhythm-clock': expect.any(String) },
      body: '{"pace":"club"}',
    });
  });
  it('leaves it to the browser how a file is sent', async () => {
    fetched.mockReturnValue(answer(200, '{}'));
    const form = new FormData();
    await sendForm('POST', 'combos/rhythm', form);
    expect(fetched.mock.calls[0]![1]).toEqual({
      method: 'POST',
      body: form,
      headers: { 'eurhythm-clock': expect.any(String) },
    });
  });
  it('that is refused keeps the sentence, the fields and what the server has instead', async () => {
    const errors = [{ field: 'name', message: 'The name is plain text of 1 to 60 characters.' }];
    fetched.mockReturnValue(
      answer(409, JSON.stringify({ message: 'It was changed meanwhile.', errors, now: { version: 3 } })),
    );
    const error = await refusal(get('fighters/maja'));
    expect([error.status, error.message, error.errors, error.now]).toEqual([
      409,
      'It was changed meanwhile.',
      errors,
      { version: 3 },
    ]);
  });
  it.each([
    [502, '<html>Bad gateway</html>'],
    [500, ''],
    [500, 'null'],
    [500, '{"error":"x"}'],
    [500, '{"message":7}'],
  ])('that fails with %d and %j says so in a sentence', async (status, body) => {
    fetched.mockReturnValue(answer(status, body));
    const error = await refusal(get('today'));
    expect([error.message, error.errors]).toEqual([`The server answered ${status}.`, []]);
  });
  it('that nobody answers says that nothing is lost', async () => {
    fetched.mockRejectedValue(new TypeError('Failed to fetch'));
    const error = await refusal(get('today'));
    expect([error.status, error.message]).toEqual([
      0,
      'The server does not answer. What you entered is still here; try again in a moment.',
    ]);
  });
});
