import { markText, stamped, type Mark } from './stamps.ts';

const pressed = { seconds: 71.6, otherLead: 'right' } as const;
const after = (...stamps: Parameters<typeof stamped>[1][]): Mark | undefined =>
  stamps.reduce<Mark | undefined>((mark, stamp) => stamped(mark, stamp, pressed), undefined);

describe('a press', () => {
  it.each([
    [['part'], 'part 1:12'],
    [['part', 'loose'], 'part 1:12, loose'],
    [['loose', 'part'], 'part 1:12, loose'],
    [['wild'], 'finished, wild'],
    [['wild', 'clean'], 'finished, clean'],
    [['loose', 'sat-out'], 'sat out'],
    [['sat-out', 'clean'], 'finished, clean'],
    [['sat-out', 'finished'], 'finished'],
    [['part', 'finished'], 'finished'],
    [['other-lead'], 'finished, right lead'],
    [['other-lead', 'other-lead'], 'finished'],
    [['part', 'other-lead'], 'part 1:12, right lead'],
  ] as const)('says %j as “%s”', (stamps, text) => {
    expect(markText(after(...stamps)!)).toBe(text);
  });
});

it('after the round says nothing of when, and keeps what was known of it', () => {
  const later = { ...pressed, seconds: null };
  expect(markText(stamped(undefined, 'part', later))).toBe('part');
  expect(markText(stamped(after('part'), 'part', later))).toBe('part 1:12');
});

it('says how far only where it was done in part', () => {
  expect(markText({ done: 'finished', quality: null, seconds: 72, lead: null })).toBe('finished');
  expect(markText({ done: 'part', quality: null, seconds: 0, lead: null })).toBe('part 0:00');
  expect(markText({ done: 'part', quality: null, lead: 'left' } as Mark)).toBe('part, left lead');
});
