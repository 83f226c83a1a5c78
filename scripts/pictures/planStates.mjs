/** How to come to what stands together on the picture of the calendar: dates, gradings, a season, a draft. */
export const PLAN_STATES = {
  async month(page, base) {
    await page.goto(`${base}/sessions/calendar`);
    await page.getByRole('list', { name: 'Themes' }).waitFor();
  },
  async season(page, base) {
    await page.request.post(`${base}/api/seasons/demo-season/draft`, { data: {}, timeout: 120_000 });
    await page.goto(`${base}/sessions/season`);
    await page.getByRole('link', { name: /19:00/ }).first().waitFor();
  },
  async draft(page, base) {
    await page.goto(`${base}/sessions/three-groups`);
    await page.getByRole('button', { name: 'Draft for me' }).click();
    const sheet = page.getByRole('dialog');
    for (const grade of ['Slack', 'Flood']) await sheet.getByLabel(grade, { exact: true }).check();
    await sheet.getByLabel('Theme').fill('knees');
    await sheet.getByText('Of “knees”').first().waitFor();
    await sheet.getByLabel('Minutes').focus();
  },
  async gradings(page, base) {
    await page.goto(`${base}/sessions/calendar`);
    await page.getByRole('list', { name: /^Candidates of/ }).scrollIntoViewIfNeeded();
  },
};
