import { soundEvents, type Cue } from './index.ts';

const tick = (at: number): Cue => ({ at, kind: 'tick', text: '1', block: 'b', sound: 'tick-bar' });
const call = (start: number): Cue => ({
  at: start + 0.1,
  kind: 'call',
  text: 'one',
  block: 'b',
  clip: { id: 'c', start, seconds: 0.4, centre: 0.1, rate: 1 },
});

describe('soundEvents', () => {
  it('starts a clip at its start, not at its centre, and leaves silent cues out', () => {
    const events = soundEvents({ cues: [call(1), { at: 1.1, kind: 'strike', text: 'Jab', block: 'b' }] });
    expect(events).toEqual([{ at: 1, bus: 'call', source: { kind: 'clip', id: 'c' }, gain: 1 }]);
  });
  it('lets ticks give way under a call by 9 dB, bells not', () => {
    const bell: Cue = { at: 1.2, kind: 'bell', text: 'end', block: 'b', sound: 'bell-end' };
    const events = soundEvents({ cues: [tick(0.5), call(1), tick(1.3), tick(1.5), bell, tick(2)] });
    const gains = events
      .filter((event) => event.source.kind === 'synth')
      .map((event) => [event.at, Math.round(20 * Math.log10(event.gain))]);
    expect(gains).toEqual([
      [0.5, 0],
      [1.2, 0],
      [1.3, -9],
      [1.5, 0],
      [2, 0],
    ]);
  });
});
