import { lettersVoice } from '../calls/testLibrary.ts';
import { starterBook } from '../moves/index.ts';
import { compileRound, momentOfRound, type Block } from './index.ts';

const block: Block = {
  kind: 'combo',
  id: 'b',
  seconds: 40,
  bpm: 60,
  calls: 'on-beat',
  words: 'names',
  leadPlan: 'as-set',
  cyclesEach: 4,
  combos: [{ id: 'c', grade: 'Ebb', number: 2, title: 'Round the post', line: '1 2 3', beatsPerBar: 4 }],
};
const round = compileRound({ blocks: [block], lead: 'left', seed: 1 }, starterBook(), lettersVoice());
const first = round.cycles[0]!;

describe('momentOfRound', () => {
  it('shows the call, the one before it, what the holder offers, and where the notch is', () => {
    const moment = momentOfRound(round, first.at + 1.25);
    expect(moment).toMatchObject({
      call: { text: 'cross' },
      before: { text: 'jab' },
      offer: { text: 'hook, head' },
      stroke: 1,
    });
    expect(moment.beat).toBeCloseTo(1.25, 6);
  });
  it('has nothing left to offer once the last stroke is due, until the next time through', () => {
    expect(momentOfRound(round, first.at + 2.3).offer).toBeNull();
    expect(momentOfRound(round, first.at + 3.2).offer?.text).toBe('jab, head');
  });
  it('shows a call from where it begins to sound, before its centre', () => {
    const hook = round.cues.find(
      ({ text, clip, cycle }) => text === 'hook' && clip && cycle === first.cycle,
    )!;
    const { start } = hook.clip!;
    expect(start).toBeLessThan(hook.at);
    expect(momentOfRound(round, start + 0.001).call?.text).toBe('hook');
    expect(momentOfRound(round, start - 0.001).call?.text).toBe('cross');
  });
  it('shows what was announced until the first stroke, and never a number of the count-in', () => {
    const beats = round.cues.filter(({ kind, sound }) => kind === 'count' && sound === 'count-in');
    expect(beats.length).toBeGreaterThan(3);
    for (const { at } of beats)
      for (const later of [0.01, 0.5, 0.99]) {
        const shown = momentOfRound(round, at + later).call?.text ?? '';
        expect(shown).toMatch(/^[a-z][a-z ,]+$/);
      }
  });
  it('has no notch before the first cycle and after the last', () => {
    expect(momentOfRound(round, 0.5)).toMatchObject({ cycle: null, beat: null, stroke: null });
    expect(momentOfRound(round, 39.9).call?.text).toBe('one');
    expect(momentOfRound(round, 60).call).toBeNull();
  });
});
