import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { STRIKE_STATES } from './viewsOfStrikes.mjs';

/** How to come to each main view in a browser page; the names are the names of the pictures. */

/** Puts the first-start notice away, as somebody in the gym has done long ago. */
export async function acceptNotice(page, base) {
  await page.request.put(`${base}/api/gym/notice`, { data: { accepted: true } });
}

async function startRun(page, base, id, session, first = 3) {
  const { items } = await (await page.request.get(`${base}/api/fighters`)).json();
  const fighterIds = items.slice(first).map((fighter) => fighter.id);
  const present = fighterIds.map((fighterId) => ({ fighterId, from: 0, until: null, ticked: [] }));
  await page.request.put(`${base}/api/sessions/${session}/sheet`, {
    data: { present, size: 2, rotations: 4 },
  });
  await page.request.put(`${base}/api/runs/${id}`, {
    data: { sessionId: session, fighterIds, startedAt: new Date().toISOString() },
  });
  return fighterIds;
}

/** A clip as somebody records it: half a second of a room before and after it, and a little of the room in it. */
function asRecorded(wav) {
  const [rate, pcm] = [wav.readUInt32LE(24), wav.subarray(44)];
  // A generator of Park and Miller, so that the picture is the same each time.
  let state = 1;
  const random = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
  const made = Buffer.alloc(44 + pcm.length + 2 * rate);
  wav.copy(made, 0, 0, 44);
  pcm.copy(made, 44 + rate);
  for (let at = 44; at < made.length; at += 2)
    made.writeInt16LE(
      Math.max(-32768, Math.min(32767, made.readInt16LE(at) + Math.round(1600 * (random() - 0.5)))),
      at,
    );
  made.writeUInt32LE(made.length - 8, 4);
  made.writeUInt32LE(made.length - 44, 40);
  return made;
}

/** Runs that were begun for pictures of the Floor. */
let runs = 0;

async function setClock(page, base, id, round, position) {
  await page.request.put(`${base}/api/runs/${id}/events/at-${round}-${position}`, {
    data: { kind: 'start', round, position, at: new Date().toISOString() },
  });
}

/** Lines whose strips stand in the coach's page about the beat line, by the names of their pictures. */
export const STRIPS = {
  'beats-and-half-beats': '1 2-3 . 2',
  heights: '1 3@b r:round@l 2',
  heads: '1 r:round r:knee parry in',
  'lead-change': '1 2> 3 sw 2',
  'holder-and-feint': "o:1 parry (1)-2* 8'",
  'kept-up': 'f:round-^f:hookkick 2!',
  'too-fast': '1 2 r:round-2',
};

/** Writes a line into a new combo; gives the strip that is drawn of it. */
export async function drawStrip(page, base, line) {
  await page.goto(`${base}/combos/new`);
  await page.getByLabel('Beats a minute').fill('84');
  await page.getByLabel('Beat line').fill(line);
  await page.keyboard.press('Escape');
  const strip = page.getByRole('group', { name: /From the left lead/ });
  await strip.waitFor();
  return strip;
}

/** Several views on one picture: on a phone, and dark. */
export const SHEETS = {
  phone: {
    width: 1280,
    shots: [
      { view: 'today', sizes: [{ width: 360, height: 740 }] },
      { view: 'combos', sizes: [{ width: 360, height: 740 }] },
      { view: 'sessions', sizes: [{ width: 360, height: 740 }] },
      {
        view: 'floor',
        sizes: [
          { width: 360, height: 740 },
          { width: 740, height: 360 },
        ],
      },
    ],
  },
  'floor-kinds': {
    width: 1280,
    shots: ['technique', 'lanes', 'burst', 'class-numbers', 'summary', 'home-end'].map((view) => ({
      view,
      sizes: [{ width: 1280, height: 800 }],
    })),
  },
  hall: {
    width: 1280,
    shots: [
      ...['hall-devices', 'hall-wall'].map((view) => ({ view, sizes: [{ width: 1280, height: 800 }] })),
      ...['hall-join', 'hall-holder', 'hall-remote', 'hall-station'].map((view) => ({
        view,
        sizes: [{ width: 360, height: 740 }],
      })),
    ],
  },
  strikes: {
    width: 1280,
    shots: [
      ...['heard-round', 'lab', 'from-file', 'trial'].map((view) => ({
        view,
        sizes: [{ width: 1280, height: 800 }],
      })),
      { view: 'heard-station', sizes: [{ width: 360, height: 740 }] },
    ],
  },
  progress: {
    width: 1280,
    shots: ['class', 'class-lacks', 'leads', 'volume', 'grade', 'report'].map((view) => ({
      view,
      sizes: [{ width: 1280, height: 800 }],
    })),
  },
  dark: {
    width: 1280,
    colorScheme: 'dark',
    shots: ['today', 'combos', 'sessions', 'fighter'].map((view) => ({
      view,
      sizes: [{ width: 1280, height: 800 }],
    })),
  },
};

