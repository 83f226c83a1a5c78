import type { Page } from '@playwright/test';

/**
 * Gives a page the motion of a phone on a bag that hangs still and is struck at these instants, in milliseconds since 1970, as much later
 * as the sound is behind that it follows. Whoever holds the phone allows it to tell its motion.
 */
export async function struckPhone(page: Page, instants: readonly number[]): Promise<void> {
  await page.context().grantPermissions(['accelerometer', 'gyroscope']);
  await page.evaluate((at) => {
    const STEP = 16;
    let told = performance.now();
    // What a sensor measured while the page was busy comes after that, each with the time of its own.
    setInterval(() => {
      for (; told + STEP <= performance.now(); told += STEP) {
        const behind = (window as { behindElsewhere?: number }).behindElsewhere ?? 0;
        const now = performance.timeOrigin + told - 1000 * behind;
        const last = at.findLast((each) => each <= now);
        const since = last === undefined ? Infinity : (now - last) / 1000;
        const jolt = since < 0.4 ? 60 * Math.exp(-since / 0.03) * Math.cos(since * 150) : 0;
        const acceleration = { x: jolt, y: 0, z: 9.8 };
        const motion = new DeviceMotionEvent('devicemotion', { accelerationIncludingGravity: acceleration });
        window.dispatchEvent(Object.defineProperty(motion, 'timeStamp', { value: told }));
      }
    }, STEP);
  }, instants);
}
