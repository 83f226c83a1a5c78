import type { Page } from '@playwright/test';

/**
 * Gives a page the motion of a phone on a bag that hangs still and is struck at these instants, in milliseconds since 1970, as much later
 * as the sound is behind that it follows. Whoever holds the phone allows it to tell its motion.
 */
export async function struckPhone(page: Page, instants: readonly number[]): Promise<void> {
  await page.context().grantPermissions(['accelerometer', 'gyroscope']);
  await page.evaluate((at) => {
    setInterval(() => {
      const now = Date.now() - 1000 * ((window as { behindElsewhere?: number }).behindElsewhere ?? 0);
      const last = at.findLast((each) => each <= now);
      const since = last === undefined ? Infinity : (now - last) / 1000;
      const jolt = since < 0.4 ? 60 * Math.exp(-since / 0.03) * Math.cos(since * 150) : 0;
      const acceleration = { x: jolt, y: 0, z: 9.8 };
      window.dispatchEvent(
        new DeviceMotionEvent('devicemotion', { accelerationIncludingGravity: acceleration }),
      );
    }, 16);
  }, instants);
}
