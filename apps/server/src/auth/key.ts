import { createHmac, timingSafeEqual } from 'node:crypto';

/** A coach's device is let in so long after the passphrase was said on it. */
export const KEY_DAYS = 90;
const DAY_MS = 86_400_000;

/**
 * What a device keeps that has said the passphrase: until when it is let in, signed. A new passphrase brings a new secret, so that
 * all older keys are void.
 *
 * @example
 * isKey(makeKey('secret', 0), 'secret', 1) // true
 */
export function makeKey(secret: string, now: number): string {
  const until = String(now + KEY_DAYS * DAY_MS);
  return `${until}.${signed(until, secret)}`;
}

export function isKey(key: string, secret: string, now: number): boolean {
  const [until = '', signature = ''] = key.split('.');
  const [got, wanted] = [Buffer.from(signature), Buffer.from(signed(until, secret))];
  return got.length === wanted.length && timingSafeEqual(got, wanted) && Number(until) > now;
}

function signed(text: string, secret: string): string {
  return createHmac('sha256', secret).update(text).digest('base64url');
}
