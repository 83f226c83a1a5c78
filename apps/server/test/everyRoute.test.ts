import fc from 'fast-check';
import { round, session } from './requests.ts';
import { serverForThisFile, type Answer } from './startedServer.ts';

const { call, base } = serverForThisFile();
const at = '2026-03-05T18:30:00.000Z';

/** A request that is right for each route that takes a body, by method and path. */
const RIGHT: Readonly<Record<string, object>> = {
  'POST combos/analyse': { line: '1 2 3', lead: 'left', pace: 'club', bpm: 90, gradeId: 'ebb' },
  'PUT combos/fuzzed': {
    gradeId: 'ebb',
    number: 77,
    title: 'Fuzzed',
    line: '1 2',
    bpm: 80,
    beatsPerBar: 4,
    notes: 'None',
    bothLeads: true,
    focus: ['knees'],
    cycleBeats: 4,
    contact: [0, 10],
    variant: null,
  },
  'PUT combos/order': { gradeId: 'minnows', ids: ['minnows-1'] },
  'PUT moves/fuzzed': {
    name: 'Fuzzed',
    sayLong: 'fuzzed kick',
    sayShort: 'fuzz',
    family: 'kick',
    limb: 'leg',
    side: 'free-rear',
    level: 'low',
    surface: 'shin',
    target: 'shield',
    out: 0.4,
    back: 0.4,
    turn: 0,
    spin: 0,
    support: 'one-foot',
    lead: 'keeps',
    facing: 0,
    forward: 0,
    right: 0,
    stance: null,
    parts: [{ name: 'Lift', cue: 'knee up' }],
    faults: ['no guard'],
    easier: 'snap',
    cautions: ['toes-back'],
    aliases: ['fuzzy'],
    minGrade: 'ebb',
    role: 'guard',
  },
  'POST numbers/preview': { numbers: [{ number: 1, code: 'jab', side: null }], rewrite: false },
  'PUT grades': { grades: [{ id: 'ebb', name: 'Ebb', band: 'adults' }] },
  'PUT grades/ebb/techniques': {
    techniques: [{ id: 't', move: 'jab', comboId: null, reps: 5, sides: 'both', sets: 1, restSeconds: 9 }],
  },
  'PUT gym/school': {
    strikes: 'snap',
    hips: 'full',
    frontHighBlock: 'allowed',
    pace: 'club',
    words: 'numbers',
    counting: 'parts',
    countLanguage: 'english',
    countWords: ['hup: hh ah p'],
    rhythm: 'even',
    workBy: 'count',
    speed: 'clean',
    voice: 'slt',
    voiceRate: 1,
    floorSteps: 3,
    kit: ['pads'],
    checklist: ['gloves'],
    muted: ['side-untrained'],
    youth: [
      { gradeId: 'minnows', headContact: false, knees: false, elbows: false, spins: true, jumps: true },
    ],
  },
  'PUT gym/notice': { accepted: true },
  'PUT sessions/fuzzed': {
    ...session,
    plannedFor: at,
    word: 'Tide',
    groups: [{ name: 'Minnows', gradeIds: ['minnows'] }],
    rounds: [{ ...round, series: { id: 's', times: 2 }, timeCalls: ['end-bell'] }],
  },
  'POST sessions/first-steps/repeat': { ids: ['fuzz-copy'], dates: [at] },
  'PUT sessions/first-steps/sheet': {
    present: [{ fighterId: 'sanne', from: 0, until: 2, ticked: ['gloves'] }],
    size: 2,
    rotations: 4,
  },
  'POST strikes/match': {
    due: [{ at: 1, limb: 'right hand' }],
    onsets: [{ at: 1.1, strength: -20 }],
    latency: 0.1,
  },
  'POST rounds/compile': {
    blocks: round.blocks,
    lead: 'left',
    seed: 1,
    voice: 'slt',
    word: 'Tide',
    timeCalls: ['end-bell'],
    shifts: [{ from: 10, by: 4 }],
  },
  'POST rounds/plan': { blocks: round.blocks, voice: 'slt', word: 'Tide', timeCalls: ['end-bell'] },
  'PUT gym/name': { name: 'Saltmarsh Striking Hall' },
  'PUT combos/known/stand-in': { by: 'ebb-2' },
  'PUT moves/known/stand-in': { by: 'cross' },
  'PUT fighters/known/fit': { fit: true, reason: 'Seen by a doctor', by: 'Ama' },
  'PUT tests/fuzzed': { title: 'Knees', kind: 'burst', line: 'r:knee', seconds: 20, direction: 'higher' },
  'PUT runs/fuzzed': { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at },
  'PUT runs/known/events/e': { kind: 'tempo', round: 0, position: 3, running: true, by: 2, at },
  'PUT runs/known/results/m': { round: 0, fighterId: 'ines', done: 'finished', quality: 'clean', at },
  'PUT runs/known/note': { effort: 7, note: 'Knees too low' },
  'PUT attempts/fuzzed': {
    fighterId: 'ines',
    runId: 'known',
    title: 'Two straights',
    lead: 'left',
    seconds: 10,
    instants: [0.5, 1],
    at,
  },
  'PUT fighters/fuzzed': {
    name: 'Fuzz',
    gradeId: 'ebb',
    lead: 'left',
    note: '',
    fit: true,
    height: 170,
    apart: ['ines'],
    care: { startsLight: true, noHeadContact: false, spared: ['right-hand'] },
  },
  'POST progress/compare': {
    better: 'higher',
    before: [{ day: '2026-03-05', values: [20, 21] }],
    after: [{ day: '2026-03-12', values: [24] }],
    typicalError: 1,
  },
  'PUT progress/recalls/fuzzed': {
    recalls: [
      { id: 'fuzz-recall', fighterId: 'ines', comboId: 'ebb-1', recall: 'recalled', runId: null, at },
    ],
  },
  'PUT grades/ebb/requirements': {
    requirements: [
      { id: 'r1', kind: 'combo', comboId: 'ebb-1', bothLeads: true, bpm: 80, times: 2 },
      { id: 'r2', kind: 'test', testId: 'two-straights', value: 20, bothLeads: false, times: 1 },
      { id: 'r3', kind: 'sessions', count: 10, weeks: 12 },
      { id: 'r4', kind: 'shown', text: 'Greets the hall' },
      { id: 'r5', kind: 'time', weeks: 12 },
    ],
  },
  'PUT fighters/known/shown/m': { isShown: true, day: '2026-03-05', by: 'Ama' },
  'PUT gradings/fuzzed': {
    fighterId: 'ines',
    gradeId: 'ebb',
    day: '2026-03-05',
    passed: true,
    reason: 'Seen on Tuesday',
    signedBy: 'Ama',
    secondExaminer: 'Ben',
    note: '',
    lines: [{ asked: 'Ebb 1 clean twice', evidence: '', first: 'passed', second: null }],
  },
  'PUT gradings/fuzzed/withdrawn': { by: 'Ama', day: '2026-03-05', reason: 'Signed for another' },
  'PUT goals/fuzzed': {
    fighterId: 'ines',
    testId: 'two-straights',
    lead: 'left',
    value: 26,
    by: '2027-03-05',
    setOn: '2026-03-05',
  },
  'PUT goals/known/reported': { day: '2026-03-05' },
  'PUT library/fuzzed': { title: 'Fuzzed', rounds: [round] },
  'PUT seasons/fuzzed': {
    ...{ title: 'To the grading', from: '2026-03-02', until: '2026-05-24', gradingDayId: null, minutes: 60 },
    ...{ gradeIds: ['ebb'], classes: [{ weekday: 2, time: '18:30' }] },
    edits: [{ from: '2026-03-09', theme: 'knees', kind: 'light' }],
  },
  'POST sessions/first-steps/forward': { ids: ['forward-fuzzed'], dates: ['2026-03-06T18:30:00Z'] },
  'POST seasons/fuzzed/draft': { week: '2026-03-02' },
  'PUT grading-days/fuzzed': {
    title: 'Spring grading',
    day: '2026-03-05',
    candidates: [{ fighterId: 'ines', gradeId: 'spring' }],
    held: false,
  },
  'PUT progress/questions/answered': { key: 'away ines', sentence: 'Not here for 21 days.' },
  'POST sessions/draft': {
    ...{ minutes: 60, grades: ['ebb'], people: ['sanne'], theme: ['knees'], room: 4 },
    ...{ alone: false, towards: 'slack', seed: 7 },
  },
  'PUT themes/fuzzed': { title: 'Low kicks', from: '2026-03-02', until: '2026-03-08' },
};
const ROUTES = Object.keys(RIGHT);
const LISTS = [
  'combos',
  'moves',
  'sessions',
  'fighters',
  'library',
  'themes',
  'gym',
  'today',
  'techniques',
  'tests',
  'grades/requirements',
  'progress/class',
  'progress/paces',
  'progress/attended',
  'progress/questions',
];

