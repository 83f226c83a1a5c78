import { OnePress, SAME_PRESS_MS, USUAL_BINDINGS, learnt, pressOfKey, tellPresses } from './presses.ts';

describe('presses', () => {
  it.each([
    ['B', 'key:b'],
    ['PageDown', 'key:PageDown'],
    ['MediaPlayPause', 'key:MediaPlayPause'],
    ['Tab', null],
    [' ', null],
    ['7', null],
  ])('%j is %j', (key, press) => {
    expect(pressOfKey(key)).toBe(press);
  });
  it('are learnt, and do one thing at most', () => {
    const pedal = learnt(USUAL_BINDINGS, 'hold', 'key:PageDown');
    expect(pedal['key:PageDown']).toBe('hold');
    expect(tellPresses(pedal, 'next')).toBe('Arrow Right, Media Track Next, controller button 6');
    expect(tellPresses(pedal, 'hold')).toBe('B, Page Down, Media Play Pause, controller button 1');
  });
  it('of a pedal that repeats itself 30 times a second are one', () => {
    const once = new OnePress();
    const through = Array.from({ length: 60 }, (_, i) => once.isNew('key:b', i * 33));
    expect(through.filter(Boolean)).toEqual([true]);
    expect(once.isNew('key:PageDown', 60 * 33)).toBe(true);
    expect(once.isNew('key:b', 60 * 33 + 5)).toBe(true);
    expect(once.isNew('key:b', 60 * 33 + 5 + SAME_PRESS_MS)).toBe(true);
  });
});
