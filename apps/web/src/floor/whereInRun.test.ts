import { whereInRun } from './whereInRun.ts';

const at = '2026-03-05T18:30:00.000Z';
const later = (seconds: number): number => Date.parse(at) + seconds * 1000;
const durations = [160, 220, 100];

describe('whereInRun', () => {
  it('begins at the beginning', () => {
    expect(whereInRun(null, durations, 0)).toEqual({ over: false, round: 0, position: 0, running: false });
  });
  it('waits while held', () => {
    const clock = { round: 1, position: 30.5, running: false, at };
    expect(whereInRun(clock, durations, later(500))).toEqual({
      over: false,
      round: 1,
      position: 30.5,
      running: false,
    });
  });
  it('goes on to the right second, over the ends of rounds', () => {
    const clock = { round: 0, position: 100, running: true, at };
    expect(whereInRun(clock, durations, later(12.25))).toMatchObject({
      round: 0,
      position: 112.25,
      running: true,
    });
    expect(whereInRun(clock, durations, later(60))).toMatchObject({ round: 1, position: 0 });
    expect(whereInRun(clock, durations, later(290))).toMatchObject({ round: 2, position: 10 });
    expect(whereInRun(clock, durations, later(400))).toEqual({ over: true });
  });
  it('does not go back when the clock of the machine was set back', () => {
    const clock = { round: 0, position: 100, running: true, at };
    expect(whereInRun(clock, durations, later(-3600))).toMatchObject({ position: 100 });
  });
});
