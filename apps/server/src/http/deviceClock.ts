import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import { CLOCK_HEADER, ON_THE_WAY } from '@eurhythm/contract';
import type { Request } from 'express';

/** A press that is reported for later than this after now is known by a wrong clock. */
const FAR_AHEAD = 86_400_000;

/** When something was done: corrected, and as the device reported it where that was wrong. */
export interface DoneAt {
  readonly at: Date;
  readonly toldAt: Date | null;
}

/** What the clock of a device is off by: to be added to what it tells, in milliseconds. */
export type ClockOffset = number;

/**
 * What a device's clock is off by, from what it showed when it sent and what the server's shows on arrival.
 *
 * @example
 * clockOffset('2026-03-05T18:35:00.000Z', Date.parse('2026-03-05T18:30:00Z')) // -300000
 */
export function clockOffset(sentAt: string | undefined, now: number): ClockOffset {
  const offset = now - Date.parse(sentAt ?? '');
  return Number.isFinite(offset) && Math.abs(offset) > ON_THE_WAY ? offset : 0;
}

/** When something was done that a device tells with such an offset. */
export function doneAt(sent: string, offset: ClockOffset): DoneAt {
  const toldAt = new Date(sent);
  return offset === 0 ? { at: toldAt, toldAt: null } : { at: new Date(toldAt.getTime() + offset), toldAt };
}

/** The same for what decides between presses: none was done far from now in the future, whatever a device says. */
export function pressedAt(sent: string, offset: ClockOffset, now: number = Date.now()): DoneAt {
  const done = doneAt(sent, offset);
  return done.at.getTime() > now + FAR_AHEAD ? { at: new Date(now), toldAt: new Date(sent) } : done;
}

/** Gives a route the offset of the device that asks. */
export const DeviceOffset = createParamDecorator((_: unknown, context: ExecutionContext): ClockOffset => {
  const { headers } = context.switchToHttp().getRequest<Request>();
  const sentAt = headers[CLOCK_HEADER];
  return clockOffset(typeof sentAt === 'string' ? sentAt : undefined, Date.now());
});
