import { NO_STRIKES, addStrikes, isPause, type Phase, type StrikeCount } from '../../rounds/index.ts';
import { clockText, type Seconds } from '../../units/index.ts';
import { cutCounts, tooFast, tooFastForSome } from './paceWarnings.ts';
import {
  firstOfEach,
  hears,
  placeBlocks,
  placeOfBlock,
  type Band,
  type ClassFacts,
  type PlacedBlock,
  type SessionWarning,
  type WarnedRound,
} from './placedBlocks.ts';

/*
 * The limits below are this product's own, set where a careful coach would begin to ask; they warn and never block.
 */
/** Easy work that should lie before the first high kick. */
export const WARM_UP: Seconds = 5 * 60;
/** Work that should lie before the first spin. */
const BEFORE_SPIN: Seconds = 10 * 60;
/** Longest work without a pause, by the youngest band that takes part. */
const LONGEST_WORK = { children: 3 * 60, adults: 8 * 60 } as const satisfies Record<string, Seconds>;
/** One side may do so much more than the other, once there are enough strikes to judge by. */
const ONE_SIDE = 1.5;
const ENOUGH_STRIKES = 60;

/**
 * Everything about a whole session that a coach would want to hear before the class, each reported once, in order of time.
 *
 * @example
 * sessionWarnings([], { groups: [{ name: 'Herons', bands: [], people: 0 }], bands: ['adults'], floorSteps: null, kit: [] })
 * // [{ rule: 'empty-group', message: 'Nobody is in the group Herons. Give it grades that somebody has, or take it out.', place: null }]
 */
export function sessionWarnings(rounds: readonly WarnedRound[], facts: ClassFacts): SessionWarning[] {
  const placed = placeBlocks(rounds);
  return [
    ...emptyGroups(facts),
    ...lackingWarmUp(placed),
    ...earlySpin(placed),
    ...longWork(placed, facts),
    ...smallRoom(placed.filter(hears('small-room')), facts),
    ...missingKit(placed.filter(hears('kit-missing')), facts),
    ...lostMoves(placed),
    ...tooFast(placed.filter(hears('too-fast'))),
    ...tooFastForSome(placed.filter(hears('too-fast-for-some')), facts),
    ...cutCounts(placed),
    ...beyondYouth(placed, facts),
    ...oneSide(placed),
  ];
}

const isStruck = ({ work }: PlacedBlock['block']): boolean =>
  Object.values(work.strikes.limbs).some((strikes) => strikes > 0);

const isEasy = (phase: Phase): boolean => phase === 'warm-up' || phase === 'shadow';

function lackingWarmUp(placed: readonly PlacedBlock[]): SessionWarning[] {
  const high = placed.find(({ block }) => block.work.demands.highKick);
  const hard = placed.find(({ round, block }) => !isEasy(round.kind) && !isPause(block) && isStruck(block));
  // Where nothing is warm at all, the first strike comes too early, not the first high kick.
  const isCold = hard !== undefined && !placed.some(({ at, round }) => at < hard.at && isEasy(round.kind));
  const first = isCold ? hard : (high ?? hard);
  if (!first) return [];
  const warm = placed
    .filter(({ at, round, block }) => at < first.at && isEasy(round.kind) && !isPause(block))
    .reduce((sum, { block }) => sum + block.seconds, 0);
  if (warm >= WARM_UP || (first !== high && warm > 0)) return [];
  const before = warm === 0 ? 'no warm-up' : `only ${clockText(warm)} of warm-up`;
  const what = first === high ? 'High kicks' : 'Strikes';
  return [
    {
      rule: 'no-warm-up',
      message: `${what} in “${first.round.title}” with ${before} before them. Five minutes are usual.`,
      place: placeOfBlock(first),
    },
  ];
}

function earlySpin(placed: readonly PlacedBlock[]): SessionWarning[] {
  const first = placed.find(({ block }) => block.work.demands.spin);
  if (!first || first.at >= BEFORE_SPIN) return [];
  return [
    {
      rule: 'spins-early',
      message: `Spins already at ${clockText(first.at)}, in “${first.round.title}”. Ten minutes of work before them are usual.`,
      place: placeOfBlock(first),
    },
  ];
}

function longWork(placed: readonly PlacedBlock[], { bands }: ClassFacts): SessionWarning[] {
  const band: Band = bands.includes('children') ? 'children' : 'adults';
  const most = LONGEST_WORK[band];
  const stretches: { first: PlacedBlock; seconds: Seconds }[] = [];
  let goesOn = false;
  for (const each of placed) {
    const isEasing = isPause(each.block) || each.round.kind === 'warm-up' || each.round.kind === 'stretch';
    if (!isEasing)
      for (const [i, seconds] of (each.block.spells ?? [each.block.seconds]).entries())
        if (goesOn && i === 0) stretches.at(-1)!.seconds += seconds;
        else stretches.push({ first: each, seconds });
    goesOn = !isEasing;
  }
  const long = stretches.filter(({ first, seconds }) => seconds > most && hears('no-rest')(first));
  return firstOfEach(long, ({ first, seconds }) => `${first.round.title} ${seconds}`).map(
    ({ first, seconds }) => ({
      rule: 'no-rest',
      message: `${clockText(seconds)} of work without rest from “${first.round.title}” on; for ${band} ${clockText(most)} is long.`,
      place: placeOfBlock(first),
    }),
  );
}

