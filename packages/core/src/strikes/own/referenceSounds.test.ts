import { apartFromReference, doubtWeak, withoutReference } from '../index.ts';

describe('withoutReference', () => {
  it('takes away what begins with a sound of the device, and says where nothing could be heard', () => {
    const { strikes, unheard } = withoutReference([{ at: 0.98 }, { at: 1.2 }, { at: 3.05 }], [3, 1, 1.08]);
    expect(strikes).toEqual([{ at: 1.2 }]);
    expect(unheard.map(({ from, to }) => [from.toFixed(2), to.toFixed(2)])).toEqual([
      ['0.97', '1.17'],
      ['2.97', '3.09'],
    ]);
  });
  it('leaves everything where nothing sounded', () => {
    expect(withoutReference([{ at: 1 }], [])).toEqual({ strikes: [{ at: 1 }], unheard: [] });
  });
});

describe('doubtWeak', () => {
  const heard = (...strengths: number[]) => strengths.map((strength, at) => ({ at, strength }));
  it('marks what is much weaker than usual, and leaves nothing out', () => {
    expect(doubtWeak(heard(-20, -22, -45, -19, -21), 'microphone').map(({ doubtful }) => doubtful)).toEqual([
      undefined,
      undefined,
      true,
      undefined,
      undefined,
    ]);
  });
  it('doubts nothing that a pad or a phone felt: newtons are no decibels', () => {
    for (const source of ['sensor', 'motion'])
      expect(doubtWeak(heard(150, 550, 160, 520, 300), source).some(({ doubtful }) => doubtful)).toBe(false);
  });
  it('doubts nobody while it is not known what is usual', () => {
    expect(doubtWeak(heard(-20, -60, -20), 'microphone').some(({ doubtful }) => doubtful)).toBe(false);
  });
});

describe('strikes on the beats on which the device ticks', () => {
  const ticks = [0, 1, 2, 3, 4, 5, 6, 7].map((at) => ({ at, kind: 'tick' }));
  const heardTicks = ticks.map(({ at }) => ({ at: at + 0.01, strength: -32 }));
  const due = [4, 5, 6];
  it('are known by being louder than a tick that stands alone', () => {
    const heard = heardTicks.map((onset) =>
      onset.at > 4.5 && onset.at < 6.5 ? { ...onset, strength: -20 } : onset,
    );
    const { strikes, unheard } = apartFromReference(heard, ticks, due);
    expect(strikes.map(({ at }) => at)).toEqual([5.01, 6.01]);
    // On the beat of 4 only the tick was heard, or a strike no louder than it.
    expect(unheard).toEqual([{ from: 3.97, to: 4.09 }]);
  });
  it('all count where ticks do not come back to the device', () => {
    const heard = due.map((at) => ({ at, strength: -35 }));
    expect(apartFromReference(heard, ticks, due)).toEqual({ strikes: heard, unheard: [] });
  });
  it('all count where ticks are taken out before, though one was heard, or somebody struck on one', () => {
    const strikes = due.map((at) => ({ at, strength: -25 }));
    const heard = [{ at: 1.01, strength: -20 }, ...strikes];
    const many = Array.from({ length: 8 }, (_, i) => ({ at: i, kind: 'tick' }));
    expect(apartFromReference(heard, many, due)).toEqual({ strikes, unheard: [] });
  });
  it('are known by the loudest of the other ticks where their own kind never stands alone', () => {
    const sounds = [
      { at: 0, kind: 'tick' },
      { at: 5, kind: 'first tick' },
    ];
    const heard = [
      { at: 0.01, strength: -30 },
      { at: 5.01, strength: -15 },
    ];
    expect(apartFromReference(heard, sounds, [5]).strikes.map(({ at }) => at)).toEqual([5.01]);
    expect(apartFromReference(heard.slice(1), sounds, [5]).strikes).toHaveLength(1);
  });
  it('are doubtful where no tick ever stands alone', () => {
    const [strike] = apartFromReference([{ at: 1, strength: -20 }], [{ at: 1, kind: 'tick' }], [1]).strikes;
    expect(strike).toMatchObject({ doubtful: true });
  });
  it('and what is not weighed counts, for nothing of the device comes back to a sensor', () => {
    expect(apartFromReference([{ at: 4 }], ticks, due).strikes).toHaveLength(1);
  });
});
