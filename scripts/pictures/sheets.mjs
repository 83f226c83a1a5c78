import { acceptNotice } from '../acceptNotice.mjs';
import { FLOOR_STATES } from './floorStates.mjs';
import { PLAN_STATES } from './planStates.mjs';
import { PROGRESS_STATES } from './progressStates.mjs';
import { STRIKE_STATES } from './strikeStates.mjs';
import { VIEWS } from './views.mjs';

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

/** Writes a line that is called too closely into a new combo; gives what a listener makes of its calls. */
export async function drawListener(page, base, line) {
  await drawStrip(page, base, line);
  const title = page.getByRole('heading', { name: 'What a listener hears' });
  const heard = page.locator('section').filter({ has: title });
  await heard.getByRole('listitem').first().waitFor({ timeout: 30_000 });
  return heard;
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
  calendar: {
    width: 1280,
    shots: ['month', 'gradings', 'season', 'draft'].map((view) => ({
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
    await (
      VIEWS[view] ??
      FLOOR_STATES[view] ??
      STRIKE_STATES[view] ??
      PROGRESS_STATES[view] ??
      PLAN_STATES[view]
    )(page, base);
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
