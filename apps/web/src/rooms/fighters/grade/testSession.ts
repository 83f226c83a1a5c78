import type {
  AnyBlockDto,
  ComboView,
  GradeCheckView,
  RoundDto,
  SaveSessionDto,
  TestView,
} from '@eurhythm/contract';
import { newBlock } from '../../sessions/kinds/kinds.ts';
import { measuringRound } from '../../sessions/builder/measuringRound.ts';
import { newRound } from '../../sessions/builder/newRound.ts';

/** A combo of a grade is seen for so long, half from each lead, at this tempo where the grade names none. */
const COMBO_SECONDS = 60;
const USUAL_BPM = 72;
/** A line of what is shown or known takes so long. */
const SHOWN_SECONDS = 60;

/** The session of a test day, from what a grade asks for: warm-up, each combo from both leads, each test, then what is shown. */
export function testSession(
  { grade, lines }: Pick<GradeCheckView, 'grade' | 'lines'>,
  tests: readonly TestView[],
  combos: readonly Pick<ComboView, 'id' | 'line'>[],
  newId: () => string,
): SaveSessionDto {
  const rounds = lines.flatMap(({ requirement, asked }): RoundDto[] => {
    const id = newId();
    const round = (title: string, kind: RoundDto['kind'], work: AnyBlockDto): RoundDto => ({
      id,
      kind,
      title: title.slice(0, 60),
      blocks: [work, newBlock('rest', `${id}-rest`, null)],
    });
    switch (requirement.kind) {
      case 'combo': {
        const { comboId = null, bpm } = requirement;
        const more = { seconds: COMBO_SECONDS, bpm: bpm ?? USUAL_BPM, leadPlan: 'halves' };
        return [
          round(asked, 'combos', { ...newBlock('combo', `${id}-work`, comboId), ...more } as AnyBlockDto),
        ];
      }
      case 'test': {
        const test = tests.find((each) => each.id === requirement.testId);
        const measured = test && measuringRound(test, combos, id);
        return measured ? [{ ...measured, title: asked.slice(0, 60) }] : [];
      }
      case 'shown': {
        const more = { title: asked.slice(0, 60), seconds: SHOWN_SECONDS };
        return [
          round(asked, 'technique', { ...newBlock('talk', `${id}-work`, null), ...more } as AnyBlockDto),
        ];
      }
      case 'rounds':
      case 'sessions':
      case 'time':
      case undefined:
        return [];
      default:
        return requirement.kind satisfies never;
    }
  });
  return {
    title: `Test day: ${grade}`,
    lead: 'left',
    plannedFor: null,
    word: '',
    groups: [],
    rounds: [newRound('warm-up', newId(), null), ...rounds],
  };
}