function send(route: string, body: unknown): Promise<Answer> {
  const [method, path] = route.split(' ') as [string, string];
  return call(method, path, body);
}

/** Every place in a value at which something stands, as the keys that lead there. */
function placesIn(value: unknown): (string | number)[][] {
  if (typeof value !== 'object' || value === null) return [[]];
  return [
    [],
    ...Object.entries(value).flatMap(([key, inner]) => placesIn(inner).map((place) => [key, ...place])),
  ];
}

function spoilt(value: any, [key, ...rest]: readonly (string | number)[], junk: unknown): unknown {
  if (key === undefined) return junk;
  const inner = spoilt(value[key], rest, junk);
  return Array.isArray(value) ? value.with(Number(key), inner) : { ...value, [key]: inner };
}

const JUNK = fc.oneof(
  fc.constantFrom<unknown>(
    ...[null, true, 0, -1, 1e300, 0.1, '', ' ', '\u0000', '\ud800', '<b>', '2026-W10-4', '2026-065', '2026'],
    ...[
      '+275761-01-01T00:00:00Z',
      '0000-01-01T00:00:00Z',
      [],
      [[]],
      {},
      [null],
      { length: 3 },
      'x'.repeat(5000),
    ],
  ),
  fc.string({ unit: 'binary', maxLength: 70 }),
  fc.jsonValue({ maxDepth: 3 }),
);