/** The pictures of a sheet beside and below each other. */
export async function contactSheet(browser, base, { width, colorScheme = 'light', shots }, screenshot) {
  const pictures = [];
  for (const { view, sizes } of shots) {
    const [{ width: first }] = sizes;
    const page = await browser.newPage({ viewport: sizes[0], colorScheme, hasTouch: first < 760 });
    await acceptNotice(page, base);
    await (VIEWS[view] ?? FLOOR_STATES[view] ?? STRIKE_STATES[view] ?? PROGRESS_STATES[view])(page, base);
    for (const size of sizes) {
      await page.setViewportSize(size);
      pictures.push({ size, picture: (await screenshot(page)).toString('base64') });
    }
    await page.close();
  }
  const page = await browser.newPage({ viewport: { width, height: 100 } });
  const shown = ({ size, picture }) =>
    `<img style="width:${size.width > 800 ? width / 2 - 18 : size.width * 0.8}px" src="data:image/png;base64,${picture}">`;
  await page.setContent(
    `<body style="margin:0;padding:12px;background:#777;display:flex;flex-wrap:wrap;gap:12px">${pictures.map(shown).join('')}`,
  );
  await page.waitForTimeout(300);
  return page;
}

export const VIEWS = {
  async today(page, base) {
    await page.goto(base);
    await page.getByRole('link', { name: /to the Floor/ }).waitFor();
  },
  async moves(page, base) {
    await page.goto(`${base}/moves/round`);
    await page.getByRole('heading', { name: 'Round kick' }).waitFor();
  },
  async gym(page, base) {
    await page.goto(`${base}/gym`);
    await page.getByText('Where schools differ').waitFor();
  },
  async 'sound-check'(page, base) {
    await page.goto(`${base}/gym/sound`);
    await page.getByText('five and nine').waitFor({ timeout: 60_000 });
  },
  async keep(page, base) {
    await page.request.post(`${base}/api/backups`);
    await page.goto(`${base}/gym/keep`);
    await page.getByRole('list', { name: 'Copies' }).getByRole('listitem').first().waitFor();
  },
  async 'own-voice'(page, base) {
    for (const text of ['one', 'two', 'round kick', 'switch']) {
      const clip = await (
        await page.request.get(`${base}/api/voice/say?text=${text}&voice=rms&rate=1&sound=room`)
      ).json();
      const wav = await (await page.request.get(`${base}/api/voice/clips/${clip.id}.wav`)).body();
      await page.request.put(`${base}/api/voice/own/${encodeURIComponent(text)}`, {
        multipart: { sound: { name: 'call.wav', mimeType: 'audio/wav', buffer: asRecorded(wav) } },
      });
    }
    await page.goto(`${base}/gym/voice`);
    await page.getByRole('button', { name: /^round kick [0-9–]/ }).click();
    await page.getByRole('slider').waitFor();
  },
  async combos(page, base) {
    await page.goto(`${base}/combos/flood-4`);
    await page.getByLabel('Beat line').waitFor();
  },
  async sessions(page, base) {
    await page.goto(`${base}/sessions/three-groups`);
    await page.getByRole('button', { name: /^Combos, each their own/ }).click();
    await page
      .getByText(/times through from/)
      .first()
      .waitFor();
    await page.evaluate(() => scrollTo(0, 0));
    await page.mouse.move(8, 790);
  },
  async 'session-partners'(page, base) {
    await page.goto(`${base}/sessions/three-groups/sheet`);
    const here = [
      'Sanne Ibarra',
      'Emeka Roux',
      'Dario Halloran',
      'Mbali Serrano',
      'Tomasz Brandt',
      'Nuria Castellan',
      'Radek Ilić',
    ];
    for (const name of here) await page.getByRole('checkbox', { name }).check();
    for (const item of ['forms signed', 'named bottle', 'gloves'])
      await page.getByRole('checkbox', { name: item }).first().check();
    await page.getByText(`${here.length} here, kept`).waitFor();
  },
  async calendar(page, base) {
    await page.goto(`${base}/sessions/calendar`);
    await page.getByRole('list', { name: 'Themes' }).waitFor();
  },
  async 'session-card'(page, base) {
    await page.goto(`${base}/sessions/three-groups/card`);
    await page.getByRole('button', { name: 'Print' }).waitFor();
  },
  async floor(page, base) {
    const id = `shot-${(runs += 1)}`;
    const fighters = await startRun(page, base, id, 'knees-behind-the-cross');
    await page.goto(`${base}/floor/${id}`);
    await page.getByText('ready when you are').waitFor({ timeout: 60_000 });
    for (const [i, fighterId] of fighters.slice(0, 5).entries()) {
      const done = i === 3 ? 'part' : i === 4 ? 'sat-out' : 'finished';
      const quality = ['clean', 'loose', 'clean', 'loose', null][i];
      await page.request.put(`${base}/api/runs/${id}/results/m${i}`, {
        data: { round: 3, fighterId, done, quality, at: new Date().toISOString() },
      });
    }
    await setClock(page, base, id, 3, 42.2);
    await page.reload();
    await page.getByText('holder shows next').waitFor({ timeout: 60_000 });
    await page.keyboard.press('Shift');
    await page.waitForTimeout(1500);
  },
  async fighter(page, base) {
    await page.goto(`${base}/fighters/sanne`);
    await page.getByRole('img', { name: / trials, best / }).waitFor();
  },
};

