import { findLine } from '@eurhythm/core/strikes';
import { evaluateTrial, type HeardTrial } from '@eurhythm/core/speed';
import type { CourseView } from '@eurhythm/contract';
import { askedAbout, burstInFile, burstText, comboInFile } from './fileTrial.ts';
import type { HeardFile } from './readSound.ts';

const file: HeardFile = {
  name: 'bag <1>.wav',
  at: '2026-03-05T18:30:00Z',
  sound: null,
  seconds: 30,
  onsets: [],
  hasMusic: false,
  detector: 'strikes 1',
};
const of = { fighterId: 'ines', lead: 'left', at: '2026-03-05T18:30:00Z' } as const;

describe('what is stored of a file', () => {
  it('is each time through the combo that was found in it, and nothing that lies far from them', () => {
    const times = [2, 6, 10].flatMap((from) => [0, 0.5, 1].map((beat) => ({ at: from + beat })));
    const onsets = [...times, { at: 20 }, { at: 10.2, doubtful: true }].sort((a, b) => a.at - b.at);
    const fit = findLine(
      times.map(({ at }) => at),
      { id: 'c', beats: [0, 1, 2] },
    )!;
    const attempt = comboInFile(file, onsets, fit, { title: 'Ebb 1', line: '1 2 1' }, of);
    expect(attempt).toMatchObject({
      kind: 'combo-time',
      line: '1 2 1',
      measured: 'file',
      heard: { starts: [0, 3, 6] },
    });
    expect(attempt.instants).toHaveLength(9);
    expect(attempt.heard!.device).toBe('bag 1.wav');
    expect(evaluateTrial({ kind: 'combo-time', seconds: 10 }, attempt.heard as HeardTrial)).toMatchObject({
      value: 1,
      times: [1, 1, 1],
    });
  });
  it('is a burst from its first strike on, as if a bell had rung just before', () => {
    const onsets = Array.from({ length: 60 }, (_, i) => ({ at: 5 + i * 0.25 }));
    const burst = burstInFile(file, onsets, { title: 'Two straights', seconds: 10, from: 6.9 }, of)!;
    expect(burst.instants[0]).toBe(0.12);
    expect(burst.instants).toHaveLength(40);
    expect(burst.heard!.due).toBeNull();
    expect(burstInFile(file, onsets, { title: 'x', seconds: 10, from: 100 }, of)).toBeNull();
  });
});

describe('what is said of a burst before it is stored', () => {
  const onsets = Array.from({ length: 60 }, (_, i) => ({ at: 5 + i * 0.25 }));
  const burst = burstInFile(file, onsets, { title: 'Two straights', seconds: 10, from: 5 }, of)!;
  const course = (usual: CourseView['usual'], more: Partial<CourseView> = {}) =>
    ({
      ...{ title: 'Two straights', kind: 'burst', unit: null, seconds: 10, lead: 'left', usual },
      ...more,
    }) as CourseView;

  it('is how many, how fast and how evenly', () => {
    expect(burstText(burst)).toBe('40 strikes in 10 s, 4.0 a second; the gaps differ by 0 % of their mean.');
    expect(burstText({ ...burst, instants: [1] })).toBe('1 strike in 10 s, 0.1 a second.');
  });
  it('asks whether it is the right person where a child usually does 19', () => {
    const child = course({ low: 17, high: 21 });
    expect(askedAbout(burst, [child])).toMatch(
      /^40 strikes in 10 s is 2\.1 times the usual 19 strikes in 10 s\./,
    );
    expect(askedAbout(burst, [course({ low: 36, high: 42 })])).toBe('');
    expect(askedAbout(burst, [course({ low: 17, high: 21 }, { lead: 'right' })])).toBe('');
    expect(askedAbout(burst, [])).toBe('');
  });
});
