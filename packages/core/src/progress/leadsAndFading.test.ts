import { evenCourses, evenness, neglectedLead } from './evenness.ts';
import { course } from './trials/course.ts';
import { evennessSentence } from './words/verdictWords.ts';
import { classDays, virtualTrials } from '../simulation/index.ts';
import { seededRandom } from '../units/index.ts';
import { fading, fadingWithin } from './fading.ts';

describe('evenness', () => {
  const days = (...values: number[]) =>
    values.map((value, i) => ({ day: `2026-03-0${i + 1}`, values: [value, value] }));

  it('is in percent of the stronger lead', () => {
    const uneven = { left: days(31.4, 31.4), right: days(23.9, 23.9) };
    expect(Math.round(evenness(uneven, 0.5, 'higher')!.percent)).toBe(-24);
    // Of two times the shorter one is the stronger: 2 s are a third more than 1.5 s.
    const times = { left: days(1.5, 1.5), right: days(2, 2) };
    expect(evenness(times, 0.01, 'lower')!.percent).toBeCloseTo(-100 / 3, 9);
    expect(evenness(times, 0.01, 'lower')!.behind).toBe('right');
  });

  it('names the lead that is behind only where the interval leaves no doubt', () => {
    const even = { left: days(22, 23, 24), right: days(23, 23, 24) };
    const uneven = { left: days(18, 18, 19), right: days(23, 23, 24) };
    expect(evenness(even, 1, 'higher')!.behind).toBeNull();
    expect(evenness(uneven, 1, 'higher')!.behind).toBe('left');
    expect(evenness(uneven, 1, 'lower')!.behind).toBe('right');
  });

  it('is not reported where a lead was tried on one day, or the error is not known', () => {
    expect(evenness({ left: days(20), right: days(22, 23) }, 1, 'higher')).toBeNull();
    expect(evenness({ left: days(20, 21), right: days(22, 23) }, null, 'higher')).toBeNull();
  });

  it('calls one of twenty behind of those whose leads are even', () => {
    const random = seededRandom(8);
    const profile = { level: 24, perFourWeeks: 0, error: 1.2, dayError: 1, isCount: true };
    let behind = 0;
    const fighters = 1000;
    for (let i = 0; i < fighters; i++) {
      const [left, right] = [0, 1].map(() =>
        virtualTrials(profile, classDays('2026-01-05', 5, 7), 2, random),
      );
      if (evenness({ left: left!, right: right! }, 1.2, 'higher')!.behind) behind += 1;
    }
    expect(behind / fighters).toBeLessThan(0.06);
  });
});

describe('evenCourses', () => {
  const of = (measured: 'taps' | 'microphone', value: number) => {
    const days = Array.from({ length: 8 }, (_, i) => `2026-03-0${i + 1}`);
    const trials = days.flatMap((day) => [0, 1].map((more) => ({ day, value: value + more, measured })));
    return course(trials, { better: 'higher', today: '2026-03-09', errorOf: () => null });
  };

  it('takes the last six days of each, counted in one way', () => {
    expect(evenCourses(of('taps', 20), of('taps', 24), 'higher')).toMatchObject({
      behind: 'left',
      trials: { left: 12, right: 12 },
    });
    expect(evenCourses(of('taps', 20), of('microphone', 24), 'higher')).toBeNull();
  });

  it('is reported with what to do about it', () => {
    const reported = evennessSentence(evenCourses(of('taps', 20), of('taps', 24), 'higher')!);
    expect(reported).toMatch(/^The left lead is behind by 16 % \(\d+ to \d+ % in 19 of 20 cases/);
  });
});

describe('neglectedLead', () => {
  it('is reported where a class does less than three of ten rounds from the other lead', () => {
    expect(neglectedLead({ own: 25, other: 5 })).toBeCloseTo(1 / 6, 9);
    expect(neglectedLead({ own: 14, other: 6 })).toBeNull();
    expect(neglectedLead({ own: 10, other: 0 })).toBeNull();
  });
});

describe('fading', () => {
  it('needs three rounds', () => {
    expect(fading([3, 2])).toBeNull();
  });

  it('is what each round loses, with an interval', () => {
    expect(fading([4, 3, 2])!).toMatchObject({ rounds: 3 });
    expect(fading([4, 3, 2])!.percent).toBeCloseTo(100 / 3, 6);
    const uneven = fading([4, 3.2, 3.4, 2.9])!;
    expect(uneven.from).toBeLessThan(uneven.percent);
    expect(uneven.to).toBeGreaterThan(uneven.percent);
  });

  it('within a burst is that of its thirds', () => {
    const burst = (firstThird: number, lastThird: number) => ({ firstThird, lastThird });
    expect(fadingWithin([burst(4, 2), burst(4, 4)])).toBe(25);
    expect(fadingWithin([burst(0, 2)])).toBeNull();
  });
});