/** What needs more floor than there is, in the hall or in the room that the block itself is given. */
function smallRoom(placed: readonly PlacedBlock[], { floorSteps }: ClassFacts): SessionWarning[] {
  const small = placed.flatMap((each) => {
    const { floor, lines, space } = each.block.work.demands;
    if (floorSteps !== null && floor > floorSteps)
      return [{ ...each, need: floor, has: `this floor has ${floorSteps}` }];
    const isTight = space !== null && space > 0 && lines > space;
    return isTight ? [{ ...each, need: lines, has: `the block is given ${space}` }] : [];
  });
  return firstOfEach(small, ({ round }) => round.title).map((each) => ({
    rule: 'small-room',
    message: `“${each.round.title}” needs ${Number(each.need.toFixed(1))} steps one way; ${each.has}.`,
    place: placeOfBlock(each),
  }));
}

function missingKit(placed: readonly PlacedBlock[], { kit }: ClassFacts): SessionWarning[] {
  if (kit.length === 0) return [];
  const has = new Set(kit.map((item) => item.toLowerCase()));
  const lacking = placed.flatMap((each) =>
    (each.block.kit ?? []).filter((item) => !has.has(item.toLowerCase())).map((item) => ({ ...each, item })),
  );
  return firstOfEach(lacking, ({ item }) => item.toLowerCase()).map((each) => ({
    rule: 'kit-missing',
    message: `“${each.round.title}” needs ${each.item}, which is not among what the gym has.`,
    place: placeOfBlock(each),
  }));
}

function emptyGroups({ groups }: ClassFacts): SessionWarning[] {
  return groups
    .filter(({ people }) => people === 0)
    .map(({ name }) => ({
      rule: 'empty-group',
      message: `Nobody is in the group ${name}. Give it grades that somebody has, or take it out.`,
      place: null,
    }));
}

function lostMoves(placed: readonly PlacedBlock[]): SessionWarning[] {
  const gone = placed.filter(({ block }) => block.gone.length > 0);
  const retired = placed.flatMap((each) => each.block.retired.map((move) => ({ ...each, move })));
  return [
    ...firstOfEach(gone, ({ round }) => round.title).map((each): SessionWarning => ({
      rule: 'gone-combo',
      message: `“${each.round.title}” names a combo that is not in the book any more. Choose another one.`,
      place: placeOfBlock(each),
    })),
    ...firstOfEach(retired, ({ move }) => move).map((each): SessionWarning => ({
      rule: 'retired-move',
      message: `“${each.round.title}” uses ${each.move}, which is retired. It still works; the book has other moves.`,
      place: placeOfBlock(each),
    })),
  ];
}

/** What a group with children in it should not do, each fault of a group once with the first place where it comes. */
function beyondYouth(placed: readonly PlacedBlock[], { groups, youth }: ClassFacts): SessionWarning[] {
  const bands = [
    ...groups.map((group) => ({ name: group.name as string | null, youth: group.youth ?? null })),
    ...(groups.length === 0 ? [{ name: null, youth: youth ?? null }] : []),
  ];
  const found = bands.flatMap(({ name, youth: limits }) => {
    if (!limits) return [];
    return placed
      .filter(
        ({ block }) => !block.who || block.who.length === 0 || name === null || block.who.includes(name),
      )
      .flatMap((each) =>
        (each.block.youthFaults?.(limits, name) ?? []).map((fault) => ({
          ...each,
          fault,
          band: name ?? limits.band,
        })),
      );
  });
  return firstOfEach(found, ({ band, fault }) => `${band} ${fault}`).map((each) => ({
    rule: 'youth-limits',
    message: `${each.band} in “${each.round.title}”: ${each.fault} for their band. An easier form or another line for them; local rules come first.`,
    place: placeOfBlock(each),
  }));
}

function oneSide(placed: readonly PlacedBlock[]): SessionWarning[] {
  const { limbs } = placed.reduce<StrikeCount>(
    (sum, { block }) => addStrikes(sum, block.work.strikes),
    NO_STRIKES,
  );
  const left = limbs['left-hand'] + limbs['left-leg'];
  const right = limbs['right-hand'] + limbs['right-leg'];
  if (left + right < ENOUGH_STRIKES || Math.max(left, right) < ONE_SIDE * Math.max(1, Math.min(left, right)))
    return [];
  const [more, less] = left > right ? ['left', 'right'] : ['right', 'left'];
  return [
    {
      rule: 'one-side',
      message: `The ${more} side strikes ${Math.max(left, right)} times, the ${less} ${Math.min(left, right)} times. Both leads, half each, would even it out.`,
      place: null,
    },
  ];
}
