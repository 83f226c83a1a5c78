import { ICalCalendar } from 'ical-generator';

/** A session in a calendar. */
export interface CalendarEvent {
  readonly id: string;
  readonly title: string;
  readonly start: Date;
  readonly minutes: number;
  readonly notes: string;
}

/** Planned sessions as an iCalendar file (RFC 5545); times in UTC, so that a change of the clocks moves none of them. */
export function iCalendar(events: readonly CalendarEvent[], name: string, now: Date): string {
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
  return `${calendar.toString()}\r\n`;
}