beforeAll(async () => {
  for (const [known, like] of [
    ['combos/known', 'PUT combos/fuzzed'],
    ['moves/known', 'PUT moves/fuzzed'],
    ['fighters/known', 'PUT fighters/fuzzed'],
  ] as const)
    await call('PUT', known, {
      ...RIGHT[like],
      ...(known === 'combos/known' ? { number: 97 } : {}),
      ...(known === 'moves/known' ? { sayLong: 'known kick', sayShort: 'known' } : {}),
    });
  await call('PUT', 'goals/known', RIGHT['PUT goals/fuzzed']);
  await call('PUT', 'runs/known', { sessionId: 'first-steps', fighterIds: ['ines'], startedAt: at });
});

describe('every route that takes something', () => {
  it('is tried here', async () => {
    const { paths } = (await call('GET', 'docs-json')).body;
    const known = Object.entries<Record<string, { requestBody?: object }>>(paths).flatMap(([path, methods]) =>
      Object.keys(methods)
        .filter((method) => ['put', 'post'].includes(method) && methods[method]!.requestBody)
        .map((method) => `${method.toUpperCase()} ${path.replace('/api/', '').replace(/\{[^}]+\}/g, '*')}`),
    );
    const tried = new Set(
      ROUTES.map((route) =>
        route.replace(/(fuzzed|known|first-steps|\/[em]$|ebb(?=\/))/g, (found) =>
          /^\/[em]$/.test(found) ? '/*' : '*',
        ),
      ),
    );
    const left = known.filter((route) => !tried.has(route));
    expect(left.sort()).toEqual([
      // Files, and a centre and numbers that need what was there before: they have tests of their own.
      'POST combos/rhythm',
      // The door and the hall have a passphrase and a code of their own.
      'POST door/open',
      'POST hall/join',
      'POST import',
      'POST import/*.csv',
      'POST strikes/detect',
      'PUT attempts/*/recording',
      'PUT door/passphrase',
      'PUT numbers',
      'PUT voice/own/*',
      'PUT voice/own/*/centre',
    ]);
  });
  it.each(ROUTES)('%s takes the right request', async (route) => {
    const { status, body } = await send(route, RIGHT[route]);
    // One grade alone would leave combos without a grade, so that is refused for what it says, not how.
    if (route === 'PUT grades') expect([status, body.errors]).toEqual([409, undefined]);
    else if (route === 'PUT combos/order') expect([200, 409]).toContain(status);
    else expect([200, 201, 204]).toContain(status);
  });
  it.each(ROUTES)('%s answers nonsense with a sentence, and nothing breaks', async (route) => {
    const right = RIGHT[route]!;
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...placesIn(right)), JUNK, async (place, junk) => {
        const { status, body } = await send(route, JSON.stringify(spoilt(right, place, junk)));
        if (status < 300) return;
        expect([400, 404, 409, 413, 422]).toContain(status);
        expect(body.message).toMatch(/^\P{Ll}.*[.?]$/su);
        for (const error of body.errors ?? []) expect(error.message).toMatch(/[.?]$/);
      }),
      { numRuns: 40 },
    );
  });
  it('leaves every list to be read', async () => {
    for (const list of LISTS) expect([list, (await call('GET', list)).status]).toEqual([list, 200]);
  });
  it('refuses what is nested without end', async () => {
    const deep = '['.repeat(60_000) + ']'.repeat(60_000);
    for (const route of ['PUT sessions/fuzzed', 'POST rounds/compile', 'PUT gym/school']) {
      const [field] = Object.keys(RIGHT[route]!);
      const { status } = await send(route, `{"${field}":${deep}}`);
      expect([route, status]).toEqual([route, 400]);
    }
  });
});

