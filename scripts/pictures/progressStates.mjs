/** Scrolls until a heading is at the top, below the bar. */
async function toTop(heading) {
  await heading.evaluate((element) => {
    element.scrollIntoView({ block: 'start' });
    window.scrollBy(0, -70);
  });
}

/** What the log says, beside the fighter's own page. */
export const PROGRESS_STATES = {
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
    await page.getByRole('button', { name: /^Where the time goes/ }).click();
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
    await page.getByRole('button', { name: /^How much/ }).click();
    await page.getByRole('button', { name: /^Each move so far/ }).click();
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
