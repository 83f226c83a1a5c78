import { parseMidi, writeMidi, type MidiEvent } from 'midi-file';
import { readWav } from '../../../packages/core/src/sound/index.ts';
import { serverForThisFile } from './startedServer.ts';

const server = serverForThisFile();
const { call } = server;
const SESSION = 'first-steps';

async function file(
  path: string,
): Promise<{ status: number; type: string; name: string; bytes: Uint8Array }> {
  const response = await fetch(`${server.base()}/api/sessions/${path}`);
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    name: response.headers.get('content-disposition') ?? '',
    bytes: new Uint8Array(await response.arrayBuffer()),
  };
}
const totalOf = async (roundId: string): Promise<number> =>
  (await call('GET', `sessions/${SESSION}`)).body.rounds
    .filter((round: any) => round.id === roundId)
    .flatMap((round: any) => round.blocks)
    .reduce((sum: number, block: any) => sum + block.seconds, 10); // ten seconds to get ready

describe('a session as files', () => {
  it('as a WAV file of the right length, in which bells and calls can be heard', async () => {
    const { status, type, name, bytes } = await file(`${SESSION}/audio.wav?round=fs-4`);
    expect([status, type]).toEqual([200, 'audio/wav']);
    expect(name).toContain('First-steps-both-leads-Shadow.wav');
    const read = readWav(bytes);
    if (!read.ok) throw new Error(read.message);
    const { sampleRate, samples } = read.sound;
    expect(sampleRate).toBe(44_100);
    expect(samples.length / sampleRate).toBeCloseTo((await totalOf('fs-4')) + 2, 3);
    const loudest = (from: number, to: number): number =>
      samples
        .subarray(from * sampleRate, to * sampleRate)
        .reduce((most, x) => Math.max(most, Math.abs(x)), 0);
    expect(loudest(9.5, 9.99)).toBeLessThan(0.02);
    expect(loudest(10, 10.05)).toBeGreaterThan(0.2); // the bell, on its second
    expect(loudest(0, 3)).toBeGreaterThan(0.1); // get ready
  });
  it('puts every sound where the compiled round has it, to the sample', async () => {
    const one = await file(`${SESSION}/audio.wav?round=fs-1`);
    const read = readWav(one.bytes);
    if (!read.ok) throw new Error(read.message);
    const { samples, sampleRate } = read.sound;
    // the three ticks before the bell, on 7, 8 and 9 seconds, each begins at its sample out of silence
    for (const second of [7, 8, 9]) {
      const at = second * sampleRate;
      const begins = samples.subarray(at - 40, at + 40).findIndex((x) => Math.abs(x) > 0.05) - 40;
      expect(Math.abs(begins)).toBeLessThanOrEqual(2);
    }
  });
  it('as a MIDI file with its strikes and calls', async () => {
    const { bytes, type } = await file(`${SESSION}/rhythm.mid`);
    expect(type).toBe('audio/midi');
    const { header, tracks } = parseMidi(bytes);
    expect([header.format, header.ticksPerBeat, tracks.length]).toEqual([1, 480, 2]);
    expect(
      tracks[1]!.filter((event) => event.type === 'noteOn' && event.velocity > 0).length,
    ).toBeGreaterThan(100);
    expect(tracks[0]!.some((event) => event.type === 'lyrics' && event.text === 'jab')).toBe(true);
  });
  it('as captions', async () => {
    const { bytes, type } = await file(`${SESSION}/calls.vtt?voice=rms`);
    expect(type).toBe('text/vtt; charset=utf-8');
    expect(new TextDecoder().decode(bytes)).toMatch(/^WEBVTT\n\n1\n00:00:00\.\d{3} --> /);
  });
  it('as dates for a calendar', async () => {
    const { bytes, type } = await file('../calendar.ics');
    expect(type).toBe('text/calendar; charset=utf-8');
    const text = new TextDecoder().decode(bytes);
    const { items } = (await call('GET', 'sessions')).body;
    // Beside them the weeks of seasons and the days of gradings, which last whole days.
    expect(text.match(/DTSTART:/g)).toHaveLength(items.length);
    expect(text).toMatch(/DTSTART;VALUE=DATE:\d{8}\r\n[\s\S]*SUMMARY:Grading of Ebb and Slack/);
    expect(text).toContain('SUMMARY:Knees behind the cross');
  });
  it('as homework: sound, sheet, captions and cautions in one zip', async () => {
    const { bytes, type } = await file(`${SESSION}/homework.zip?round=fs-1`);
    expect(type).toBe('application/zip');
    const text = new TextDecoder('latin1').decode(bytes);
    for (const name of ['session.wav', 'sheet.html', 'calls.vtt', 'cautions.txt'])
      expect(text).toContain(name);
    expect(bytes.length).toBeGreaterThan(44_100 * 2 * 100);
  });
  it.each([
    ['nosuch/audio.wav', 404],
    [`${SESSION}/audio.wav?round=nosuch`, 404],
    [`${SESSION}/calls.vtt?voice=nosuch`, 400],
  ])('refuses %s', async (path, status) => expect((await file(path)).status).toBe(status));
});