describe('ids that nobody has', () => {
  const READ = ['combos', 'sessions', 'fighters', 'runs'];
  const UNDER = [
    'combos/*/versions',
    'fighters/*/log',
    'fighters/*/progress',
    'sessions/*/sheet',
    'sessions/*/calls.vtt',
  ];
  it.each(['nobody', '%00', '%zz', '%F0%9F%A5%8A', '..%2F..%2Fetc', 'a%20b', "x'--", 'x'.repeat(3000)])(
    '%s are not found, and break nothing',
    async (id) => {
      for (const place of [...READ.map((each) => `${each}/*`), ...UNDER]) {
        const { status, body } = await call('GET', place.replace('*', id));
        if (place.endsWith('versions')) expect([200, 400, 404]).toContain(status);
        else expect([place, [400, 404]]).toEqual([place, expect.arrayContaining([status])]);
        if (status >= 400) expect(body.message).toMatch(/\.$/);
      }
    },
  );
  it.each(['%00', 'a%20b', 'ä', 'x'.repeat(65)])('%s cannot be given to anything new', async (id) => {
    for (const route of ROUTES.filter((each) => each.endsWith('/fuzzed'))) {
      const { status } = await send(route.replace('fuzzed', id), RIGHT[route]);
      expect([route, status]).toEqual([route, 400]);
    }
  });
});

describe('a write that is sent again', () => {
  const SAME = ROUTES.filter((route) =>
    /^(PUT (combos|moves|sessions|runs|attempts|fighters|library|themes|goals|gradings)|POST sessions)/.test(
      route,
    ),
  ).filter((route) => route !== 'PUT combos/order');
  const state = async (): Promise<Record<string, string>> =>
    Object.fromEntries(
      await Promise.all(
        LISTS.map(async (list): Promise<[string, string]> => [
          list,
          JSON.stringify((await call('GET', list)).body, (key, value) =>
            key === 'updatedAt' ? undefined : value,
          ),
        ]),
      ),
    );
  it.each(SAME)('%s, four times at once, is answered alike', async (route) => {
    const answers = await Promise.all(Array.from({ length: 4 }, () => send(route, RIGHT[route])));
    expect(answers.map(({ status }) => status)).toEqual(answers.map(() => answers[0]!.status));
    expect(answers[0]!.status).toBeLessThan(300);
  });
  it('changes nothing', async () => {
    const before = await state();
    for (const route of SAME) await send(route, RIGHT[route]);
    expect(await state()).toEqual(before);
  });
  it('a deletion is as good the second time', async () => {
    for (const path of [
      'attempts/fuzzed',
      'combos/fuzzed',
      'library/fuzzed',
      'themes/fuzzed',
      'goals/fuzzed',
      'runs/known/results/m',
    ])
      for (let i = 0; i < 2; i++) expect([path, (await call('DELETE', path)).status]).toEqual([path, 204]);
  });
});

describe('a request that is none', () => {
  const form = (text: string) => ({
    method: 'POST',
    headers: { 'content-type': 'multipart/form-data; boundary=x' },
    body: text,
  });
  it.each<[string, RequestInit, number, RegExp]>([
    ['/api/nothing', {}, 404, /nothing here/],
    ['/api/combos', { method: 'PATCH' }, 404, /nothing here/],
    ['/assets/none.js', {}, 404, /nothing here/],
    ['/', { method: 'POST' }, 404, /nothing here/],
    ['/api/combos/rhythm', form('x'), 400, /cut off/],
    [
      '/api/combos/rhythm',
      { ...form('x'), headers: { 'content-type': 'multipart/form-data' } },
      400,
      /told apart/,
    ],
    [
      '/api/combos/rhythm',
      form('--x\r\ncontent-disposition: form-data; name="other"; filename="a"\r\n\r\nx\r\n--x--'),
      400,
      /not read/,
    ],
    [
      '/api/import',
      { method: 'POST', headers: { 'content-encoding': 'gzip' }, body: 'x' },
      400,
      /cannot be read/,
    ],
    ['/api/import/moves.csv', { method: 'POST', body: 'x' }, 404, /no such table/],
  ])('%s gets one sentence, and nothing that the framework says', async (path, request, status, sentence) => {
    const response = await fetch(`${base()}${path}`, request);
    const body = await response.json();
    expect([response.status, body]).toEqual([status, { message: expect.stringMatching(sentence) }]);
    expect(body.message).toMatch(/^\p{Lu}.*\.$/u);
  });
});

describe('what only looks like a page or a file', () => {
  it.each(['/assets/none.js', '/api/nothing', '/api/combos/a/b/c'])('%s is 404', async (path) => {
    expect((await fetch(`${base()}${path}`)).status).toBe(404);
  });
  it('every page says what it may load', async () => {
    const page = await fetch(`${base()}/combos/ebb-1`);
    expect(page.status).toBe(200);
    expect(page.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(page.headers.get('x-content-type-options')).toBe('nosniff');
  });
});
