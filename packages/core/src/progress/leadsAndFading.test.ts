import { evenCourses, evenness, neglectedLead } from './evenness.ts';
import { course } from './course.ts';
import { evennessSentence } from './verdictWords.ts';
import { fading, fadingWithin } from './fading.ts';

describe('evenness', () => {
  it('is in percent of the mean, right less left', () => {
    expect(evenness({ left: [18], right: [22] }, 1, 'higher')!.percent).toBe(20);
  });

  it('names the lead that is behind only where the interval leaves no doubt', () => {
    const even = { left: [22, 23, 24], right: [23, 23, 24] };
    const uneven = { left: [18, 18, 19], right: [23, 23, 24] };
    expect(evenness(even, 1, 'higher')!.behind).toBeNull();
    expect(evenness(uneven, 1, 'higher')!.behind).toBe('left');
    expect(evenness(uneven, 1, 'lower')!.behind).toBe('right');
  });

  it('is not reported where a lead was not tried or the error is not known', () => {
    expect(evenness({ left: [], right: [22] }, 1, 'higher')).toBeNull();
    expect(evenness({ left: [20], right: [22] }, null, 'higher')).toBeNull();
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
    expect(reported).toMatch(/^The left lead is behind by 18 % \(16 to 20 % in nine of ten cases/);
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
