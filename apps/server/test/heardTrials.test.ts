import { encodeWav } from '@eurhythm/core/sound';
import { roundSound } from '@eurhythm/core/simulation';
import { DETECTOR_VERSION } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import { serverForThisFile } from './startedServer.ts';

const { call, base } = serverForThisFile();
const at = new Date(Date.now() - 60_000).toISOString();
const due = [0, 4, 8].flatMap((from) => [0, 0.5, 1.25].map((beat) => from + beat + 1));
const heard = {
  source: 'microphone',
  device: 'Built-in',
  latency: 0.01,
  detector: 'strikes 0',
  onsets: due.map((each) => ({ at: each + 0.01, strength: -20 })),
  due,
  starts: [0, 3, 6],
  own: [0.5],
  leastStrength: -60,
};
const trial = { fighterId: 'ines', lead: 'left', seconds: 10, instants: [], at, measured: 'microphone' };
const put = (id: string, more: object) => call('PUT', `attempts/${id}`, { ...trial, ...more });
const combo = { kind: 'combo-time', title: 'Flood 2', line: '2 3 2', heard };

/** The sound of strikes at these instants, a hall about them. */
function wavOf(instants: readonly number[], seconds: number): Uint8Array<ArrayBuffer> {
  const sampleRate = 16_000;
  const samples = roundSound(instants, { sampleRate, seconds, struck: 'pad' }, seededRandom(4));
  return encodeWav({ sampleRate, samples });
}

async function keep(
  id: string,
  wav: Uint8Array<ArrayBuffer>,
  from: string | number,
): Promise<{ status: number; body: any }> {
  const form = new FormData();
  form.set('file', new Blob([wav]), 'trial.wav');
  const answer = await fetch(`${base()}/api/attempts/${id}/recording?from=${from}`, {
    method: 'PUT',
    body: form,
  });
  return { status: answer.status, body: await answer.json() };
}

describe('a trial of a combo', () => {
  it('takes as long as its usual time through, and belongs to all trials of its line', async () => {
    const { status, body } = await put('timed', { ...combo, instants: due });
    expect([status, body.kind, body.value, body.count]).toEqual([200, 'combo-time', 1.25, 9]);
    await put('timed-too', { ...combo, title: 'Called otherwise', time: 1.1, heard: null });
    const { bursts } = (await call('GET', 'fighters/ines/log')).body;
    expect(bursts).toContainEqual(
      expect.objectContaining({
        testId: body.testId,
        title: 'Flood 2',
        best: 1.1,
        median: expect.closeTo(1.175, 6),
        trials: 2,
      }),
    );
  });
  it('of which nothing whole was heard is kept, and counts for nothing', async () => {
    const { body } = await put('broken', {
      ...combo,
      line: '1 2 4',
      heard: { ...heard, onsets: heard.onsets.slice(0, 2) },
    });
    expect([body.value, body.recorded]).toEqual([null, null]);
    const { bursts } = (await call('GET', 'fighters/ines/log')).body;
    expect(bursts.some(({ testId }: any) => testId === body.testId)).toBe(false);
  });
  it('goes out in a file and comes back with its seconds', async () => {
    const { body: file } = await call('GET', 'export.json');
    const own = file.attempts.find(({ id }: any) => id === 'timed');
    expect([own.value, own.heard.starts]).toEqual([1.25, [0, 3, 6]]);
    const { format, version, madeAt } = file;
    const part = { format, version, madeAt, whole: false, attempts: [{ ...own, id: 'brought' }] };
    expect((await call('POST', 'import', part)).body.errors).toBeUndefined();
    const { items } = (await call('GET', 'fighters/ines/attempts')).body;
    expect(items.find(({ id }: any) => id === 'brought')).toMatchObject({ value: 1.25, count: 9 });
  });
  it('of answers is their median; those before the call are guesses', async () => {
    const answers = [1.3, 4.02, 7.4].map((each) => ({ at: each }));
    const { body } = await put('answers', {
      kind: 'reaction',
      title: 'Answer to now',
      heard: { ...heard, latency: 0, onsets: answers, due: [1, 4, 7], starts: undefined },
    });
    expect([body.kind, body.value]).toEqual(['reaction', 0.35]);
  });
});

