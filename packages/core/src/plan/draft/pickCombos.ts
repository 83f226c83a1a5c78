import { walkStance } from '../../body/index.ts';
import { parseLine } from '../../line/index.ts';
import { isStrike, type Level, type MoveBook } from '../../moves/index.ts';
import { WORK_LIMBS, type BlockCombo, type WorkLimb } from '../../rounds/index.ts';
import { howMany, type Bpm } from '../../units/index.ts';

/** A combo as the draft weighs it. */
export interface DraftCombo extends BlockCombo {
  readonly gradeId: string;
  readonly bpm: Bpm;
  readonly focus: readonly string[];
  /** Days since it was last in a session that was held; null when it never was. */
  readonly daysAgo: number | null;
  /** With how many of those who may come it is due to be asked again, of how many; not reported where nobody was asked. */
  readonly due?: { readonly with: number; readonly of: number };
}

export interface PickedCombo {
  readonly combo: DraftCombo;
  /** Why this one, in a few words. */
  readonly why: string;
}

/** A combo that was never trained counts as left for so long. */
const NEVER_DAYS = 120;
/** Days after which a combo is as overdue as it gets. */
const OVERDUE_DAYS = 60;
/** How much each reason weighs beside the others (our own choice: focus first, then what slips from memory and neglect, then balance). */
const WEIGHT = { focus: 3, due: 2, overdue: 2, balance: 1 } as const;

/** From this share of the class on it is memory that a combo is there for. */
const DUE_IS_WHY = 0.25;

type Shape = Readonly<Record<WorkLimb | Level, number>>;

interface Candidate {
  readonly combo: DraftCombo;
  readonly shape: Shape;
  readonly floor: number;
}

/**
 * Chooses combos one after the other: what has the wanted focus, what is due from memory, what was not trained for longest, and what the ones chosen
 * so far lack in limbs and heights (over both leads, as they will be trained). Lines that cannot be read, or need more floor
 * than there is, are left out.
 *
 * @example
 * pickCombos([{ ...combo, focus: [] }, { ...combo, id: 'b', line: 'r:mid', focus: ['kicks'] }], { count: 1, focus: 'kicks', floorSteps: null }, book).map(({ combo }) => combo.id) // ['b']
 */
export function pickCombos(
  combos: readonly DraftCombo[],
  wish: { readonly count: number; readonly focus: string | null; readonly floorSteps: number | null },
  book: MoveBook,
): PickedCombo[] {
  const left = combos
    .flatMap((combo) => candidateOf(combo, book) ?? [])
    .filter((each) => wish.floorSteps === null || each.floor <= wish.floorSteps);
  const picked: PickedCombo[] = [];
  const done: Record<string, number> = {};
  while (picked.length < wish.count && left.length > 0) {
    const scored = left.map((each) => ({ each, score: scoreOf(each, wish.focus, done) }));
    const best = scored.reduce((a, b) => (total(b.score) > total(a.score) + 1e-9 ? b : a));
    left.splice(left.indexOf(best.each), 1);
    picked.push({ combo: best.each.combo, why: reasonOf(best.each, best.score, wish.focus, done) });
    for (const [key, value] of Object.entries(best.each.shape)) done[key] = (done[key] ?? 0) + value;
  }
  return picked;
}

interface Score {
  readonly focus: number;
  readonly due: number;
  readonly overdue: number;
  readonly balance: number;
}

const total = ({ focus, due, overdue, balance }: Score): number =>
  WEIGHT.focus * focus + WEIGHT.due * due + WEIGHT.overdue * overdue + WEIGHT.balance * balance;

function candidateOf(combo: DraftCombo, book: MoveBook): Candidate | null {
  const parsed = parseLine(combo.line, book);
  if (!parsed.ok) return null;
  const shape: Record<WorkLimb | Level, number> = {
    'left-hand': 0,
    'right-hand': 0,
    'left-leg': 0,
    'right-leg': 0,
    head: 0,
    body: 0,
    low: 0,
  };
  let floor = 0;
  for (const lead of ['left', 'right'] as const) {
    const walk = walkStance(parsed.line, book, lead);
    floor = Math.max(floor, ...Object.values(walk.floor));
    for (const { stroke, move, limb, level } of walk.strokes) {
      if (stroke.by !== 'fighter' || !isStrike(move)) continue;
      for (const own of WORK_LIMBS) if (own === limb) shape[own] += 0.5;
      if (level) shape[level] += 0.5;
    }
  }
  return { combo, shape, floor };
}

function scoreOf(
  { combo, shape }: Candidate,
  focus: string | null,
  done: Readonly<Record<string, number>>,
): Score {
  return {
    focus: focus !== null && hasFocus(combo, focus) ? 1 : 0,
    due: combo.due && combo.due.of > 0 ? combo.due.with / combo.due.of : 0,
    overdue: Math.min(OVERDUE_DAYS, combo.daysAgo ?? NEVER_DAYS) / OVERDUE_DAYS,
    balance: lackingShare(shape, done),
  };
}

function hasFocus(combo: DraftCombo, focus: string): boolean {
  const wanted = focus.toLowerCase();
  return (
    combo.focus.some((word) => word.toLowerCase() === wanted) || combo.title.toLowerCase().includes(wanted)
  );
}

/** How much of a combo's strikes goes where the ones so far have least: 1 all of it, 0 none. */
function lackingShare(shape: Shape, done: Readonly<Record<string, number>>): number {
  const sum = Object.values(done).reduce((a, b) => a + b, 0);
  if (sum === 0) return 0;
  const strikes = Object.values(shape).reduce((a, b) => a + b, 0);
  if (strikes === 0) return 0;
  const most = Math.max(...Object.values(done));
  return Object.entries(shape).reduce(
    (share, [key, value]) => share + (value / strikes) * (1 - (done[key] ?? 0) / most),
    0,
  );
}

const NAMES: Readonly<Record<string, string>> = { head: 'the head', body: 'the body', low: 'low targets' };

function reasonOf(
  { combo, shape }: Candidate,
  score: Score,
  focus: string | null,
  done: Readonly<Record<string, number>>,
): string {
  if (score.focus > 0) return `has the focus “${focus}”`;
  if (combo.due && score.due >= DUE_IS_WHY)
    return `is due from memory with ${combo.due.with} of ${combo.due.of} who may come`;
  const lacking = (Object.entries(shape) as [keyof Shape, number][])
    .filter(([key, value]) => key in NAMES && value > 0 && (done[key] ?? 0) === 0)
    .sort((a, b) => b[1] - a[1])[0];
  if (lacking && Object.keys(done).length > 0 && score.overdue < 1)
    return `brings ${NAMES[lacking[0]]}, which the others leave out`;
  if (combo.daysAgo === null) return 'has not been in a class yet';
  return combo.daysAgo === 0
    ? 'was trained today, and nothing else is left'
    : `was last trained ${howMany(combo.daysAgo, 'day')} ago`;
}
