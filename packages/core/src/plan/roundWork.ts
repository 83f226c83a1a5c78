import { walkStance, type Walk } from '../body/index.ts';
import type { ClipShelf } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import { isLegStrike, isSpin, type Lead, type MoveBook } from '../moves/index.ts';
import {
  NO_STRIKES,
  PHASES,
  addStrikes,
  compileRound,
  kindOf,
  tallyStrikes,
  type Block,
  type Phase,
  type StrikeCount,
} from '../rounds/index.ts';
import { seedFromText, type Seconds } from '../units/index.ts';

/** What the body is asked for in a block, as far as the planner warns of it. */
export interface Demands {
  readonly highKick: boolean;
  readonly spin: boolean;
  /** Steps of floor needed one way. */
  readonly floor: number;
}

/** About as long as a bundled voice needs: 50 ms a letter on 0.2 s (mean over the starter vocabulary). */
const ABOUT_SPOKEN: ClipShelf = {
  find: (text, rate) => {
    const seconds = (0.2 + text.length * 0.05) / rate;
    return { id: text, text, rate, seconds, centre: 0.08 };
  },
};

function walksOf(block: Block, book: MoveBook): Walk[] {
  return kindOf(block)
    .done(block, book)
    .flatMap((line) => {
      const parsed = parseLine(line, book);
      return parsed.ok ? [walkStance(parsed.line, book, 'left')] : [];
    });
}

/**
 * @example
 * demandsOf(filled('free'), book) // { highKick: false, spin: false, floor: 0 }
 */
export function demandsOf(block: Block, book: MoveBook): Demands {
  const walks = walksOf(block, book);
  const own = walks.flatMap((walk) => walk.strokes.filter(({ stroke }) => stroke.by === 'fighter'));
  return {
    highKick: own.some(({ move, level }) => isLegStrike(move) && level === 'head'),
    spin: own.some(({ move }) => isSpin(move) || move.cautions.includes('spin')),
    floor: Math.max(block.space ?? 0, ...walks.map(({ floor }) => Math.max(...Object.values(floor)))),
  };
}

/**
 * Strikes that a block asks of one fighter of its largest count: from its compiled cues where it goes by the beat, from its
 * counts where it is counted. Work that nobody can foresee (shadow, bursts) counts as none.
 *
 * @example
 * strikesOfBlock(filled('rest'), book, 'left').limbs['left-hand'] // 0
 */
export function strikesOfBlock(block: Block, book: MoveBook, lead: Lead): StrikeCount {
  const strikes = kindOf(block).strikes(block, book, lead);
  if (strikes !== 'as-compiled') return strikes;
  const { cues } = compileRound({ blocks: [block], lead, seed: seedFromText(block.id) }, book, ABOUT_SPOKEN);
  return tallyStrikes(
    cues.flatMap(({ kind, limb, level }) =>
      kind === 'strike' && limb ? [{ limb, level: level ?? null, times: 1 }] : [],
    ),
  );
}

/** What a block is for the planner: how long, what is struck, what it demands. */
export interface BlockWork {
  readonly strikes: StrikeCount;
  readonly demands: Demands;
  readonly seconds: Seconds;
}

/**
 * @example
 * workOf(filled('rest'), book, 'left').seconds // 40
 */
export function workOf(block: Block, book: MoveBook, lead: Lead): BlockWork {
  return {
    strikes: strikesOfBlock(block, book, lead),
    demands: demandsOf(block, book),
    seconds: block.seconds,
  };
}

/**
 * Names of the moves in a block that the gym has retired, each once.
 *
 * @example
 * retiredIn(filled('count'), book, new Set(['round'])) // ['round kick']
 */
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

/**
 * @example
 * sessionTotals([{ kind: 'pads', blocks: [{ seconds: 60, work: workOf(filled('rest'), book, 'left') }] }]).phases // [{ phase: 'pads', seconds: 60 }]
 */
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
