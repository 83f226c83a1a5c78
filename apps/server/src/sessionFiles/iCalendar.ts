import { addDays } from 'date-fns';
import { ICalCalendar } from 'ical-generator';

/** A session in a calendar. */
export interface CalendarEvent {
  readonly id: string;
  readonly title: string;
  readonly start: Date;
  readonly minutes: number;
  readonly notes: string;
}

/** Something that lasts whole days, the last one too, like 2026-03-05. */
export interface CalendarDays {
  readonly id: string;
  readonly title: string;
  readonly from: string;
  readonly until: string;
  readonly notes: string;
}

/** Planned sessions as an iCalendar file (RFC 5545); times in UTC, so that a change of the clocks moves none of them. */
export function iCalendar(
  events: readonly CalendarEvent[],
  name: string,
  now: Date,
  days: readonly CalendarDays[] = [],
): string {
  const calendar = new ICalCalendar({ name, prodId: '//Eurhythm//EN//' });
  for (const { id, title, start, minutes, notes } of events)
    calendar.createEvent({
      id: `${id}@eurhythm`,
      stamp: now,
      start,
      end: new Date(start.getTime() + minutes * 60_000),
      summary: title,
      description: notes,
    });
  for (const { id, title, from, until, notes } of days)
    calendar.createEvent({
      id: `${id}@eurhythm`,
      stamp: now,
      allDay: true,
      start: new Date(`${from}T00:00`),
      // The end of a day that lasts whole is the day after it.
      end: addDays(new Date(`${until}T00:00`), 1),
      summary: title,
      description: notes,
    });
  return `${calendar.toString()}\r\n`;
}
