import { usesMove } from '@eurhythm/core/teach';
import { findMove, moveBook, type MoveBook } from '@eurhythm/core/moves';
import { kindOf } from '@eurhythm/core/rounds';
import { moveFromForm, type GymFile, type RoundDto } from '@eurhythm/contract';
import { PARTS, itemsOf, type Part } from './tableDescriptions.ts';
import type { WholeGymFile } from './readGym.ts';

/** What every part of a gym tells of itself. */
function head({
  format,
  version,
  madeAt,
}: WholeGymFile): Pick<GymFile, 'format' | 'version' | 'madeAt' | 'whole' | 'gym'> {
  return { format, version, madeAt, whole: false, gym: null };
}

/** The combos of a grade with their history, and the moves and numbers that their lines need. Null when there is no such grade. */
export function ofGrade(gym: WholeGymFile, gradeId: string): GymFile | null {
  const grades = gym.grades.filter(({ id }) => id === gradeId);
  if (grades.length === 0) return null;
  const combos = gym.combos.filter((combo) => combo.gradeId === gradeId);
  const ids = new Set(combos.map(({ id }) => id));
  return {
    ...head(gym),
    grades,
    ...movesOf(
      gym,
      combos.map(({ line }) => line),
    ),
    combos,
    comboVersions: gym.comboVersions.filter(({ comboId }) => ids.has(comboId)),
  };
}

/** A piece of the library, and the combos, grades and moves that it needs. Null when there is no such piece. */
export function ofLibrary(gym: WholeGymFile, id: string): GymFile | null {
  const library = gym.library.filter((item) => item.id === id);
  if (library.length === 0) return null;
  const blocks = library.flatMap(({ rounds }) => rounds).flatMap((round: RoundDto) => round.blocks);
  const named = new Set(
    blocks.flatMap((block) =>
      kindOf(block)
        .named(block)
        .map(({ comboId }) => comboId),
    ),
  );
  const combos = gym.combos.filter((combo) => named.has(combo.id));
  const graded = new Set(combos.map(({ gradeId }) => gradeId));
  return {
    ...head(gym),
    grades: gym.grades.filter((grade) => graded.has(grade.id)),
    ...movesOf(gym, [
      ...combos.map(({ line }) => line),
      ...blocks.flatMap((block) =>
        kindOf(block)
          .written(block)
          .map(({ line }) => line),
      ),
    ]),
    combos,
    library,
  };
}

/** Everything that is kept about a fighter, with the runs and tests that it belongs to. Null when there is no such fighter. */
export function ofFighter(gym: WholeGymFile, id: string, parts: readonly Part[] = PARTS): GymFile | null {
  // Of others there is nothing in it: not who trained beside, not who is to be kept apart.
  const fighters = gym.fighters
    .filter((fighter) => fighter.id === id)
    .map((fighter) => ({ ...fighter, apart: [] }));
  if (fighters.length === 0) return null;
  const own = Object.fromEntries(
    parts.flatMap(({ name, person }) =>
      person === null ? [] : [[name, itemsOf(gym, name)!.filter((item) => item[person] === id)]],
    ),
  ) as unknown as Pick<WholeGymFile, 'results' | 'attempts' | 'goals'>;
  const inRuns = new Set([
    ...gym.runs.filter(({ fighterIds }) => fighterIds.includes(id)).map((run) => run.id),
    ...[...own.results, ...own.attempts].flatMap(({ runId }) => runId ?? []),
  ]);
  const tested = new Set([...own.attempts, ...own.goals].map(({ testId }) => testId));
  return {
    ...head(gym),
    ...own,
    grades: gym.grades.filter((grade) => grade.id === fighters[0]!.gradeId),
    fighters,
    sheets: gym.sheets
      .filter(({ sheet }) => sheet.present.some(({ fighterId }) => fighterId === id))
      .map(({ sessionId, sheet }) => ({
        sessionId,
        sheet: { ...sheet, present: sheet.present.filter(({ fighterId }) => fighterId === id) },
      })),
    runs: gym.runs
      .filter((run) => inRuns.has(run.id))
      .map((run) => ({
        ...run,
        fighterIds: [id],
        groupOf: id in run.groupOf ? { [id]: run.groupOf[id]! } : {},
        partners: [],
      })),
    runEvents: gym.runEvents.filter(({ data }) => data['fighterId'] === id),
    tests: gym.tests.filter((test) => tested.has(test.id)),
  };
}

/** The moves that lines do, with their easier ones, and the numbers that are written in them. */
function movesOf(gym: WholeGymFile, lines: readonly string[]): Pick<GymFile, 'moves' | 'numbers'> {
  const book: MoveBook = moveBook(
    gym.moves.map(({ code, retired: _, ...form }) => moveFromForm(code, form)),
    gym.numbers,
  );
  const needed = new Set<string>();
  const need = (code: string): void => {
    if (needed.has(code)) return;
    needed.add(code);
    const easier = book.moves.get(code)?.easier;
    if (easier) need(easier);
  };
  for (const code of book.moves.keys()) if (lines.some((line) => usesMove(line, code, book))) need(code);
  const numbers = gym.numbers.filter(
    ({ number }) => findMove(book, String(number)) && needed.has(book.numbers.get(number)!.code),
  );
  return { moves: gym.moves.filter(({ code }) => needed.has(code)), numbers };
}
