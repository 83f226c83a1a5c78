import { serverForThisFile } from './startedServer.ts';

const { call } = serverForThisFile();
const at = new Date(Date.now() - 60_000).toISOString();
const trial = { fighterId: 'ines', title: 'Two straights', seconds: 10, lead: 'left', instants: [], at };
const put = (id: string, more: object) => call('PUT', `attempts/${id}`, { ...trial, ...more });

describe('a trial that somebody counted', () => {
  it('is its number and how it was counted', async () => {
    const { status, body } = await put('counted', { said: 23, measured: 'partner' });
    expect([status, body.count, body.perSecond, body.measured, body.first]).toEqual([
      200,
      23,
      2.3,
      'partner',
      null,
    ]);
  });
  it('keeps its first number when it is corrected, and takes the same correction once', async () => {
    await put('counted', { said: 32, measured: 'partner' });
    expect((await put('counted', { said: 32, measured: 'partner' })).body).toMatchObject({
      count: 32,
      first: 23,
    });
    await put('counted', { said: 31, measured: 'by-hand' });
    const { items } = (await call('GET', 'fighters/ines/attempts')).body;
    expect(items.find((each: any) => each.id === 'counted')).toMatchObject({ count: 31, first: 23 });
  });
  it('goes out in a file and comes back as it was, with what it said before', async () => {
    const { body: file } = await call('GET', 'export.json');
    const of = (gym: any) => gym.attempts.find((each: any) => each.id === 'counted');
    expect(of(file)).toMatchObject({ said: 31, measured: 'by-hand' });
    expect(of(file).history.map((each: any) => each.count)).toEqual([23, 32]);
    const copy = { ...of(file), id: 'copied' };
    const { format, version, madeAt } = file;
    const part = { format, version, madeAt, whole: false, attempts: [copy] };
    const brought = await call('POST', 'import', part);
    expect(brought.body.errors).toBeUndefined();
    const { body: after } = await call('GET', 'export.json');
    expect(after.attempts.find((each: any) => each.id === 'copied')).toEqual(copy);
    // A file that says nothing of what a trial said before leaves it as it is.
    const { history: _, ...unreported } = { ...copy, said: 30 };
    await call('POST', 'import', { ...part, attempts: [unreported] });
    const { attempts } = (await call('GET', 'export.json')).body;
    expect(attempts.find((each: any) => each.id === 'copied')).toEqual({ ...copy, said: 30 });
    await call('POST', 'import', part);
    const { items } = (await call('GET', 'fighters/ines/attempts')).body;
    expect(items.find((each: any) => each.id === 'copied')).toMatchObject({ count: 31, first: 23 });
  });
  it('that was tapped counts its instants, and is reported so', async () => {
    const { body } = await put('tapped', { instants: [0.5, 1, 12] });
    expect([body.count, body.measured]).toEqual([2, 'taps']);
  });
  const heard = {
    source: 'microphone',
    device: 'Built-in',
    latency: 0.01,
    detector: 'strikes 1',
    onsets: [
      { at: 0.51, strength: -20.5 },
      { at: 1.2, strength: -41, doubtful: true },
    ],
    due: null,
  };
  it('that was heard keeps what it was worked out from, also where it is counted again by hand', async () => {
    const { body } = await put('heard', { instants: [0.5], measured: 'microphone', heard });
    expect(body).toMatchObject({ count: 1, measured: 'microphone', heard });
    const { body: again } = await put('heard', { said: 2, measured: 'by-hand' });
    expect(again).toMatchObject({ count: 2, first: 1, heard });
    const { attempts } = (await call('GET', 'export.json')).body;
    expect(attempts.find((each: any) => each.id === 'heard').heard).toEqual(heard);
    const { body: odd } = await put('odd', { heard: { ...heard, onsets: [{ at: 'soon' }] } });
    expect(odd.errors[0].field).toBe('heard.onsets.0.at');
  });
  it('is refused with a sentence where the number or the way cannot be', async () => {
    expect((await put('odd', { said: 2.5, measured: 'partner' })).body.errors[0].field).toBe('said');
    expect((await put('odd', { said: 3, measured: 'guessed' })).body.errors[0].field).toBe('measured');
  });
});
