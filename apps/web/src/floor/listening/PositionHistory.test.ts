import { PositionHistory } from './PositionHistory.ts';

/** Goes on in a round from a position, looked at four times a second. */
function goesOn(history: PositionHistory, round: number, from: number, at: number, until: number): void {
  for (let now = at; now <= until; now += 0.25) history.note(round, from + now - at, now);
}

/** A round that stood at 0 when the page's clock stood at 50. */
function running(until: number): PositionHistory {
  const history = new PositionHistory();
  history.note(0, null, 49.9);
  goesOn(history, 0, 0, 50, until);
  return history;
}

describe('where in a round a strike lay', () => {
  it('is reported about one that was just heard, and of one that is reported ten seconds late', () => {
    const history = running(62);
    expect(history.at(61.9)).toEqual({ round: 0, at: 11.9 });
    expect(history.at(62.05)).toEqual({ round: 0, at: 12.05 });
    expect(history.at(52.5)).toEqual({ round: 0, at: 2.5 });
  });
  it('is nowhere before the round began, while it stands still, and longer ago than is remembered', () => {
    const history = running(52);
    expect(history.at(49.95)).toBeNull();
    history.note(0, null, 52.5);
    history.note(0, null, 52.75);
    expect([history.at(52.6), history.at(52.8)]).toEqual([null, null]);
    goesOn(history, 0, 2.5, 53, 150);
    expect(history.at(51)).toBeNull();
  });
  it('is the last second of a round whose end was seen before the strike was reported', () => {
    const history = running(56);
    history.note(0, null, 56.25);
    expect(history.at(56.1)).toEqual({ round: 0, at: 6.1 });
    const other = running(56);
    goesOn(other, 1, 0.05, 56.25, 57);
    expect([other.at(56.1), other.at(56.22)]).toEqual([
      { round: 0, at: 6.1 },
      { round: 1, at: 0.02 },
    ]);
  });
  it('stays where it lay though the round stopped, was moved on, or is another one since', () => {
    const history = running(56);
    history.note(0, null, 57);
    goesOn(history, 0, 6.1, 58, 59);
    goesOn(history, 0, 30, 59.25, 60);
    goesOn(history, 1, 0, 60.25, 65);
    expect([53, 58.5, 59.5, 61.25].map((instant) => history.at(instant))).toEqual([
      { round: 0, at: 3 },
      { round: 0, at: 6.6 },
      { round: 0, at: 30.25 },
      { round: 1, at: 1 },
    ]);
  });
  it('is nowhere in a round that was begun anew since', () => {
    const history = running(56);
    goesOn(history, 0, 0, 56.25, 58);
    expect([history.at(53), history.at(57.25)]).toEqual([null, { round: 0, at: 1 }]);
    const left = running(56);
    goesOn(left, 1, 0, 56.25, 58);
    goesOn(left, 0, 0, 58.25, 60);
    expect([left.at(53), left.at(57.25), left.at(59.25)]).toEqual([
      null,
      { round: 1, at: 1 },
      { round: 0, at: 1 },
    ]);
  });
  it('tells that a round is begun anew, also where another one or a rest came in between', () => {
    const history = running(56);
    expect(history.note(0, 5.9, 56.2)).toBe(false);
    expect(history.note(1, 0, 56.4)).toBe(false);
    expect(history.note(0, null, 57)).toBe(false);
    expect(history.note(0, 0.1, 58)).toBe(true);
    expect(history.note(0, 0.35, 58.25)).toBe(false);
    // A burst stands before its bell first.
    expect([history.note(2, -3, 60), history.note(2, 10, 73)]).toEqual([false, false]);
    expect([history.note(0, 0.5, 73.2), history.note(2, -3, 80), history.note(2, 0.2, 83)]).toEqual([
      false,
      true,
      false,
    ]);
  });
});
