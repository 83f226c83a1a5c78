import { walkStance, type Limb, type Walk } from '../body/index.ts';
import type { ClipShelf } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import { isLegStrike, isStrike, otherLead, type Lead, type Level, type MoveBook } from '../moves/index.ts';
import {
  PHASES,
  compileRound,
  footworkAsCombo,
  type Block,
  type CountBlock,
  type Phase,
} from '../rounds/index.ts';
import { seedFromText, type Seconds } from '../units/index.ts';

export const WORK_LIMBS = ['left-hand', 'right-hand', 'left-leg', 'right-leg'] as const;
export type WorkLimb = (typeof WORK_LIMBS)[number];

/** Strikes of a stretch of work, by what strikes and how high. */
export interface StrikeCount {
  readonly limbs: Readonly<Record<WorkLimb, number>>;
  readonly levels: Readonly<Record<Level, number>>;
}

/** What the body is asked for in a block, as far as the planner warns of it. */
export interface Demands {
  readonly highKick: boolean;
  readonly spin: boolean;
  /** Steps of floor needed one way. */
  readonly floor: number;
}

export const NO_STRIKES: StrikeCount = {
  limbs: { 'left-hand': 0, 'right-hand': 0, 'left-leg': 0, 'right-leg': 0 },
  levels: { head: 0, body: 0, low: 0 },
};

export function addStrikes(a: StrikeCount, b: StrikeCount, times = 1): StrikeCount {
  const sum = <K extends string>(x: Readonly<Record<K, number>>, y: Readonly<Record<K, number>>) =>
    Object.fromEntries(Object.keys(x).map((key) => [key, x[key as K] + times * y[key as K]])) as Record<
      K,
      number
    >;
  return { limbs: sum(a.limbs, b.limbs), levels: sum(a.levels, b.levels) };
}

/** About as long as a bundled voice needs: 50 ms a letter on 0.2 s (mean over the starter vocabulary). */
const ABOUT_SPOKEN: ClipShelf = {
  find: (text, rate) => {
    const seconds = (0.2 + text.length * 0.05) / rate;
    return { id: text, text, rate, seconds, centre: 0.08 };
  },
};

/** Every line that a block asks for; a group's own lines are work too. */
export function linesOf(block: Block, book: MoveBook): string[] {
  switch (block.kind) {
    case 'combo':
      return [block.combos, ...(block.lanes ?? []).map((lane) => lane.combos)]
        .flat()
        .map((combo) => combo.line);
    case 'count':
    case 'react':
      return [block.line];
    case 'footwork':
      return footworkAsCombo(block, book).combos.map((combo) => combo.line);
    case 'burst':
    case 'hold':
    case 'free':
    case 'condition':
    case 'rest':
    case 'talk':
      return [];
    default:
      return block satisfies never;
  }
}

function walksOf(block: Block, book: MoveBook): Walk[] {
  return linesOf(block, book).flatMap((line) => {
    const parsed = parseLine(line, book);
    return parsed.ok ? [walkStance(parsed.line, book, 'left')] : [];
  });
}

export function demandsOf(block: Block, book: MoveBook): Demands {
  const walks = walksOf(block, book);
  const own = walks.flatMap((walk) => walk.strokes.filter(({ stroke }) => stroke.by === 'fighter'));
  return {
    highKick: own.some(({ move, level }) => isLegStrike(move) && level === 'head'),
    spin: own.some(({ move }) => move.cautions.includes('spin')),
    floor: Math.max(block.space ?? 0, ...walks.map(({ floor }) => Math.max(...Object.values(floor)))),
  };
}

/**
 * Strikes that a block asks of one fighter of its largest count: from its compiled cues where it goes by the beat, from its
 * counts where it is counted. Work that nobody can foresee (shadow, bursts) counts as none.
 */
export function strikesOfBlock(block: Block, book: MoveBook, lead: Lead): StrikeCount {
  if (block.kind === 'count') return countedStrikes(block, book, lead);
  if (block.kind !== 'combo' && block.kind !== 'react' && block.kind !== 'footwork') return NO_STRIKES;
  const { cues } = compileRound({ blocks: [block], lead, seed: seedFromText(block.id) }, book, ABOUT_SPOKEN);
  return tally(
    cues.flatMap(({ kind, limb, level }) =>
      kind === 'strike' && limb ? [{ limb, level: level ?? null, times: 1 }] : [],
    ),
  );
}

function countedStrikes(block: CountBlock, book: MoveBook, lead: Lead): StrikeCount {
  const parsed = parseLine(block.line, book);
  if (!parsed.ok) return NO_STRIKES;
  const times = block.sets * Math.max(block.reps, ...block.groups.map((group) => group.reps));
  const leads = block.sides === 'both' ? [lead, otherLead(lead)] : [lead];
  return tally(
    leads.flatMap((from) =>
      walkStance(parsed.line, book, from)
        .strokes.filter(({ stroke, move }) => stroke.by === 'fighter' && isStrike(move))
        .map(({ limb, level }) => ({ limb, level, times })),
    ),
  );
}

function tally(
  strikes: readonly { readonly limb: Limb; readonly level: Level | null; readonly times: number }[],
): StrikeCount {
  const limbs = { ...NO_STRIKES.limbs };
  const levels = { ...NO_STRIKES.levels };
  for (const { limb, level, times } of strikes) {
    const own =
      limb === 'both-hands'
        ? (['left-hand', 'right-hand'] as const)
        : WORK_LIMBS.filter((each) => each === limb);
    for (const each of own) limbs[each] += times;
    if (own.length > 0 && level) levels[level] += times;
  }
  return { limbs, levels };
}

/** What a block is for the planner: how long, what is struck, what it demands. */
export interface BlockWork {
  readonly strikes: StrikeCount;
  readonly demands: Demands;
  readonly seconds: Seconds;
}

export function workOf(block: Block, book: MoveBook, lead: Lead): BlockWork {
  return {
    strikes: strikesOfBlock(block, book, lead),
    demands: demandsOf(block, book),
    seconds: block.seconds,
  };
}

/** Names of the moves in a block that the gym has retired, each once. */
export function retiredIn(block: Block, book: MoveBook, retired: ReadonlySet<string>): string[] {
  if (retired.size === 0) return [];
  const strokes = walksOf(block, book).flatMap((walk) => walk.strokes);
  return [
    ...new Set(strokes.flatMap(({ move }) => (retired.has(move.code) ? [move.name.toLowerCase()] : []))),
  ];
}

/** Strikes of a whole session, and its time by phase in the order of a class; only phases that it has. */
export interface SessionTotals {
  readonly strikes: StrikeCount;
  readonly phases: readonly { readonly phase: Phase; readonly seconds: Seconds }[];
}

export function sessionTotals(
  rounds: readonly {
    readonly kind: Phase;
    readonly blocks: readonly { readonly seconds: Seconds; readonly work: BlockWork }[];
  }[],
): SessionTotals {
  const byPhase = new Map<Phase, Seconds>();
  let strikes = NO_STRIKES;
  for (const { kind, blocks } of rounds) {
    byPhase.set(kind, (byPhase.get(kind) ?? 0) + blocks.reduce((sum, { seconds }) => sum + seconds, 0));
    for (const { work } of blocks) strikes = addStrikes(strikes, work.strikes);
  }
  const phases = PHASES.flatMap((phase) =>
    byPhase.has(phase) ? [{ phase, seconds: byPhase.get(phase)! }] : [],
  );
  return { strikes, phases };
}
