import { isCounted, isPause, kindOf, type WrittenBlock } from '../../rounds/index.ts';
import { cleanTempos } from '../../tempo/index.ts';
import { clockText, howMany, seededRandom, type Seconds } from '../../units/index.ts';
import type { CareNote } from '../care/careNotes.ts';
import { classFacts } from '../classFacts.ts';
import { sessionPlanner } from '../planSession.ts';
import { roundSeconds } from '../plannedRound.ts';
import { WARM_UP } from '../warnings/sessionWarnings.ts';
import { candidatesOf } from './choice/candidates.ts';
import type { Bounds } from './choice/fittingShape.ts';
import { ComboQueue } from './choice/comboQueue.ts';
import { lengthsOf, type DraftClass } from './draftedClass.ts';
import { filled } from './fill.ts';
import {
  COOL_DOWN_SHARE,
  WARM_UP_SHARE,
  fromLibrary,
  plainCoolDown,
  plainWarmUp,
  type FrameGround,
  type Framed,
} from './rounds/frame.ts';
import { ACTIVITIES, buildRound, worthIn, type Activity } from './activities.ts';
import { pickCombos } from './choice/pickCombos.ts';
import { shaped, type ChosenRound } from './shape.ts';
import { readTheme, type Theme } from './choice/theme.ts';
import { whoComes, type Coming, type ComingGroup } from './whoComes.ts';
import type { DraftAnswer, DraftGym, DraftLog, DraftWish, DraftedRound, SessionDraft } from './wish.ts';

/** A class that is drafted in one piece. */
export const DRAFT_MINUTES = { least: 5, most: 180 } as const;
/** Combos that a group has to choose from for each ten minutes. */
const COMBOS_IN_TEN_MINUTES = 2;
const LONGEST_TITLE = 60;
/** A kind of round comes so many times as often as is usual where there is nothing else to do. */
const MOST_OVER = 3;

/**
 * A session that a coach would sign: from what the gym has written and what its log knows, for those who come. It sums to the second,
 * keeps the limits of the youngest, asks nobody for more than is clean, and looks through itself as the planner does; a draft that the
 * planner would warn of is made anew with less until it does not. The same seed gives the same session, another one another.
 *
 * @param seed any whole number
 * @returns the draft with the reason of each round, or in one sentence why there is none
 *
 * @example
 * draft({ minutes: 300 }, gym, log, 1).message // 'A class is drafted from 5 to 180 minutes: make 300 minutes of several.'
 */
export function draft(wish: DraftWish, of: DraftGym, log: DraftLog, seed: number): DraftAnswer {
  const gym = withKit(of, wish.kit);
  const { minutes } = wish;
  if (!(minutes >= DRAFT_MINUTES.least && minutes <= DRAFT_MINUTES.most))
    return {
      ok: false,
      field: 'minutes',
      message: `A class is drafted from ${DRAFT_MINUTES.least} to ${DRAFT_MINUTES.most} minutes${minutes > DRAFT_MINUTES.most ? `: make ${howMany(minutes, 'minute')} of several` : ''}.`,
    };
  if (wish.towards && !gym.grades.some(({ id }) => id === wish.towards))
    return { ok: false, field: 'towards', message: `“${wish.towards}” is not a grade of this gym.` };
  const who = whoComes(wish, gym);
  if (!who.ok) return who;
  const theme = readTheme(wish.theme ?? [], gym.combos, gym.book);
  const floorSteps = wish.room === undefined || wish.room === null ? gym.floorSteps : wish.room;
  const plan = sessionPlanner({
    book: gym.book,
    retired: gym.retired,
    combos: gym.combos,
    factor: gym.factor,
  });
  const facts = classFacts(who.coming.people.length > 0 ? who.coming.groups : [], {
    ...{ grades: gym.grades, youth: gym.youth, floorSteps, kit: gym.kit },
    people: who.coming.people,
  });
  const cleanUpTo = cleanTempos(gym.book);
  let best: SessionDraft | null = null;
  for (const bounds of boundsFor(floorSteps, minutes)) {
    const made = attempt({ wish, gym, log, coming: who.coming, theme, bounds, cleanUpTo, seed });
    const { warnings: check, care } = plan({ lead: 'left', rounds: made.rounds }, facts);
    const drafted: SessionDraft = { ...made, rounds: withCare(made.rounds, care), check };
    if (!best || check.length < best.check.length) best = drafted;
    if (check.length === 0) break;
  }
  return { ok: true, draft: best! };
}

/** A gym that lists no kit has all there is; a class that lists none has nothing. */
function withKit(gym: DraftGym, kit: readonly string[] | undefined): DraftGym {
  return kit === undefined ? gym : { ...gym, kit: kit.length === 0 ? ['nothing'] : kit };
}

