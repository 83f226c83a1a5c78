import { USUAL_COMBO_BLOCK, USUAL_BURST_TITLE } from '@eurhythm/core/rounds';
import type { ComboView, GradeView, LibraryItem, TechniqueDto } from '@eurhythm/contract';
import { burst, counted, rest, round, shadow, talk } from './starterPieces.ts';

/** A test shows this many combos at most, the newest numbers first: those are the grade's own. */
const MOST_COMBOS = 6;
const MOST_TECHNIQUES = 6;

/**
 * The session in which a grade is tested, from what the gym has written: its techniques on the count, its combos called once
 * from each lead, and a burst from each lead. Null when there is nothing to show yet.
 */
export function gradeTest(
  grade: GradeView,
  combos: readonly ComboView[],
  techniques: readonly TechniqueDto[],
  nameOf: (move: string) => string | null,
): LibraryItem | null {
  const own = combos.filter((combo) => combo.gradeId === grade.id).slice(-MOST_COMBOS);
  const shown = techniques.flatMap(({ move, comboId, sides }) => {
    const combo = combos.find((each) => each.id === comboId);
    const line = combo?.line ?? move ?? '';
    const title = combo?.title ?? nameOf(line);
    return title ? [counted(title, line, 5, { sides })] : [];
  });
  if (own.length === 0 && shown.length === 0) return null;
  const id = `test-${grade.id}`;
  const rounds = [
    round(`${id}-1`, 'Warm up', 'warm-up', [
      talk('Test', `What is asked for ${grade.name}, and in which order.`, 60),
      shadow(240, ['Hands high', 'Light feet', 'Change lead'], { every: { min: 10, max: 16 } }),
      rest(30),
    ]),
    ...(shown.length > 0
      ? [round(`${id}-2`, 'Technique', 'technique', [...shown.slice(0, MOST_TECHNIQUES), rest(40)])]
      : []),
    ...own.map((combo, i) =>
      round(`${id}-${3 + i}`, `${grade.name} ${combo.number}`, 'combos', [
        {
          ...USUAL_COMBO_BLOCK,
          seconds: 60,
          combos: [{ comboId: combo.id }],
          bpm: combo.bpm,
          calls: 'lead-in',
          words: 'combo-number',
          cyclesEach: 2,
        },
        rest(30),
      ]),
    ),
    round(`${id}-${3 + own.length}`, 'Speed', 'conditioning', [
      talk('First lead', 'Take your own lead.', 10),
      burst(USUAL_BURST_TITLE),
      rest(40),
      talk('Other lead', 'Change lead.', 10),
      burst(USUAL_BURST_TITLE),
      rest(40),
    ]),
  ];
  return {
    id: `starter.${id}`,
    title: `Test for ${grade.name}`,
    about: `What ${grade.name} has to show, from its own techniques and combos.`,
    own: false,
    version: 1,
    rounds,
  };
}