describe('a rhythm from a file', () => {
  const midi = (events: MidiEvent[], ticksPerBeat = 480): Uint8Array =>
    Uint8Array.from(
      writeMidi({
        header: { format: 0, numTracks: 1, ticksPerBeat },
        tracks: [[...events, { deltaTime: 0, meta: true, type: 'endOfTrack' }]],
      }),
    );
  const note = (deltaTime: number): MidiEvent => ({
    deltaTime,
    type: 'noteOn',
    channel: 0,
    noteNumber: 60,
    velocity: 90,
  });
  const tempo = (microsecondsPerBeat: number): MidiEvent => ({
    deltaTime: 0,
    meta: true,
    type: 'setTempo',
    microsecondsPerBeat,
  });
  async function send(bytes: Uint8Array, how = '') {
    const form = new FormData();
    form.append('file', new Blob([bytes as BlobPart]), 'beat.mid');
    const response = await fetch(`${server.base()}/api/combos/rhythm${how}`, { method: 'POST', body: form });
    return { status: response.status, body: await response.json() };
  }
  it('is an empty line with its fractions and tempo', async () => {
    const { status, body } = await send(midi([tempo(600_000), note(0), note(480), note(160), note(320)]));
    expect([status, body]).toMatchObject([
      200,
      { line: 'guard guard:1/3 guard:2/3 guard', bpm: 100, left: 0, fileBpm: 100, beatsAsOne: 1 },
    ]);
    expect(body.notes.map(({ written }: any) => Math.round(written * 3))).toEqual([0, 3, 4, 6]);
    for (const { played, written } of body.notes) expect(played).toBe(written);
    const analysed = await call('POST', 'combos/analyse', { line: body.line, lead: 'left' });
    expect(analysed.body.strokes.map((stroke: any) => stroke.beat)).toEqual(['0', '1', '4/3', '2']);
  });
  const moved = ({ notes }: any): number =>
    Math.max(...notes.map(({ played, written }: any) => Math.abs(played - written)));
  it('is put on the grid that is wanted, and tells how far a note moves', async () => {
    const played = midi([tempo(600_000), note(0), note(230), note(262), note(470)]);
    const exact = (await send(played)).body;
    const halves = (await send(played, '?grid=2')).body;
    expect(halves).toMatchObject({ line: 'guard-guard-guard guard', grid: 2 });
    expect(halves.notes.map(({ written }: any) => written)).toEqual([0, 0.5, 1, 2]);
    expect(halves.notes[2].played).toBeCloseTo(492 / 480, 9);
    const thirds = (await send(played, '?grid=3')).body;
    expect(thirds.line).toBe('guard:1/3 guard:2/3 guard guard');
    expect(moved(thirds)).toBeGreaterThan(moved(exact));
    expect((await send(played, '?grid=5')).status).toBe(400);
  });
  it('asks which track where several have notes', async () => {
    const named = (text: string): MidiEvent => ({ deltaTime: 0, meta: true, type: 'trackName', text });
    const end: MidiEvent = { deltaTime: 0, meta: true, type: 'endOfTrack' };
    const file = Uint8Array.from(
      writeMidi({
        header: { format: 1, numTracks: 3, ticksPerBeat: 480 },
        tracks: [
          [tempo(500_000), end],
          [named('Left'), note(0), note(480), end],
          [named('Right'), note(240), note(240), note(240), end],
        ],
      }),
    );
    const tracks = [
      { track: 2, name: 'Left', notes: 2 },
      { track: 3, name: 'Right', notes: 3 },
    ];
    expect((await send(file)).body).toMatchObject({ track: 2, tracks, line: 'guard guard' });
    expect((await send(file, '?track=3')).body).toMatchObject({
      track: 3,
      line: 'guard-guard-guard',
    });
    expect(await send(file, '?track=1')).toMatchObject({
      status: 422,
      body: { message: 'Track 1 of this file has no notes. Choose another one.' },
    });
  });
  it('at a tempo that no combo may have is as fast with other beats, or at the nearest tempo', async () => {
    const fast = midi([tempo(150_000), note(0), note(480), note(480)]);
    expect((await send(fast)).body).toMatchObject({
      bpm: 200,
      fileBpm: 400,
      beatsAsOne: 2,
      line: 'guard-guard-guard',
    });
    expect((await send(fast, '?tempo=nearest')).body).toMatchObject({
      bpm: 300,
      beatsAsOne: 1,
      line: 'guard guard guard',
    });
    const slow = midi([tempo(6_000_000), note(0), note(480)]);
    expect((await send(slow)).body).toMatchObject({
      bpm: 20,
      fileBpm: 10,
      beatsAsOne: 0.5,
      line: 'guard:2/1 guard',
    });
  });
  it('stands beside chunks that are no tracks', async () => {
    const file = midi([tempo(600_000), note(0), note(480)]);
    const alien = Uint8Array.from(
      [...'XFIH'].map((letter) => letter.charCodeAt(0)).concat([0, 0, 0, 3, 1, 2, 3]),
    );
    const mixed = Uint8Array.from([...file.slice(0, 14), ...alien, ...file.slice(14), ...alien]);
    expect((await send(mixed)).body).toMatchObject({ line: 'guard guard', bpm: 100 });
  });
  it('comes back from our own files', async () => {
    const { bytes } = await file(`${SESSION}/rhythm.mid`);
    const { body } = await send(bytes);
    expect(body.line.startsWith('guard guard')).toBe(true);
    expect(body.left).toBeGreaterThan(0);
  });
  it.each([
    [
      'a tempo of 0',
      midi([tempo(0), note(0)]),
      422,
      'This MIDI file has a tempo of 0, so its beats have no length.',
    ],
    ['no notes', midi([tempo(500_000)]), 422, 'There are no notes in this MIDI file.'],
    ['another kind of file', new Uint8Array(300), 422, 'This is no MIDI file, or it is cut off.'],
    [
      'a cut-off file',
      midi([tempo(600_000), note(0), note(480)]).slice(0, 30),
      422,
      'This MIDI file is cut off in its track 1: 12 bytes of it are missing.',
    ],
    [
      'fewer tracks than it says',
      midi([tempo(600_000), note(0)]).slice(0, 14),
      422,
      'This MIDI file is cut off: it says that it has 1 track, and 0 are there.',
    ],
    ['ten megabytes', new Uint8Array(10_000_000), 413, 'This file is too large: 1 MB is the most.'],
  ])('is refused with %s', async (_, bytes, status, message) => {
    expect(await send(bytes)).toMatchObject({ status, body: { message } });
  });
});
