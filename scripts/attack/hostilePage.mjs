/** A page of another origin tries to read and to change the gym; texts with scripts in them are shown on every page of the app. */
import { createServer } from 'node:http';
import { chromium } from '@playwright/test';
import { needChromium } from '../chromium.mjs';
import { acceptNotice } from '../acceptNotice.mjs';

const TEXTS = [
  '<img src=x onerror="window.ran=1">',
  '"><script>window.ran=1</script>',
  "'-(window.ran=1)-'",
  'javascript:window.ran=1',
  '<svg onload=window.ran=1>',
];
const PAGES = [
  '',
  'combos',
  'combos/hostile',
  'moves',
  'sessions',
  'sessions/hostile',
  'fighters',
  'fighters/hostile',
  'calendar',
  'library',
  'gym',
  'voice',
  'runs',
  'api/docs',
];

/** What a foreign page tries; each gives true where it got through. */
const TRIES = `
const app = APP;
const tries = {
  async 'read by fetch'() { const answer = await fetch(app + '/api/fighters'); return (await answer.text()).length > 0; },
  async 'read without cors'() { const answer = await fetch(app + '/api/fighters', { mode: 'no-cors' }); return (await answer.text()).length > 0; },
  async 'write JSON by fetch'() { return (await fetch(app + '/api/gym/name', { method: 'PUT', headers: { 'content-type': 'application/json' }, body: '{"name":"Taken"}' })).ok; },
  async 'write as plain text'() { await fetch(app + '/api/import', { method: 'POST', mode: 'no-cors', headers: { 'content-type': 'text/plain' }, body: '{}' }); return false; },
  async 'send a file'() { const form = new FormData(); form.append('file', new Blob(['MThd'])); const answer = await fetch(app + '/api/combos/rhythm', { method: 'POST', body: form }); return (await answer.text()).length > 0; },
  'read by script'() { return new Promise((done) => { const script = document.createElement('script'); script.src = app + '/api/fighters'; script.onload = () => done(true); script.onerror = () => done(false); document.body.append(script); }); },
  'read by frame'() { return new Promise((done) => { const frame = document.createElement('iframe'); frame.src = app + '/'; frame.onload = () => { try { done(frame.contentDocument.body.innerText.length > 0); } catch { done(false); } }; document.body.append(frame); setTimeout(() => done(false), 3000); }); },
  async 'read an opened window'() { const opened = window.open(app + '/'); await new Promise((done) => setTimeout(done, 1500)); try { return opened !== null && opened.document.body.innerText.length > 0; } catch { return false; } },
};
window.results = Promise.all(Object.entries(tries).map(async ([name, work]) => [name, await Promise.resolve().then(work).catch(() => false)]));
`;

export async function hostilePage(app) {
  const put = (path, body) =>
    fetch(`${app.base}/api/${path}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json', origin: app.base },
      body: JSON.stringify(body),
    });
  const before = await (await fetch(`${app.base}/api/export.json`)).json();
  const foreign = createServer((_, response) => {
    response.setHeader('content-type', 'text/html');
    response.end(`<!doctype html><body><script>${TRIES.replace('APP', JSON.stringify(app.base))}</script>`);
  });
  await new Promise((done) => foreign.listen(0, '127.0.0.1', done));
  const browser = await chromium.launch({
    executablePath: needChromium(),
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    const page = await (await browser.newContext()).newPage();
    await page.goto(`http://localhost:${foreign.address().port}/`);
    const results = await page.evaluate(() => window.results);
    await page.goto(`http://127.0.0.1:${foreign.address().port}/`);
    results.push(...(await page.evaluate(() => window.results)));
    const after = await (await fetch(`${app.base}/api/export.json`)).json();
    const through = results.flatMap(([name, got]) => (got ? name : []));
    for (const part of Object.keys(before))
      if (part !== 'madeAt' && JSON.stringify(before[part]) !== JSON.stringify(after[part]))
        through.push(`changed ${part}`);
    return { tries: results.length, through, ...(await scripts(browser, app.base, put)) };
  } finally {
    await browser.close();
    foreign.close();
  }
}

async function scripts(browser, base, put) {
  const page = await (await browser.newContext()).newPage();
  await acceptNotice(page, base);
  const ran = [];
  page.on('dialog', (dialog) => {
    ran.push(`a dialog on ${page.url()}`);
    void dialog.dismiss();
  });
  let [shown, taken, refused] = [0, 0, 0];
  for (const text of TEXTS) {
    const name = text.slice(0, 60);
    const kept = await Promise.all([
      put('gym/name', { name }),
      put('combos/hostile', {
        gradeId: 'ebb',
        number: 98,
        title: name,
        line: '1 2',
        bpm: 80,
        beatsPerBar: 4,
        notes: text,
        bothLeads: true,
        focus: [],
        cycleBeats: null,
        contact: [0, 10],
        variant: null,
      }),
      put('fighters/hostile', {
        name,
        gradeId: 'ebb',
        lead: 'left',
        note: text,
        fit: true,
        height: null,
        apart: [],
      }),
      put('sessions/hostile', {
        title: name,
        lead: 'left',
        plannedFor: new Date(Date.now() + 3_600_000).toISOString(),
        word: '',
        groups: [],
        rounds: [
          {
            id: 'r',
            title: name,
            kind: 'technique',
            blocks: [{ kind: 'talk', id: 'b', seconds: 30, title: name, notes: text }],
          },
        ],
      }),
    ]);
    taken += kept.filter(({ ok }) => ok).length;
    refused += kept.filter(({ status }) => status === 400).length;
    if (!kept.some(({ ok }) => ok)) continue;
    for (const path of PAGES) {
      await page.goto(`${base}/${path}`, { waitUntil: 'load' });
      await page.waitForTimeout(150);
      shown += 1;
      if (await page.evaluate(() => window.ran)) ran.push(`${text} on /${path}`);
    }
  }
  if (taken === 0) throw new Error('none of the texts was taken, so none could be shown');
  return { shown, ran, taken, refused };
}
