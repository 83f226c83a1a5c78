import { clockText, secondsFromClock } from './clockText.ts';

describe('clock texts', () => {
  it.each([
    [0, '0:00'],
    [65, '1:05'],
    [59.9, '0:59'],
    [3725, '1:02:05'],
    [-3, '0:00'],
  ])('%d s is %s', (seconds, text) => expect(clockText(seconds)).toBe(text));

  it.each([
    ['2:05', 125],
    ['90', 90],
    ['1:00:00', 3600],
    ['two', null],
    ['-5', null],
    ['', null],
  ])('%j is read as %p', (text, seconds) => expect(secondsFromClock(text)).toBe(seconds));
});
