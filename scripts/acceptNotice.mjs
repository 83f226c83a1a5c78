/** Puts the first-start notice away, as somebody in the gym has done long ago. */
export async function acceptNotice(page, base) {
  await page.request.put(`${base}/api/gym/notice`, { data: { accepted: true } });
}
