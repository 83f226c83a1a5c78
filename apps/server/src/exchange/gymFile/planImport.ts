import { isDeepStrictEqual } from 'node:util';
import type { FieldError, GymFile, ImportReport } from '@eurhythm/contract';
import { AT_ONCE, letOthers } from '../../backup/letOthers.ts';
import { adaptFile } from './adaptFile.ts';
import { brokenReferences } from './brokenReferences.ts';
import { PARTS, itemsOf, keyOf, plain, type Item, type Part, type PartName } from './tableDescriptions.ts';
import type { WholeGymFile } from './readGym.ts';
import type { GymToWrite, PartToWrite } from './writeGym.ts';

/** What bringing in a file would do, or why it cannot be done. */
export type ImportPlan =
  | { readonly ok: true; readonly report: ImportReport; readonly write: GymToWrite }
  | { readonly ok: false; readonly errors: readonly FieldError[] };

/** So many faults of a file are reported. */
const MOST_TOLD = 50;

/**
 * Works out what bringing in a file does to a gym, and changes nothing. What has the same id takes the file's place, but for what
 * only grows: runs stay as they were held, and of two marks or of two words about who may train the newer one stands; of two of the
 * same instant that of the file, which somebody put right. A file that was brought in already does nothing.
 */
export async function planImport(
  here: WholeGymFile,
  wanted: GymFile,
  described: readonly Part[] = PARTS,
): Promise<ImportPlan> {
  const { file, notes } = adaptFile(here, wanted);
  const parts: Compared[] = [];
  for (const part of described.filter(({ name }) => name !== 'numbers')) {
    const items = itemsOf(file, part.name);
    if (items !== undefined) parts.push(await compared(part, itemsOf(here, part.name)!, items));
  }
  const after = (name: PartName): readonly Item[] =>
    parts.find((part) => part.name === name)?.all ?? itemsOf(here, name)!;
  const numbers = file.whole ? (itemsOf(file, 'numbers') ?? null) : null;
  const gym = file.gym && !isDeepStrictEqual(file.gym, here.gym) ? file.gym : null;
  const changesNumbers = numbers !== null && !isDeepStrictEqual(sorted(numbers), sorted(here.numbers));
  const tests = after('tests') as unknown as WholeGymFile['tests'];
  const whole = {
    ...Object.fromEntries(described.map(({ name }) => [name, after(name)])),
    numbers: numbers ?? here.numbers,
  } as unknown as WholeGymFile;
  const { errors, gaps } = brokenReferences(file, whole, described);
  if (errors.length > 0) return { ok: false, errors: errors.slice(0, MOST_TOLD) };
  return {
    ok: true,
    report: {
      done: false,
      notes: [...notes, ...gaps, ...parts.flatMap(({ late }) => (late > 0 ? [lateText(late)] : []))],
      parts: [
        ...(file.gym
          ? [{ name: 'settings of the gym', added: 0, changed: gym ? 1 : 0, same: gym ? 0 : 1 }]
          : []),
        ...(numbers
          ? [{ name: 'number map', added: 0, changed: changesNumbers ? 1 : 0, same: changesNumbers ? 0 : 1 }]
          : []),
        ...parts.map(({ name, added, changed, same }) => ({
          name: described.find((part) => part.name === name)!.label,
          added: added.length,
          changed: changed.length,
          same,
        })),
      ],
    },
    write: { gym, numbers: changesNumbers ? numbers : null, parts, tests },
  };
}

const sorted = (numbers: readonly unknown[]): Item[] =>
  plain(numbers as Item[]).sort((a, b) => Number(a['number']) - Number(b['number']));

interface Compared extends PartToWrite {
  readonly same: number;
  /** So many of the file are other than what stands here, and older. */
  readonly late: number;
}

const lateText = (late: number): string =>
  late === 1
    ? 'One mark of the file is older than what was marked since; it stays as it is here.'
    : `${late} marks of the file are older than what was marked since; they stay as they are here.`;

/** What a file says nothing of and what stays as it is here. */
function keptFields({ keeps }: Part, raw: Item, kept: Item): Item {
  return Object.fromEntries(keeps.filter((key) => raw[key] === undefined).map((key) => [key, kept[key]]));
}

/** A list of the file beside the one that is here. */
async function compared(part: Part, here: readonly Item[], file: readonly Item[]): Promise<Compared> {
  const known = new Map(here.map((item) => [keyOf(part, item), item]));
  const places = new Map(here.map((item, place) => [keyOf(part, item), place]));
  const added: Item[] = [];
  const changed: Item[] = [];
  let late = 0;
  for (const [i, raw] of file.entries()) {
    if (i % AT_ONCE === AT_ONCE - 1) await letOthers();
    // As it will be read again: what the file may leave out takes its usual value.
    const read = plain(part.fromRow(part.toRow(raw)));
    const kept = known.get(keyOf(part, read));
    const item = kept ? { ...read, ...keptFields(part, raw, kept) } : read;
    if (kept === undefined) added.push(item);
    else if (isDeepStrictEqual(kept, item)) continue;
    else if (takesPlace(part.name, kept, item)) changed.push(item);
    else if (part.name === 'results') late += 1;
  }
  // Of two that are one by their key, the later one stands.
  const unique = [...new Map(added.map((item) => [keyOf(part, item), item])).values()];
  const all = new Map([...here, ...changed, ...unique].map((item) => [keyOf(part, item), item]));
  const inFile = file.map((item) => all.get(keyOf(part, item)) ?? item);
  const ordered = part.inOrder ? inOrderOf(part, inFile, [...all.values()]) : [...all.values()];
  const moved = part.inOrder
    ? ordered.filter((item, place) => {
        const key = keyOf(part, item);
        return (
          places.has(key) && places.get(key) !== place && !changed.some((each) => keyOf(part, each) === key)
        );
      })
    : [];
  return {
    name: part.name,
    added: unique,
    late,
    // A grade that only stands elsewhere in the order is written too.
    changed: part.name === 'grades' ? [...changed, ...moved] : changed,
    same: file.length - unique.length - changed.length,
    all: ordered,
  };
}

/** The file's things in its order, then those that only are here. */
function inOrderOf(part: Part, file: readonly Item[], all: readonly Item[]): Item[] {
  const inFile = new Set(file.map((item) => keyOf(part, item)));
  return [...new Set(file), ...all.filter((item) => !inFile.has(keyOf(part, item)))];
}

/** Whether a thing of the file takes the place of one that is here already. */
function takesPlace(name: PartName, kept: Item, item: Item): boolean {
  switch (name) {
    case 'runs':
      // What was held was held; only its end may still be missing.
      return kept['endedAt'] === null && item['endedAt'] !== null;
    case 'runEvents':
    case 'comboVersions':
    case 'removedAttempts':
      return false;
    case 'results':
      return Date.parse(item['at'] as string) >= Date.parse(kept['at'] as string);
    default:
      return true;
  }
}
