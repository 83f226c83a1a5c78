import { jest } from '@jest/globals';
import type { OnsetReport } from '@eurhythm/core/strikes';
import type { InputEvents, StrikeInput } from '../../strikeInputs/StrikeInput.ts';
import { ListeningSession, type PlayedPlace } from './ListeningSession.ts';

/** A hall in which time goes by as the test says: a round that goes on, and an input that is opened and closed. */
class Hall {
  now = 100;
  place: PlayedPlace = { round: 0, at: 0 };
  readonly heard: [number, OnsetReport][] = [];
  readonly anew: number[] = [];
  readonly closed: string[] = [];
  events: InputEvents | null = null;
  refusal: string | null = null;
  readonly session = new ListeningSession({
    place: () => this.place,
    now: () => this.now,
    simulatedImpacts: () => [],
    onOnset: (round, report) => this.heard.push([round, report]),
    onAgain: (round) => this.anew.push(round),
    open: async ({ kind }, events) => {
      await Promise.resolve();
      if (this.refusal) throw new Error(this.refusal);
      this.events = events;
      return this.input(kind);
    },
  });

  /** Goes on for so long, looked at four times a second. */
  goOn(seconds: number): void {
    for (let left = seconds; left > 0; left -= 0.25) {
      this.now += 0.25;
      if (this.place.at !== null) this.place = { ...this.place, at: this.place.at + 0.25 };
      jest.advanceTimersByTime(250);
    }
  }

  private input(device: string): StrikeInput {
    return {
      source: 'sensor',
      device,
      detector: null,
      leastStrength: null,
      settled: () => Promise.resolve(),
      sound: () => Promise.resolve({ wav: new Blob(), from: 99 }),
      close: () => this.closed.push(device),
    };
  }
}

let hall: Hall;
beforeEach(() => {
  jest.useFakeTimers();
  hall = new Hall();
});
afterEach(() => {
  hall.session.close();
  jest.useRealTimers();
});

describe('a session that listens', () => {
  it('reports each strike by its place in the round, also one that is known ten seconds late', async () => {
    await hall.session.open({ kind: 'sensor' });
    hall.goOn(12);
    hall.events!.onStrike({ at: 111.5 });
    hall.events!.onStrike({ at: 102, doubtful: true });
    hall.events!.onStrike({ at: 111.5, withdrawn: true });
    expect(hall.heard).toEqual([
      [0, { at: 11.5 }],
      [0, { at: 2, doubtful: true }],
      [0, { at: 11.5, withdrawn: true }],
    ]);
  });
  it('reports nothing of what was struck before it began or while all stood still', async () => {
    await hall.session.open({ kind: 'sensor' });
    hall.goOn(2);
    hall.place = { round: 0, at: null };
    hall.goOn(3);
    hall.events!.onStrike({ at: 99.5 });
    hall.events!.onStrike({ at: 104 });
    expect(hall.heard).toEqual([]);
  });
  it('tells that a round is begun anew, and hears it as it goes then', async () => {
    await hall.session.open({ kind: 'sensor' });
    hall.goOn(5);
    hall.place = { round: 0, at: 0 };
    hall.goOn(2);
    hall.events!.onStrike({ at: hall.now - 1 });
    expect([hall.anew, hall.heard]).toEqual([[0], [[0, { at: 1 }]]]);
  });
  it('says why it hears nothing, and forgets it when it is opened again', async () => {
    hall.refusal = 'No strike sensor is there.';
    await expect(hall.session.open({ kind: 'sensor' })).rejects.toThrow('No strike sensor is there.');
    expect(hall.session.snapshot()).toMatchObject({ input: null, failure: 'No strike sensor is there.' });
    hall.refusal = null;
    await hall.session.open({ kind: 'motion' });
    expect(hall.session.snapshot()).toMatchObject({ failure: '', openedAt: { round: 0, at: 0 } });
    expect(hall.session.snapshot().input!.device).toBe('motion');
  });
  it('closes what comes when nobody waits for it any more, and hears nothing of it', async () => {
    const slow = hall.session.open({ kind: 'sensor' });
    hall.session.close();
    await slow;
    expect([hall.closed, hall.session.snapshot().input]).toEqual([['sensor'], null]);
    await hall.session.open({ kind: 'motion' });
    const old = hall.events!;
    await hall.session.open({ kind: 'microphone' });
    hall.goOn(2);
    old.onStrike({ at: 101 });
    old.onStatus!('The sensor is away.');
    expect([hall.closed, hall.heard, hall.session.snapshot().status]).toEqual([['sensor', 'motion'], [], '']);
  });
  it('gives the sound from the start of the round on when it is finished', async () => {
    await hall.session.open({ kind: 'microphone', keepsSound: true });
    hall.goOn(3);
    expect(await hall.session.finish(0)).toMatchObject({ from: -1 });
    expect([hall.closed, await hall.session.finish(0)]).toEqual([['microphone'], null]);
  });
});
