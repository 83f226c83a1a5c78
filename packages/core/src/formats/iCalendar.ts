/** A session in a calendar. */
export interface CalendarEvent {
  readonly id: string;
  readonly title: string;
  readonly start: Date;
  readonly minutes: number;
  readonly notes: string;
}

/** Lines are folded at this many octets (RFC 5545, 3.1). */
const LINE_OCTETS = 75;

const utc = (date: Date): string => date.toISOString().replace(/[-:]|\.\d{3}/g, '');
const escaped = (text: string): string =>
  text.replace(/[\\;,]/g, (sign) => `\\${sign}`).replace(/\r?\n/g, '\\n');

/** Length of a character in UTF-8. */
function octetsOf(code: number): number {
  return code < 0x80 ? 1 : code < 0x800 ? 2 : code < 0x1_0000 ? 3 : 4;
}

/** Folds a line so that no part is longer than 75 octets, never inside a character. */
function folded(line: string): string {
  const parts: string[] = [];
  let part = '';
  let octets = 0;
  for (const sign of line) {
    const size = octetsOf(sign.codePointAt(0)!);
    if (octets + size > LINE_OCTETS) {
      parts.push(part);
      part = ' ';
      octets = 1;
    }
    part += sign;
    octets += size;
  }
  return [...parts, part].join('\r\n');
}

/** Planned sessions as an iCalendar file (RFC 5545); times in UTC, so that a change of the clocks moves none of them. */
export function iCalendar(events: readonly CalendarEvent[], name: string, now: Date): string {
  const lines = events.flatMap(({ id, title, start, minutes, notes }) => [
    'BEGIN:VEVENT',
    `UID:${escaped(id)}@eurhythm`,
    `DTSTAMP:${utc(now)}`,
    `DTSTART:${utc(start)}`,
    `DTEND:${utc(new Date(start.getTime() + minutes * 60_000))}`,
    `SUMMARY:${escaped(title)}`,
    `DESCRIPTION:${escaped(notes)}`,
    'END:VEVENT',
  ]);
  return [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Eurhythm//EN',
    `X-WR-CALNAME:${escaped(name)}`,
    ...lines,
    'END:VCALENDAR',
    '',
  ]
    .map(folded)
    .join('\r\n');
}
