import { ON_THE_WAY } from '@eurhythm/contract/clocks';

/*
 * The server's clock, as far as this device knows it. Devices tell what they do by their own clocks, and with each request what
 * that clock shows; the server corrects. What the server tells is put back to this device's clock here.
 */

/** What is added to the server's time to get this device's. */
let ahead = 0;

/** Learns from an answer what the server's clock shows. */
export function hearClock(header: string | null, now: number = Date.now()): void {
  const difference = now - Date.parse(header ?? '');
  if (Number.isFinite(difference)) ahead = Math.abs(difference) > ON_THE_WAY ? difference : 0;
}

/**
 * An instant that the server tells, by the clock of this device.
 *
 * @example
 * byOwnClock(Date.parse('2026-03-05T18:30:00Z')) // the same, on a device whose clock is right
 */
export function byOwnClock(serverTime: number): number {
  return serverTime + ahead;
}

/**
 * An instant of this device by the server's clock.
 *
 * @example
 * byServersClock(Date.parse('2026-03-05T18:30:00Z')) // the same, on a device whose clock is right
 */
export function byServersClock(ownTime: number): number {
  return ownTime - ahead;
}
