import type { StationHeardDto } from '@eurhythm/contract';
import { StationTeller, type StationSelf } from './StationTeller.ts';

const self: StationSelf = {
  station: 's1',
  name: 'pad',
  fighterIds: ['ines'],
  source: 'microphone',
  device: 'Built-in',
  latency: 0,
  detector: 'strikes 1',
  leastStrength: null,
  status: '',
  isGone: false,
};

/** A host that takes what follows what it knows, and can be away. */
function host() {
  const known = new Map<number, number[]>();
  const reported: StationHeardDto[] = [];
  return {
    known,
    reported,
    isAway: false,
    send(heard: StationHeardDto) {
      if (this.isAway) return Promise.resolve(null);
      reported.push(heard);
      const before = known.get(heard.round) ?? [];
      if (heard.since > before.length) return Promise.resolve({ known: before.length });
      const all = [...before.slice(0, heard.since), ...heard.strikes.map(({ at }) => at)];
      if (all.length < before.length) return Promise.resolve({ known: before.length });
      known.set(heard.round, all);
      return Promise.resolve({ known: all.length });
    },
  };
}

const hearing = async (teller: StationTeller, round: number, ...instants: number[]): Promise<void> => {
  for (const at of instants) teller.hears(round, { at });
  for (let i = 0; i < 5; i++) await teller.tell();
};

describe('what a station tells', () => {
  it('is every strike once, in order, and that it is there at all', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    teller.enters(0);
    await teller.tell();
    expect(coach.reported).toMatchObject([{ station: 's1', strikes: [] }]);
    await hearing(teller, 0, 1, 2);
    await hearing(teller, 0, 3);
    expect(coach.known.get(0)).toEqual([1, 2, 3]);
    expect(teller.countOf(0)).toEqual({ heard: 3, waiting: 0 });
    const before = coach.reported.length;
    await teller.tell();
    expect(coach.reported).toHaveLength(before);
  });
  it('is also that a strike was none, which then does not count', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    await hearing(teller, 0, 1, 2);
    teller.hears(0, { at: 1, withdrawn: true });
    expect(teller.countOf(0)).toEqual({ heard: 1, waiting: 1 });
    await teller.tell();
    expect(coach.reported.at(-1)!.strikes).toEqual([{ at: 1, withdrawn: true }]);
  });
  it('is reported later where the host was away, the earlier round first', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    coach.isAway = true;
    await hearing(teller, 0, 1, 2);
    teller.enters(1);
    await hearing(teller, 1, 0.5);
    expect(coach.known.size).toBe(0);
    coach.isAway = false;
    await hearing(teller, 1);
    expect([...coach.known]).toEqual([
      [0, [1, 2]],
      [1, [0.5]],
    ]);
  });
  it('is reported again from the start to a host that was loaded anew', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    await hearing(teller, 0, 1, 2);
    coach.known.clear();
    await hearing(teller, 0, 3);
    expect(coach.known.get(0)).toEqual([1, 2, 3]);
  });
  it('goes on where it was when its own page was loaded anew', async () => {
    const coach = host();
    await hearing(new StationTeller(self, (heard) => coach.send(heard)), 0, 1, 2);
    await hearing(new StationTeller(self, (heard) => coach.send(heard)), 0, 3);
    expect(coach.known.get(0)).toEqual([1, 2, 3]);
  });
  it('goes in pieces where much is to be reported', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    await hearing(teller, 0, ...Array.from({ length: 250 }, (_, i) => i));
    expect(coach.known.get(0)).toHaveLength(250);
  });
  it('begins anew with the round', async () => {
    const coach = host();
    const teller = new StationTeller(self, (heard) => coach.send(heard));
    await hearing(teller, 0, 1, 2);
    teller.again(0);
    expect(teller.countOf(0)).toEqual({ heard: 0, waiting: 0 });
  });
});
