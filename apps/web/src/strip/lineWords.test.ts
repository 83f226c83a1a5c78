import { starterBook } from '@eurhythm/core/moves';
import { lineTeller } from './lineWords.ts';

describe('a line in words', () => {
  const tell = lineTeller(starterBook());
  it.each([
    ['1-2 3@b', 'jab, cross, hook body'],
    ['o:1 parry 2', 'holder throws jab, parry, cross'],
    ['1 . r:round@l', 'jab, round kick low'],
    ['1 nonsense', '1 nonsense'],
  ])('%s is %s', (line, words) => {
    expect(tell(line, 'left')).toBe(words);
    expect(tell(line, 'left')).toBe(words);
  });
});
