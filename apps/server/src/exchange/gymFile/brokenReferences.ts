import { parseLine } from '@eurhythm/core/line';
import { easierChain, moveBook } from '@eurhythm/core/moves';
import { blockFaults, combosById } from '@eurhythm/core/rounds';
import { moveFromForm, type FieldError, type GymFile, type RoundDto } from '@eurhythm/contract';
import type { WholeGymFile } from './readGym.ts';

interface Broken {
  readonly errors: readonly FieldError[];
  /** Gaps that a whole gym had already, in sentences: it is brought in as it was. */
  readonly gaps: readonly string[];
}

/** What in a file names something that is not there afterwards, or cannot be read; `after` is the gym with the file in it. */
export function brokenReferences(file: GymFile, after: WholeGymFile): Broken {
  const moves = after.moves.map(({ code, retired: _, ...form }) => moveFromForm(code, form));
  const book = moveBook(moves, after.numbers);
  const ids = (list: readonly { readonly id: string }[]): ReadonlySet<string> =>
    new Set(list.map(({ id }) => id));
  const [grades, combos, fighters] = [ids(after.grades), ids(after.combos), ids(after.fighters)];
  const [sessions, tests] = [ids(after.sessions), ids(after.tests)];
  const runs = new Map(after.runs.map((run) => [run.id, run]));
  const gradeOf = new Map(after.grades.map(({ id, name }) => [id, name]));
  const known = combosById(
    after.combos.map((combo) => ({ ...combo, grade: gradeOf.get(combo.gradeId) ?? '' })),
  );
  const errors: FieldError[] = [];
  const gaps: string[] = [];
  const tell = (field: string, message: string): void => void errors.push({ field, message });
  const must = (isThere: boolean, field: string, what: string): void => {
    if (!isThere) tell(field, `${what} is neither in this file nor in the gym.`);
  };
  const readable = (line: string, field: string): void => {
    const parsed = parseLine(line, book);
    if (!parsed.ok) tell(field, parsed.errors[0]!.message);
  };
  const soundRounds = (title: string, rounds: readonly RoundDto[], under: string): void => {
    for (const [i, { blocks }] of rounds.entries())
      for (const [j, block] of blocks.entries())
        for (const { field, message } of blockFaults(block, known, book))
          if (file.whole) gaps.push(`“${title}”, round ${i + 1}: ${message}`);
          else tell(`${under}.rounds.${i}.blocks.${j}.${field}`, message);
  };
  const numbered = new Set<number>();
  for (const [i, { number, code }] of (file.numbers ?? []).entries()) {
    must(book.moves.has(code), `numbers.${i}.code`, `The move “${code}”`);
    if (numbered.has(number)) tell(`numbers.${i}.number`, `${number} stands for two moves.`);
    numbered.add(number);
  }
  for (const [i, { code, easier, minGrade }] of (file.moves ?? []).entries()) {
    if (easier !== null && easier !== undefined)
      must(book.moves.has(easier), `moves.${i}.easier`, `The move “${easier}”`);
    if (easierChain(book.moves, code).circular) tell(`moves.${i}.easier`, 'The easier moves go in a circle.');
    if (minGrade !== null) must(grades.has(minGrade), `moves.${i}.minGrade`, 'This grade');
  }
  for (const [i, { gradeId, line }] of (file.combos ?? []).entries()) {
    must(grades.has(gradeId), `combos.${i}.gradeId`, 'This grade');
    readable(line, `combos.${i}.line`);
  }
  for (const [i, { comboId }] of (file.comboVersions ?? []).entries())
    must(combos.has(comboId), `comboVersions.${i}.comboId`, 'This combo');
  for (const [i, { gradeId, techniques }] of (file.techniques ?? []).entries()) {
    must(grades.has(gradeId), `techniques.${i}.gradeId`, 'This grade');
    for (const [j, { comboId, move }] of techniques.entries()) {
      const at = `techniques.${i}.techniques.${j}`;
      if (comboId !== null && comboId !== undefined) must(combos.has(comboId), `${at}.comboId`, 'This combo');
      else readable(move ?? '', `${at}.move`);
    }
  }
  for (const [i, { gradeId }] of (file.fighters ?? []).entries())
    must(grades.has(gradeId), `fighters.${i}.gradeId`, 'This grade');
  for (const [i, { title, rounds }] of (file.sessions ?? []).entries())
    soundRounds(title, rounds, `sessions.${i}`);
  for (const [i, { title, rounds }] of (file.library ?? []).entries())
    soundRounds(title, rounds, `library.${i}`);
  for (const [i, { sessionId, sheet }] of (file.sheets ?? []).entries()) {
    must(sessions.has(sessionId), `sheets.${i}.sessionId`, 'This session');
    for (const [j, { fighterId }] of sheet.present.entries())
      must(fighters.has(fighterId), `sheets.${i}.sheet.present.${j}.fighterId`, 'This fighter');
  }
  for (const [i, { line }] of (file.tests ?? []).entries())
    if (line !== null) readable(line, `tests.${i}.line`);
  for (const [i, { sessionId }] of (file.runs ?? []).entries())
    must(sessions.has(sessionId), `runs.${i}.sessionId`, 'This session');
  for (const [i, { runId }] of (file.runEvents ?? []).entries())
    must(runs.has(runId), `runEvents.${i}.runId`, 'This run');
  for (const [i, { runId, fighterId, round }] of (file.results ?? []).entries()) {
    const run = runs.get(runId);
    must(run !== undefined, `results.${i}.runId`, 'This run');
    must(fighters.has(fighterId), `results.${i}.fighterId`, 'This fighter');
    if (run && round >= run.rounds.length)
      tell(`results.${i}.round`, `This run has ${run.rounds.length} rounds.`);
  }
  for (const [i, { fighterId, runId, testId }] of (file.attempts ?? []).entries()) {
    must(fighters.has(fighterId), `attempts.${i}.fighterId`, 'This fighter');
    if (runId !== null) must(runs.has(runId), `attempts.${i}.runId`, 'This run');
    must(tests.has(testId), `attempts.${i}.testId`, 'This test');
  }
  for (const [i, { fighterId }] of (file.homeReports ?? []).entries())
    must(fighters.has(fighterId), `homeReports.${i}.fighterId`, 'This fighter');
  for (const [i, { gradeId }] of (file.requirements ?? []).entries())
    must(grades.has(gradeId), `requirements.${i}.gradeId`, 'This grade');
  for (const list of ['shownMarks', 'gradings', 'goals', 'recalls'] as const)
    for (const [i, { fighterId }] of (file[list] ?? []).entries())
      must(fighters.has(fighterId), `${list}.${i}.fighterId`, 'This fighter');
  for (const [i, { testId }] of (file.goals ?? []).entries())
    must(tests.has(testId), `goals.${i}.testId`, 'This test');
  return { errors, gaps };
}