/** Scrolls until a heading is at the top, below the bar. */
async function toTop(heading) {
  await heading.evaluate((element) => {
    element.scrollIntoView({ block: 'start' });
    window.scrollBy(0, -70);
  });
}

/** What the log says, beside the fighter's own page. */
const PROGRESS_STATES = {
  async class(page, base) {
    await page.goto(`${base}/fighters/class`);
    await page.getByRole('table').waitFor();
  },
  async grade(page, base) {
    await page.goto(`${base}/fighters/sanne/grade`);
    await page.getByText('6 of 7 are there').waitFor();
  },
  /** What a class lacks for its grades, and who came. */
  async 'class-lacks'(page, base) {
    await page.goto(`${base}/fighters/class`);
    await page
      .getByRole('img', { name: /People in a class/ })
      .locator('svg')
      .waitFor();
    await toTop(page.getByRole('heading', { name: 'Missing for Herons' }));
  },
  /** Both leads, and where the time of a combo goes. */
  async leads(page, base) {
    await page.goto(`${base}/fighters/joost`);
    await page
      .getByRole('img', { name: /^Flood 3, left lead/ })
      .first()
      .waitFor();
    await page.waitForTimeout(1000);
    await toTop(page.getByRole('heading', { name: 'Two leads' }));
  },
  /** How much, in how many classes, and each move towards the number of the gym. */
  async volume(page, base) {
    await page.goto(`${base}/fighters/joost`);
    await page
      .getByRole('img', { name: /^Strikes by limb/ })
      .locator('svg')
      .waitFor();
    await page.getByRole('progressbar').first().waitFor();
    await toTop(page.getByRole('heading', { name: 'How much' }));
  },
  async report(page, base) {
    await page.goto(`${base}/fighters/sanne/report`);
    await page.getByRole('heading', { name: 'What comes next' }).waitFor();
  },
};

