import type { SaveSessionDto } from '@eurhythm/contract';
import { sessionTitle } from './sessionTitle.ts';

const named = (...titles: string[]) =>
  ({ rounds: titles.map((title, i) => ({ id: `r${i}`, title, kind: 'pads', blocks: [] })) }) as Pick<
    SaveSessionDto,
    'rounds'
  >;

it.each([
  [['Pads'], 'Pads'],
  [['Warm-up', 'Pads', 'Pads', 'Stretch'], 'Warm-up, Pads and stretch'],
  [['', ' '], 'A session'],
  [[], 'A session'],
  [Array.from({ length: 20 }, (_, i) => `A round about number ${i}`), 'A round about number 0 and 19 more'],
])('a session of %j is called %j', (titles, title) => {
  expect(sessionTitle(named(...titles))).toBe(title);
  expect(title.length).toBeLessThanOrEqual(60);
});
