import { iCalendar } from './iCalendar.ts';

describe('iCalendar', () => {
  const text = iCalendar(
    [
      {
        id: 's1',
        title: 'Knees; behind, the cross',
        start: new Date('2026-03-28T18:30:00Z'),
        minutes: 60,
        notes: `Shadow\nPads, ${'löng '.repeat(30)}`,
      },
    ],
    'Saltmarsh',
    new Date('2026-03-01T00:00:00Z'),
  );
  it('tells when, how long and what, with its signs escaped', () => {
    expect(text).toContain('DTSTART:20260328T183000Z\r\nDTEND:20260328T193000Z\r\n');
    expect(text).toContain('SUMMARY:Knees\\; behind\\, the cross\r\n');
    expect(text).toContain('DESCRIPTION:Shadow\\nPads\\, löng');
  });
  it('ends every line as the standard says, none longer than 75 octets', () => {
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true);
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
    for (const line of text.split('\r\n')) {
      expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
      expect(line).not.toContain('\n');
    }
  });
});