/** The Floor in its other states, for a sheet of their own. */
const FLOOR_STATES = {
  /** Technique on the count, each group its own number. */
  technique: (page, base) => floorAt(page, base, 'three-groups', 1, 52),
  /** Combos of three groups on one clock. */
  lanes: (page, base) => floorAt(page, base, 'three-groups', 3, 60.4),
  /** The class of three groups in the hall: how devices join it, and what they show. */
  async 'hall-devices'(page, base) {
    await floorAt(page, base, 'three-groups', 3, 60.4);
    await page.keyboard.press('d');
    await page.getByRole('img', { name: /^Join at/ }).waitFor();
  },
  'hall-wall': (page, base) => joined(page, base, 'wall'),
  async 'hall-join'(page, base) {
    await page.goto(`${base}/join/${await codeOf(page, base)}`);
    await page.getByRole('button', { name: /^Wall/ }).waitFor();
  },
  'hall-holder': (page, base) => joined(page, base, 'holder'),
  'hall-remote': (page, base) => joined(page, base, 'remote'),
  async 'hall-station'(page, base) {
    await joined(page, base, 'station');
    for (const name of ['Sanne', 'Mbali']) await page.getByRole('button', { name }).click();
    await page.getByRole('button', { name: 'That is all' }).click();
    await page.waitForTimeout(600);
  },
  async 'class-numbers'(page, base) {
    await floorAt(page, base, 'knees-behind-the-cross', 3, 42.2);
    await page.keyboard.press('t');
    await page.getByLabel('Who').click();
    await page.getByRole('option', { name: 'Everybody, partners count' }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await page.getByLabel(/How many/).waitFor({ timeout: 60_000 });
    for (const count of ['23', '19', '21', '26']) {
      await page.keyboard.type(count);
      await page.keyboard.press('Enter');
    }
    await page.keyboard.type('2');
  },
  /** After a class of which three rounds were held. */
  async summary(page, base) {
    await floorAt(page, base, 'three-groups', 0, 10, 0);
    const done = (event, data) =>
      page.request.put(`${base}/api/runs/shot-${runs}/events/${event}`, {
        data: { at: new Date().toISOString(), ...data },
      });
    for (const round of [0, 1, 2]) await done(`bell-${round}`, { kind: 'bell', round });
    await done('skip', { kind: 'skip', round: 17, running: false });
    await page.reload();
    await page.getByText('That was the session').waitFor({ timeout: 60_000 });
  },
  /** The page for home at its end. */
  async 'home-end'(page, base) {
    const address = `${base}/api/sessions/knees-behind-the-cross/home.html?fighter=leilani`;
    const file = join(mkdtempSync(join(tmpdir(), 'eurhythm-home-')), 'home.html');
    writeFileSync(file, await (await page.request.get(address, { timeout: 60_000 })).body());
    await page.goto(pathToFileURL(file).href);
    await page.getByRole('button', { name: 'start' }).click();
    for (let i = 0; i < 5; i++) {
      await page.waitForTimeout(300);
      await page.keyboard.press('n');
    }
    await page.getByRole('button', { name: '7', exact: true }).click();
  },
  async burst(page, base) {
    await floorAt(page, base, 'knees-behind-the-cross', 3, 42.2);
    await page.keyboard.press('Shift');
    await page.getByRole('button', { name: 'T burst' }).waitFor({ timeout: 60_000 });
    await page.keyboard.press('t');
    await page.getByRole('button', { name: 'Start' }).click();
    await page.waitForTimeout(6800);
    for (let i = 0; i < 11; i++) {
      await page.keyboard.press(' ');
      await page.waitForTimeout(210);
    }
  },
};

/** Takes a session to the Floor and to a second of one of its rounds. */
async function floorAt(page, base, session, round, position, first = 3) {
  const id = `shot-${(runs += 1)}`;
  await startRun(page, base, id, session, first);
  await setClock(page, base, id, round, position);
  await page.goto(`${base}/floor/${id}`);
  await page.getByTestId('call').waitFor({ timeout: 60_000 });
  await page.keyboard.press('Shift');
  await page.waitForTimeout(1200);
}

/** The code of the run that was begun last. */
async function codeOf(page, base) {
  return (await (await page.request.put(`${base}/api/runs/shot-${runs}/hall`, { data: {} })).json()).code;
}

async function joined(page, base, view) {
  await page.goto(`${base}/hall/${await codeOf(page, base)}/${view}`);
  await page.locator('main.mat').waitFor();
  await page.waitForTimeout(2500);
}