describe('the sound of a trial', () => {
  it('is kept, given back, and goes with its trial', async () => {
    await put('sounding', { ...combo, instants: due });
    const wav = wavOf(due, 11);
    const { status, body } = await keep('sounding', wav, 0);
    expect([status, body.recorded]).toEqual([200, 11]);
    expect((await keep('sounding', wav, 0)).status).toBe(200);
    const answer = await fetch(`${base()}/api/attempts/sounding/recording.wav`);
    expect([answer.headers.get('content-type'), answer.headers.get('x-recorded-from')]).toEqual([
      'audio/wav',
      '0',
    ]);
    expect(new Uint8Array(await answer.arrayBuffer())).toEqual(wav);
    await call('DELETE', 'attempts/sounding');
    expect((await call('GET', 'attempts/sounding/recording.wav')).status).toBe(404);
  });
  it('may be taken out while the trial stays', async () => {
    await put('quiet', { ...combo, instants: due });
    await keep('quiet', wavOf(due, 11), 0);
    expect((await call('DELETE', 'attempts/quiet/recording')).status).toBe(204);
    expect((await call('DELETE', 'attempts/quiet/recording')).status).toBe(204);
    const { items } = (await call('GET', 'fighters/ines/attempts')).body;
    expect(items.find(({ id }: any) => id === 'quiet')).toMatchObject({ recorded: null, value: 1.25 });
  });
  it('is erased with the fighter', async () => {
    await put('suda-s', { ...combo, fighterId: 'suda', instants: due });
    await keep('suda-s', wavOf(due, 11), 0);
    expect((await call('DELETE', 'fighters/suda?sure=yes')).status).toBeLessThan(300);
    expect((await call('GET', 'attempts/suda-s/recording.wav')).status).toBe(404);
  });
  it('is refused with a sentence where it is none, or belongs to nothing', async () => {
    expect((await keep('quiet', new TextEncoder().encode('no sound'), 0)).body.errors[0].field).toBe('file');
    expect((await keep('nobody', wavOf([1], 2), 0)).status).toBe(404);
    expect((await keep('quiet', wavOf([1], 2), 'soon')).body.errors[0].field).toBe('from');
    expect((await call('PUT', 'attempts/quiet/recording?from=0', {})).status).toBe(400);
  });
});

describe('working out again', () => {
  it('hears the sound that was kept anew, and keeps what the trial said before', async () => {
    // What was heard at first missed the last time through.
    await put('again', {
      ...combo,
      instants: due.slice(0, 6),
      heard: { ...heard, onsets: heard.onsets.slice(0, 6) },
    });
    await keep('again', wavOf(due, 11), 0.01);
    const { status, body } = await call('POST', 'attempts/again/again');
    expect(status).toBe(200);
    expect(body.heard.detector).toBe(DETECTOR_VERSION);
    expect(body.instants).toHaveLength(9);
    expect(body.value).toBeCloseTo(1.25, 1);
    const { attempts } = (await call('GET', 'export.json')).body;
    const { history } = attempts.find(({ id }: any) => id === 'again');
    expect(history).toMatchObject([{ count: 6, value: 1.25, detector: 'strikes 0' }]);
    // The same command again changes nothing more.
    await call('POST', 'attempts/again/again');
    const after = (await call('GET', 'export.json')).body.attempts.find(({ id }: any) => id === 'again');
    expect(after.history).toHaveLength(1);
  });
  it('leaves alone what somebody counted by hand, and what nothing was heard of', async () => {
    await put('by-hand', { ...combo, instants: due });
    await put('by-hand', { ...combo, heard: null, instants: [], said: 8, measured: 'by-hand' });
    const { status, body } = await call('POST', 'attempts/by-hand/again');
    expect([status, body.message]).toEqual([409, expect.stringContaining('by hand')]);
    await put('tapped', { title: 'Two straights', instants: [1, 2], measured: 'taps' });
    expect((await call('POST', 'attempts/tapped/again')).status).toBe(409);
    expect((await call('POST', 'attempts/nobody/again')).status).toBe(404);
  });
});
