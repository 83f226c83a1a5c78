import { howMany } from '@eurhythm/core/units';
import { goneMark } from '../../store/goneMark.ts';
import { moveBook, type MoveBook } from '@eurhythm/core/moves';
import { withLines, type WrittenBlock } from '@eurhythm/core/rounds';
import { renumberLine } from '@eurhythm/core/teach';
import {
  moveFromForm,
  type FileCombo,
  type FileFighter,
  type FileMove,
  type GymFile,
  type NumberedMoveDto,
  type RoundDto,
} from '@eurhythm/contract';
import { changedRounds } from '../../sessions/changedRounds.ts';
import type { WholeGymFile } from './readGym.ts';

/** A file as it fits into this gym, and what had to be made to fit, in sentences. */
export interface AdaptedFile {
  readonly file: GymFile;
  readonly notes: readonly string[];
}

type Step = (here: WholeGymFile, file: GymFile, notes: string[]) => GymFile;

/** Puts a file into the terms of the gym that it is brought into. */
export function adaptFile(here: WholeGymFile, file: GymFile): AdaptedFile {
  const notes: string[] = [];
  const steps: readonly Step[] = [
    withOwnGrades,
    withOwnMoves,
    withOwnNumbers,
    withFreeNumbers,
    withNewerMarks,
    withEventsInPlace,
    withoutRemoved,
  ];
  return { file: steps.reduce((now, step) => step(here, now, notes), file), notes };
}

/** A grade that this gym has under another id is the one that it has. */
function withOwnGrades(here: WholeGymFile, file: GymFile, notes: string[]): GymFile {
  const own = new Map(here.grades.map(({ id, name }) => [name.trim().toLowerCase(), id]));
  const known = new Set(here.grades.map(({ id }) => id));
  const ids = new Map<string, string>();
  for (const { id, name } of file.grades ?? []) {
    const other = own.get(name.trim().toLowerCase());
    if (known.has(id) || other === undefined || other === id) continue;
    ids.set(id, other);
    notes.push(`“${name}” of the file is the grade “${name}” that is here.`);
  }
  if (ids.size === 0) return file;
  const idOf = (id: string): string => ids.get(id) ?? id;
  const graded = <T extends { readonly gradeId: string }>(items: readonly T[] | undefined): T[] | undefined =>
    items?.map((item) => ({ ...item, gradeId: idOf(item.gradeId) }));
  return cleared({
    ...file,
    grades: file.grades?.filter(({ id }) => !ids.has(id)),
    combos: graded(file.combos),
    comboVersions: file.comboVersions?.map((each) => ({
      ...each,
      combo: { ...each.combo, gradeId: idOf(each.combo.gradeId) },
    })),
    techniques: graded(file.techniques),
    fighters: graded(file.fighters),
    moves: file.moves?.map((move) => ({
      ...move,
      minGrade: move.minGrade === null ? null : idOf(move.minGrade),
    })),
    sessions: file.sessions?.map((session) => ({
      ...session,
      groups: (session.groups ?? []).map((group) => ({ ...group, gradeIds: group.gradeIds.map(idOf) })),
    })),
  });
}

/** A part of a gym brings the moves that are missing here; those that are here stay as this gym has them. */
function withOwnMoves(here: WholeGymFile, file: GymFile): GymFile {
  if (file.whole || !file.moves) return file;
  const own = new Map(here.moves.map((move) => [move.code, move]));
  const grades = new Set([...here.grades, ...(file.grades ?? [])].map(({ id }) => id));
  // The grade that trains a move may be none of those that came along.
  const graded = (move: FileMove): FileMove =>
    move.minGrade === null || grades.has(move.minGrade) ? move : { ...move, minGrade: null };
  return { ...file, moves: file.moves.map((move) => own.get(move.code) ?? graded(move)) };
}

/** A part of a gym does not change the number map: its lines are written anew where the numbers mean something else here. */
function withOwnNumbers(here: WholeGymFile, file: GymFile, notes: string[]): GymFile {
  if (file.whole || !file.numbers) return file;
  const codes = new Set(here.moves.map(({ code }) => code));
  const all = [...here.moves, ...(file.moves ?? []).filter(({ code }) => !codes.has(code))];
  const theirs = bookOf(all, file.numbers);
  const own = bookOf(all, here.numbers);
  let n = 0;
  const change = (line: string): string | null => {
    const written = renumberLine(line, theirs, own);
    if (written !== null) n += 1;
    return written;
  };
  const inLine = (line: string): string => change(line) ?? line;
  const inRounds = (rounds: RoundDto[]): RoundDto[] =>
    changedRounds(rounds, (block: WrittenBlock) => withLines(block, change));
  const adapted = cleared({
    ...file,
    numbers: undefined,
    combos: file.combos?.map((combo) => ({ ...combo, line: inLine(combo.line) })),
    comboVersions: file.comboVersions?.map((each) => ({
      ...each,
      combo: { ...each.combo, line: inLine(each.combo.line) },
    })),
    sessions: file.sessions?.map((session) => ({ ...session, rounds: inRounds(session.rounds) })),
    library: file.library?.map((item) => ({ ...item, rounds: inRounds(item.rounds) })),
    runs: file.runs?.map((run) => ({ ...run, rounds: inRounds(run.rounds) })),
    tests: file.tests?.map((test) => ({ ...test, line: test.line === null ? null : inLine(test.line) })),
    techniques: file.techniques?.map((list) => ({
      ...list,
      techniques: list.techniques.map((each) => ({
        ...each,
        move: each.move === null ? null : inLine(each.move),
      })),
    })),
  });
  if (n > 0)
    notes.push(
      `${howMany(n, 'line is', 'lines are')} written anew: the numbers of the file mean other moves here.`,
    );
  return adapted;
}