/** The rounds with what somebody does otherwise in them, in the reason and in what the coach says before. */
function withCare(rounds: readonly DraftedRound[], care: readonly CareNote[]): DraftedRound[] {
  return rounds.map((round) => {
    const own = care
      .filter((note) => note.round === round.id)
      .map(({ name, message }) => `${name}: ${message}`);
    return own.length === 0 ? round : { ...round, why: [round.why, ...own].join(' ') };
  });
}

/** What is asked for less and less, until the planner has nothing to say. */
function boundsFor(floorSteps: number | null, minutes: number): Bounds[] {
  // Five minutes of easy work before the first high kick, and ten before a spin, do not fit into a short class.
  const noHighKicks = minutes * 60 * WARM_UP_SHARE.most < WARM_UP;
  return [
    { floorSteps, noHighKicks, noSpins: noHighKicks, isEven: false },
    { floorSteps, noHighKicks, noSpins: noHighKicks, isEven: true },
    { floorSteps, noHighKicks, noSpins: true, isEven: true },
    { floorSteps, noHighKicks: true, noSpins: true, isEven: true },
  ];
}

interface Attempt {
  readonly wish: DraftWish;
  readonly gym: DraftGym;
  readonly log: DraftLog;
  readonly coming: Coming;
  readonly theme: Theme;
  readonly bounds: Bounds;
  readonly cleanUpTo: DraftClass['cleanUpTo'];
  readonly seed: number;
}

function attempt(of: Attempt): Omit<SessionDraft, 'check'> {
  const { wish, coming, theme } = of;
  const total = Math.round(wish.minutes * 60);
  const notes = [...coming.notes];
  for (const word of theme.unknown)
    notes.push(`Nothing in this gym fits “${word}”; the draft leaves it out.`);
  const drafted = classFor(of, notes);
  const { opening, closing } = framed(total, drafted);
  const frame = roundSeconds(opening) + roundSeconds(closing);
  const chosen = chooseRounds(drafted, total - frame);
  const main = shaped(chosen, drafted);
  const own = filled(main, total - frame - sum(main), drafted.lengths);
  const whole = lastSeconds(opening, own, closing, total);
  if (whole.left > 0)
    notes.push(
      `There is too little to train for those who come: ${clockText(whole.left)} of the class stays empty.`,
    );
  return {
    title: titleOf(of),
    groups: coming.people.length > 0 ? coming.groups.map(({ name, gradeIds }) => ({ name, gradeIds })) : [],
    rounds: whole.rounds.map(withOwnIds),
    seconds: sum(whole.rounds),
    notes,
  };
}

const sum = (rounds: readonly { readonly blocks: readonly WrittenBlock[] }[]): Seconds =>
  rounds.reduce((all, round) => all + roundSeconds(round), 0);

function classFor(
  { wish, gym, log, coming, theme, bounds, cleanUpTo, seed }: Attempt,
  notes: string[],
): DraftClass {
  const random = seededRandom(seed);
  const { minutes } = wish;
  const count = Math.max(3, Math.ceil((minutes / 10) * COMBOS_IN_TEN_MINUTES));
  const groups = coming.groups.map((group) => {
    const candidates = group.gradeIds.flatMap((id) => candidatesOf(id, gym, theme, bounds));
    if (candidates.length === 0)
      notes.push(`${group.name} has no combo that fits: write one for it, or it does what the others do.`);
    const picked = pickCombos({
      ...{ candidates, log, count, cleanUpTo, random, factor: gym.factor, people: group.people },
      asked: askedOf(group, wish, gym),
      themeWords: theme.words,
      include: wish.include ?? [],
    });
    const isOfTheme = candidates.some((each) => each.theme > 0);
    return { ...group, queue: new ComboQueue(picked), firstTechnique: random(), isOfTheme };
  });
  if (theme.words.length > 0 && theme.work.size === 0 && !groups.some(({ isOfTheme }) => isOfTheme))
    notes.push(
      `No combo of those who come has ${theme.words.map((word) => `“${word}”`).join(' or ')} in it that fits the class.`,
    );
  const people = coming.people.length;
  if (wish.alone && theme.work.has('contact'))
    notes.push('Contact needs a partner: alone, everybody strikes into the air.');
  const hasPads = gym.kit.length === 0 || gym.kit.some((item) => /pad|paddle|shield/i.test(item));
  const isAlone = wish.alone === true || people === 1;
  if (!hasPads && !isAlone) notes.push('No pads at hand: the combos go into the air.');
  return {
    ...{ gym, log, theme, groups, youth: coming.youth, bounds, minutes, cleanUpTo, random, hasPads },
    load: wish.load ?? 1,
    contact: wish.contact ?? null,
    lengths: lengthsOf(minutes, coming.youth !== null),
    // Nine stand by three and all work alike; other odd numbers stand by two with one three, which the rotation evens out.
    turns: isAlone ? null : people % 2 === 1 && people % 3 === 0 ? 3 : 2,
  };
}

