import { howMany } from '@eurhythm/core/units';
import { parseLine } from '@eurhythm/core/line';
import { easierChain, moveBook, type MoveBook } from '@eurhythm/core/moves';
import { blockFaults, combosById } from '@eurhythm/core/rounds';
import { moveFromForm, type FieldError, type GymFile, type RoundDto } from '@eurhythm/contract';
import { PARTS, itemsOf, keyOf, type Item, type Part, type PartName } from './tableDescriptions.ts';
import type { WholeGymFile } from './readGym.ts';

interface Broken {
  readonly errors: readonly FieldError[];
  /** Gaps that a whole gym had already, in sentences: it is brought in as it was. */
  readonly gaps: readonly string[];
}

/** What a thing of a list is called in a sentence. */
const THING: Partial<Record<PartName, string>> = {
  grades: 'This grade',
  combos: 'This combo',
  fighters: 'This fighter',
  sessions: 'This session',
  tests: 'This test',
  runs: 'This run',
};

/** The gym with the file in it, as its lines and rounds are read. */
interface After {
  readonly gym: WholeGymFile;
  readonly book: MoveBook;
  readonly combos: ReturnType<typeof combosById>;
  /** How many rounds each run has. */
  readonly roundsOf: ReadonlyMap<string, number>;
}

type Tell = (field: string, message: string) => void;
/** What is wrong with a thing beside what its fields name. */
type Check = (item: never, after: After, tell: Tell) => void;

/** What in a file names something that is not there afterwards, or cannot be read; `after` is the gym with the file in it. */
export function brokenReferences(file: GymFile, after: WholeGymFile, parts: readonly Part[] = PARTS): Broken {
  const errors: FieldError[] = [];
  const gaps: string[] = [];
  const keys = new Map(
    parts.map((part) => [part.name, new Set(itemsOf(after, part.name)?.map((item) => keyOf(part, item)))]),
  );
  const known = readAfter(after);
  for (const part of parts)
    for (const [i, item] of (itemsOf(file, part.name) ?? []).entries()) {
      const tell: Tell = (field, message) =>
        void errors.push({ field: `${part.name}.${i}.${field}`, message });
      for (const [field, to] of Object.entries(part.refers))
        if (!isThere(item[field], keys.get(to)))
          tell(field, neither(THING[to] ?? `“${String(item[field])}”`));
      OWN_CHECKS[part.name]?.(item as never, known, tell);
      for (const { field, place, message } of roundFaults(item, known))
        if (file.whole) gaps.push(`${place}: ${message}`);
        else tell(field, message);
    }
  for (const [i, { number }] of (file.numbers ?? []).entries())
    if (file.numbers!.findIndex((other) => other.number === number) < i)
      errors.push({ field: `numbers.${i}.number`, message: `${number} stands for two moves.` });
  return { errors, gaps };
}

const isThere = (key: unknown, known: ReadonlySet<string> | undefined): boolean =>
  key === null || key === undefined || known?.has(String(key)) === true;

const neither = (what: string): string => `${what} is neither in this file nor in the gym.`;

function readAfter(gym: WholeGymFile): After {
  const moves = gym.moves.map(({ code, retired: _, ...form }) => moveFromForm(code, form));
  const gradeOf = new Map(gym.grades.map(({ id, name }) => [id, name]));
  const combos = combosById(
    gym.combos.map((combo) => ({ ...combo, grade: gradeOf.get(combo.gradeId) ?? '' })),
  );
  const roundsOf = new Map(gym.runs.map(({ id, rounds }) => [id, rounds.length]));
  return { gym, book: moveBook(moves, gym.numbers), combos, roundsOf };
}

function readLine(line: string, { book }: After, field: string, tell: Tell): void {
  const parsed = parseLine(line, book);
  if (!parsed.ok) tell(field, parsed.errors[0]!.message);
}

type Of<K extends PartName> = NonNullable<GymFile[K]>[number];

const OWN_CHECKS: Partial<Record<PartName, Check>> = {
  moves: ({ code }: Of<'moves'>, { book }, tell) => {
    if (easierChain(book.moves, code).circular) tell('easier', 'The easier moves go in a circle.');
  },
  numbers: ({ code }: Of<'numbers'>, { book }, tell) => {
    if (!book.moves.has(code)) tell('code', neither(`The move “${code}”`));
  },
  combos: ({ line }: Of<'combos'>, after, tell) => readLine(line, after, 'line', tell),
  techniques: ({ techniques }: Of<'techniques'>, after, tell) => {
    for (const [j, { comboId, move }] of techniques.entries()) {
      if (comboId === null || comboId === undefined)
        readLine(move ?? '', after, `techniques.${j}.move`, tell);
      else if (!after.combos.has(comboId)) tell(`techniques.${j}.comboId`, neither(THING.combos!));
    }
  },
  sheets: ({ sheet }: Of<'sheets'>, { gym }, tell) => {
    const fighters = new Set(gym.fighters.map(({ id }) => id));
    for (const [j, { fighterId }] of sheet.present.entries())
      if (!fighters.has(fighterId)) tell(`sheet.present.${j}.fighterId`, neither(THING.fighters!));
  },
  tests: ({ line }: Of<'tests'>, after, tell) => {
    if (line !== null) readLine(line, after, 'line', tell);
  },
  results: ({ runId, round }: Of<'results'>, { roundsOf }, tell) => {
    const rounds = roundsOf.get(runId);
    if (rounds !== undefined && round >= rounds) tell('round', `This run has ${howMany(rounds, 'round')}.`);
  },
};

interface RoundFault {
  readonly field: string;
  /** In words. */
  readonly place: string;
  readonly message: string;
}

/** What is wrong in the rounds of a thing that will be held; a run was. */
function roundFaults({ title, rounds, endedAt }: Item, { book, combos }: After): RoundFault[] {
  if (!Array.isArray(rounds) || endedAt !== undefined) return [];
  return (rounds as readonly RoundDto[]).flatMap(({ blocks }, i) =>
    blocks.flatMap((block, j) =>
      blockFaults(block, combos, book).map(({ field, message }) => ({
        field: `rounds.${i}.blocks.${j}.${field}`,
        place: `“${String(title)}”, round ${i + 1}`,
        message,
      })),
    ),
  );
}
