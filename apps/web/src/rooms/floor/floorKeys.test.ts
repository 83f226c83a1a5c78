import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { STAMPS } from '@eurhythm/core/run';

const FLOOR = fileURLToPath(new URL('./', import.meta.url));
/** Screens of their own, which are not open while a round runs. */
const OTHERS = ['burst', 'after'];

it('no key of the Floor does two things while a round runs', () => {
  const files = readdirSync(FLOOR, { recursive: true, encoding: 'utf8' }).filter(
    (file) =>
      /\.tsx?$/.test(file) && !/\.test\./.test(file) && !OTHERS.some((folder) => file.startsWith(folder)),
  );
  const letters = files.flatMap((file) =>
    [...readFileSync(`${FLOOR}${file}`, 'utf8').matchAll(/useShortcut\('([a-z])'/g)].map(
      ([, letter]) => letter!,
    ),
  );
  // Whoever starts before there is anything to start with presses them on the page that comes before.
  const once = letters.filter((letter) => letter !== 'b');
  const all = [...once, ...STAMPS.map(({ key }) => key)];
  expect(all.filter((letter, i) => all.indexOf(letter) !== i)).toEqual([]);
  expect(once.length).toBeGreaterThan(8);
});
