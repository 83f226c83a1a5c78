import { tempoForThose } from './tempoForThose.ts';

const those = (...bpms: number[]) => bpms.map((bpm) => ({ bpm }));

describe('tempoForThose', () => {
  it('is a tempo that three of four can do', () => {
    expect(tempoForThose(those(80, 84, 88, 92, 96), 84)).toEqual({ bpm: 84, wild: 0, of: 5 });
  });

  it('counts those for whom more than a step too much is asked', () => {
    expect(tempoForThose(those(80, 84, 96), 88)!.wild).toBe(1);
    expect(tempoForThose(those(84), 88)!.wild).toBe(0);
  });

  it('knows nothing of people who were never advised', () => {
    expect(tempoForThose([], 84)).toBeNull();
  });
});
