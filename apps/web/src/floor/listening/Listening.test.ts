import { Listening, type Listener } from './Listening.ts';

const pad: Listener = {
  id: 's1',
  name: 'pad one',
  fighterIds: ['ines'],
  source: 'microphone',
  device: 'Built-in',
  detector: 'strikes 1',
  leastStrength: null,
  status: '',
};
const at = (...instants: number[]) => instants.map((each) => ({ at: each }));

describe('what stations hear', () => {
  it('is taken once, in whatever pieces it comes', () => {
    const listening = new Listening();
    listening.comes(pad);
    expect(listening.hears('s1', 0, 0, at(1, 2))).toBe(2);
    expect(listening.hears('s1', 0, 1, at(2, 3))).toBe(3);
    expect(listening.hears('s1', 0, 0, at(1))).toBe(3);
    // One piece was lost: it is asked for.
    expect(listening.hears('s1', 0, 5, at(6))).toBe(3);
    expect(listening.of(0)[0]!.onsets.map((onset) => onset.at)).toEqual([1, 2, 3]);
  });
  it('is put right where a strike was none, or is reported late, whoever lost which piece', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, at(1, 3, 5));
    expect(listening.hears('s1', 0, 3, [{ at: 3, withdrawn: true }, { at: 2 }])).toBe(5);
    expect(listening.hears('s1', 0, 4, at(2))).toBe(5);
    expect(listening.hears('s1', 0, 7, at(6))).toBe(5);
    expect(listening.knownOf('s1', 0)).toBe(5);
    expect(listening.of(0)[0]!.onsets.map((onset) => onset.at)).toEqual([1, 2, 5]);
  });
  it('that hears nothing is there all the same, since it listens', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, [], 40);
    listening.hears('s1', 0, 0, at(50), 0);
    expect(listening.of(0)).toMatchObject([{ from: 40, onsets: at(50) }]);
  });
  it('of somebody who did not come is not taken', () => {
    expect(new Listening().hears('s9', 0, 0, at(1))).toBe(0);
  });
  it('stays when the station leaves, and knows what it said last of itself', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, at(1));
    listening.comes({ ...pad, status: 'gone' });
    listening.leaves('s1');
    expect(listening.listeners).toEqual([]);
    expect(listening.of(0)).toMatchObject([{ listener: { status: 'gone' }, onsets: at(1) }]);
  });
  it('is theirs who stand there, until the work is over; whoever stands there then, it was not theirs', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, at(1));
    // The wrong one was chosen at first.
    listening.comes({ ...pad, fighterIds: ['oskar'] });
    expect(listening.of(0)).toMatchObject([{ listener: { fighterIds: ['oskar'] } }]);
    listening.settle(0);
    listening.comes({ ...pad, fighterIds: ['nia'], status: 'busy' });
    listening.hears('s1', 0, 1, at(2));
    listening.hears('s1', 1, 0, at(1));
    expect(listening.of(0)).toMatchObject([
      { listener: { fighterIds: ['oskar'], status: 'busy' }, onsets: at(1, 2) },
    ]);
    expect(listening.of(1)).toMatchObject([{ listener: { fighterIds: ['nia'] } }]);
    listening.again(0);
    listening.hears('s1', 0, 0, at(3));
    expect(listening.of(0)).toMatchObject([{ listener: { fighterIds: ['nia'] } }]);
  });
  it('changes nothing where a station says the same of itself again', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, at(1));
    const [take] = listening.of(0);
    listening.comes({ ...pad });
    expect(listening.of(0)[0]).toBe(take);
  });
  it('is another take where the round begins anew, and can be dropped and taken back', () => {
    const listening = new Listening();
    listening.comes(pad);
    listening.hears('s1', 0, 0, at(1));
    listening.again(0);
    expect(listening.of(0)).toEqual([]);
    listening.hears('s1', 0, 0, at(4));
    listening.drop('s1', 0, true);
    expect(listening.of(0)[0]).toMatchObject({ isDropped: true, onsets: at(4), time: 1 });
    listening.drop('s1', 0, false);
    expect(listening.of(0)[0]!.isDropped).toBe(false);
  });
});
