import type { ComboView, RequirementDto, TestView } from '@eurhythm/contract';

/** What each kind is called where it is added. */
export const KIND_WORDS: Readonly<Record<RequirementDto['kind'], string>> = {
  combo: 'a combo, seen clean',
  test: 'a value of a test',
  rounds: 'rounds finished',
  sessions: 'classes come to',
  shown: 'something shown or known',
  time: 'time since the last grade',
};

/** A requirement as a coach would begin it. */
export function newRequirement(
  kind: RequirementDto['kind'],
  id: string,
  combos: readonly Pick<ComboView, 'id'>[],
  tests: readonly Pick<TestView, 'id'>[],
): RequirementDto {
  switch (kind) {
    case 'combo':
      return { id, kind, comboId: combos[0]?.id ?? '', bothLeads: true, bpm: null, times: 1 };
    case 'test':
      return { id, kind, testId: tests[0]?.id ?? '', value: NaN, bothLeads: false, times: 2 };
    case 'rounds':
      return { id, kind, count: 60, weeks: 12 };
    case 'sessions':
      return { id, kind, count: 12, weeks: 12 };
    case 'shown':
      return { id, kind, text: '' };
    case 'time':
      return { id, kind, weeks: 12 };
    default:
      return kind satisfies never;
  }
}