/** What the grading asks that is named, or else those that are planned for somebody of the group. */
function askedOf(
  { people }: ComingGroup,
  { towards }: DraftWish,
  { asked, candidates = [] }: DraftGym,
): readonly string[] {
  const grades = towards
    ? [towards]
    : candidates.flatMap(({ fighterId, gradeId }) =>
        people.some(({ id }) => id === fighterId) ? [gradeId] : [],
      );
  return grades.flatMap((gradeId) => asked[gradeId] ?? []);
}

/** Warm-up and cool-down in proportion to the class. */
function framed(total: Seconds, { gym, bounds, youth }: DraftClass): { opening: Framed; closing: Framed } {
  const ground = { gym, floorSteps: bounds.floorSteps, youth };
  const usual = Math.round(total * WARM_UP_SHARE.usual);
  const most = Math.floor(total * WARM_UP_SHARE.most);
  const warm = bounds.noHighKicks ? usual : Math.min(most, Math.max(usual, WARM_UP));
  const cool = Math.round(total * COOL_DOWN_SHARE.usual);
  return {
    opening: warmUpOf(warm, most, bounds.noHighKicks ? 0 : WARM_UP, ground),
    closing: fromLibrary('stretch', cool, ground) ?? plainCoolDown(cool),
  };
}

/** A warm-up of the library in which everybody moves for long enough, what is told in it not counted; else a plain one. */
function warmUpOf(seconds: Seconds, most: Seconds, enough: Seconds, ground: FrameGround): Framed {
  const moves = (round: Framed): Seconds =>
    roundSeconds({ blocks: round.blocks.filter((block) => !isPause(block)) });
  for (let length = seconds; length <= most; length += 10) {
    const found = fromLibrary('warm-up', length, ground);
    if (found && moves(found) >= enough) return found;
  }
  return plainWarmUp(seconds);
}

/** What there is time for: always the round that is worth most now, as long as one fits at its ideal length. */
function chooseRounds(of: DraftClass, seconds: Seconds): ChosenRound[] {
  const worth = worthIn(of);
  const chosen: ChosenRound[] = [];
  const count: Partial<Record<Activity, number>> = {};
  let left = seconds;
  // Who has little to choose from repeats it before the class stays empty.
  let over = 1;
  for (;;) {
    const open = ACTIVITIES.map((activity) => ({
      activity,
      worth: worth(activity, count[activity] ?? 0, over),
    }))
      .filter((each) => each.worth > 0)
      .sort((a, b) => b.worth - a.worth);
    const next = firstThatFits(
      open.map(({ activity }) => activity),
      of,
      count,
      left,
    );
    if (!next && over < MOST_OVER) {
      over += 1;
      continue;
    }
    if (!next) return chosen;
    chosen.push(next);
    count[next.activity] = next.nth + 1;
    left -= sum(shaped([next], of));
  }
}

function firstThatFits(
  activities: readonly Activity[],
  of: DraftClass,
  count: Partial<Record<Activity, number>>,
  left: Seconds,
): ChosenRound | null {
  for (const activity of activities) {
    const putBack = of.groups.map(({ queue }) => queue.save());
    const nth = count[activity] ?? 0;
    const round = buildRound(activity, of, nth);
    if (round && sum(shaped([{ activity, nth, round }], of)) <= left) return { activity, nth, round };
    for (const back of putBack) back();
  }
  return null;
}

/** What is left over at the end goes to the warm-up and the cool-down, as far as their shares allow. */
function lastSeconds(
  opening: Framed,
  { rounds, left }: ReturnType<typeof filled>,
  closing: Framed,
  total: Seconds,
): { rounds: DraftedRound[]; left: Seconds } {
  let rest = left;
  const longer = (round: Framed, most: Seconds): Framed => {
    const by = Math.min(rest, Math.max(0, Math.floor(most) - roundSeconds(round)));
    const at = round.blocks.findLastIndex((block) => !isCounted(block) && kindOf(block).stretches);
    if (by <= 0 || at === -1) return round;
    rest -= by;
    return {
      ...round,
      blocks: round.blocks.map((block, i) => (i === at ? { ...block, seconds: block.seconds + by } : block)),
    };
  };
  const first = longer(opening, total * WARM_UP_SHARE.most);
  const last = longer(closing, total * COOL_DOWN_SHARE.most);
  const plain = { turns: null, series: null };
  return {
    rounds: [{ ...first, ...plain, effort: 2 }, ...rounds, { ...last, ...plain, effort: 1 }],
    left: rest,
  };
}

const withOwnIds = (round: DraftedRound, i: number): DraftedRound => ({
  ...round,
  id: `round-${i + 1}`,
  title: round.title.slice(0, LONGEST_TITLE),
});

function titleOf({ coming, theme, wish }: Attempt): string {
  const who = coming.groups.map(({ name }) => name).join(', ');
  const what = theme.words.length > 0 ? theme.words.join(', ') : howMany(wish.minutes, 'minute');
  return `${who}: ${what}`.slice(0, LONGEST_TITLE);
}