function bookOf(moves: readonly FileMove[], numbers: readonly NumberedMoveDto[]): MoveBook {
  return moveBook(
    moves.map(({ code, retired: _, ...form }) => moveFromForm(code, form)),
    numbers,
  );
}

/** Two combos of a grade never have one number: the one that is brought in takes the next free one. */
function withFreeNumbers(here: WholeGymFile, file: GymFile, notes: string[]): GymFile {
  if (!file.combos) return file;
  const inFile = new Set(file.combos.map(({ id }) => id));
  const taken = new Map<string, FileCombo>();
  const placeOf = ({ gradeId, number }: Pick<FileCombo, 'gradeId' | 'number'>): string =>
    `${gradeId} ${number}`;
  for (const combo of here.combos)
    if (!combo.retired && !inFile.has(combo.id)) taken.set(placeOf(combo), combo);
  const before = new Map(here.combos.map((combo) => [combo.id, combo]));
  const combos = file.combos.map((combo) => {
    if (combo.retired) return combo;
    const other = taken.get(placeOf(combo));
    if (!other) {
      taken.set(placeOf(combo), combo);
      return combo;
    }
    const { id, gradeId } = combo;
    const kept = before.get(id);
    // Brought in before, it has found its number already.
    const numbered = { ...combo, number: kept?.gradeId === gradeId ? kept.number : 1 };
    while (taken.has(placeOf(numbered)) && numbered.number < 99) numbered.number += 1;
    taken.set(placeOf(numbered), numbered);
    notes.push(`“${combo.title}” takes number ${numbered.number}: ${combo.number} is “${other.title}” here.`);
    return numbered;
  });
  return { ...file, combos };
}

/** Of two words about who may train the newer one stands, wherever the file comes from. */
function withNewerMarks(here: WholeGymFile, file: GymFile, notes: string[]): GymFile {
  if (!file.fighters) return file;
  const known = new Map(here.fighters.map((fighter) => [fighter.id, fighter]));
  const timeOf = ({ fitAt }: FileFighter): number => (fitAt === null ? 0 : Date.parse(fitAt));
  return {
    ...file,
    fighters: file.fighters.map((fighter) => {
      const kept = known.get(fighter.id);
      if (!kept || timeOf(kept) <= timeOf(fighter)) return fighter;
      const { fit, fitReason, fitBy, fitAt } = kept;
      if (fit !== fighter.fit)
        notes.push(
          `${kept.name} stays ${fit ? 'fit' : 'not fit'} to train: that was said after this file was made.`,
        );
      return { ...fighter, fit, fitReason, fitBy, fitAt };
    }),
  };
}

/** Steps that the log of a run has already stay; new ones come behind them. */
function withEventsInPlace(here: WholeGymFile, file: GymFile): GymFile {
  if (!file.runEvents) return file;
  const known = new Set(here.runEvents.map(({ runId, id }) => `${runId} ${id}`));
  const last = new Map<string, number>();
  for (const { runId, sequence } of here.runEvents) last.set(runId, Math.max(last.get(runId) ?? 0, sequence));
  const runEvents = file.runEvents
    .filter(({ runId, id }) => !known.has(`${runId} ${id}`))
    .sort((a, b) => a.sequence - b.sequence)
    .map((event) => {
      const sequence = (last.get(event.runId) ?? 0) + 1;
      last.set(event.runId, sequence);
      return { ...event, sequence };
    });
  return { ...file, runEvents };
}

/** What was taken out stays out. */
function withoutRemoved(here: WholeGymFile, file: GymFile): GymFile {
  // Files of earlier releases name the trials themselves.
  const removed = file.removedAttempts?.map((each) => ({ ...each, id: goneMark(each.id) }));
  const gone = new Set([...here.removedAttempts, ...(removed ?? [])].map(({ id }) => id));
  return {
    ...file,
    ...(removed ? { removedAttempts: removed } : {}),
    ...(file.attempts ? { attempts: file.attempts.filter(({ id }) => !gone.has(goneMark(id))) } : {}),
  };
}

/** Without the lists that are not there. */
function cleared(file: { [K in keyof GymFile]: GymFile[K] | undefined }): GymFile {
  return Object.fromEntries(
    Object.entries(file).filter(([, value]) => value !== undefined),
  ) as unknown as GymFile;
}
