import { doubtWeak, withoutOwnSounds } from './index.ts';

describe('withoutOwnSounds', () => {
  it('takes away what begins with a sound of the device, and says where nothing could be heard', () => {
    const { strikes, unheard } = withoutOwnSounds([{ at: 0.98 }, { at: 1.2 }, { at: 3.05 }], [3, 1, 1.08]);
    expect(strikes).toEqual([{ at: 1.2 }]);
    expect(unheard.map(({ from, to }) => [from.toFixed(2), to.toFixed(2)])).toEqual([
      ['0.97', '1.17'],
      ['2.97', '3.09'],
    ]);
  });
  it('leaves everything where nothing sounded', () => {
    expect(withoutOwnSounds([{ at: 1 }], [])).toEqual({ strikes: [{ at: 1 }], unheard: [] });
  });
});

describe('doubtWeak', () => {
  const heard = (...strengths: number[]) => strengths.map((strength, at) => ({ at, strength }));
  it('marks what is much weaker than usual, and leaves nothing out', () => {
    expect(doubtWeak(heard(-20, -22, -45, -19, -21)).map(({ doubtful }) => doubtful)).toEqual([
      undefined,
      undefined,
      true,
      undefined,
      undefined,
    ]);
  });
  it('doubts nobody while it is not known what is usual', () => {
    expect(doubtWeak(heard(-20, -60, -20)).some(({ doubtful }) => doubtful)).toBe(false);
  });
});
