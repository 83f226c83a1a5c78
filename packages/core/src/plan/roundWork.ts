import {
  cleanWhenRepeated,
  floorOver,
  walkStance,
  youthFault,
  youthFaultOf,
  type OwnPace,
  type Walk,
  type YouthLimits,
} from '../body/index.ts';
import { ABOUT_SPOKEN } from '../calls/index.ts';
import { parseLine } from '../line/index.ts';
import { isLegStrike, isSpin, type Lead, type MoveBook } from '../moves/index.ts';
import {
  NO_STRIKES,
  PHASES,
  addStrikes,
  compileRound,
  kindOf,
  tallyStrikes,
  type AskedTempo,
  type Block,
  type WrittenBlock,
  type Phase,
  type StrikeCount,
} from '../rounds/index.ts';
import { groupBy, seedFromText, type Bpm, type Seconds } from '../units/index.ts';

/** What the body is asked for in a block, as far as the planner warns of it. */
export interface Demands {
  readonly highKick: boolean;
  readonly spin: boolean;
  /** Steps of floor needed one way: by its lines, or as the block says where that is more. */
  readonly floor: number;
  readonly lines: number;
  /** Steps one way that the block itself is given; null where nothing is said. */
  readonly space: number | null;
}

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
 * demandsOf(filled('free'), book) // { highKick: false, spin: false, floor: 0, lines: 0, space: null }
 */
export function demandsOf(block: Block, book: MoveBook): Demands {
  const walks = walksOf(block, book);
  const lines = Math.max(
    0,
    ...walks.map((walk) => Math.max(...Object.values(floorOver(walk, kindOf(block).timesInARow(block))))),
  );
  const own = walks.flatMap((walk) => walk.strokes.filter(({ stroke }) => stroke.by === 'fighter'));
  return {
    highKick: own.some(({ move, level }) => isLegStrike(move) && level === 'head'),
    spin: own.some(({ move }) => isSpin(move) || move.cautions.includes('spin')),
    floor: Math.max(block.space ?? 0, lines),
    lines,
    space: block.space ?? null,
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
  return compiledWork(block, book, lead).strikes;
}

/** The strikes of a block, and what its compile finds too fast; at club pace unless `factor` says otherwise. */
function compiledWork(
  block: Block,
  book: MoveBook,
  lead: Lead,
  factor?: number,
): Pick<BlockWork, 'strikes' | 'tooFast' | 'times' | 'asked'> {
  const strikes = kindOf(block).strikes(block, book, lead);
  if (strikes !== 'as-compiled') return { strikes, tooFast: [], times: null, asked: [] };
  const asked = new Map<Walk, Map<string, AskedTempo>>();
  const plan = {
    blocks: [block],
    lead,
    seed: seedFromText(block.id),
    onAsked: (each: AskedTempo) => keepFastest(asked, each),
    ...(factor === undefined ? {} : { factor }),
  };
  const { cues, cycles, findings } = compileRound(plan, book, ABOUT_SPOKEN);
  const from = (wanted: Lead): number => cycles.filter((cycle) => cycle.lead === wanted).length;
  return {
    asked: [...asked.values()].flatMap((ofWalk) => [...ofWalk.values()]),
    times: cycles.length === 0 ? null : { left: from('left'), right: from('right') },
    strikes: tallyStrikes(
      cues.flatMap(({ kind, text, limb, level, silent }) =>
        kind === 'strike' && limb && !silent ? [{ move: text, limb, level: level ?? null, times: 1 }] : [],
      ),
    ),
    tooFast: findings.flatMap(({ rule, message }) => (rule === 'tempo-too-fast' ? [message] : [])),
  };
}

function keepFastest(asked: Map<Walk, Map<string, AskedTempo>>, each: AskedTempo): void {
  const ofWalk = asked.get(each.walk) ?? new Map<string, AskedTempo>();
  asked.set(each.walk, ofWalk);
  const key = `${each.beats} ${each.group ?? ''}`;
  if (each.bpm > (ofWalk.get(key)?.bpm ?? 0)) ofWalk.set(key, each);
}

/** Somebody who may come, with the pace that was measured. */
export interface MeasuredPace {
  readonly name: string;
  /** The group; null where the class has none. */
  readonly group: string | null;
  readonly factor: OwnPace;
}

/** What of a block is too fast for somebody, by the own pace: what is asked, and what is clean. */
export interface TooFastFor {
  readonly combo: string;
  readonly asked: Bpm;
  readonly clean: Bpm;
}

/**
 * The combos of a block that go beyond somebody who is slower than the gym, each once, with the time through that does so most; what is
 * too fast at the pace of the gym is reported about everybody.
 *
 * @param gym pace of the gym, how many times as long as at club pace a body needs for a move
 *
 * @example
 * tooFastFor([{ name: 'A', group: null, walk: walk('1 2 3'), beats: 4, bpm: 200 }], { name: 'Ines', group: null, factor: { base: 2, pairs: {} } }, 1.25).map(({ combo, clean }) => [combo, clean]) // [['A', 176]]
 */
export function tooFastFor(
  asked: readonly AskedTempo[],
  { group, factor }: MeasuredPace,
  gym: number,
): TooFastFor[] {
  const hasOwn = asked.some((each) => each.group !== null && each.group === group);
  const beyond = asked
    .filter((each) => each.group === (hasOwn ? group : null))
    .flatMap(({ name, walk, beats, bpm }) => {
      const cleanAt = (pace: number | OwnPace): Bpm =>
        cleanWhenRepeated(walk, beats, { factor: pace })?.bpm ?? Infinity;
      const clean = cleanAt(factor);
      return bpm > clean && clean < cleanAt(gym) ? [{ combo: name, asked: Math.round(bpm), clean }] : [];
    });
  beyond.sort((one, other) => other.asked - other.clean - (one.asked - one.clean));
  return [...groupBy(beyond, ({ combo }) => combo).values()].map(([worst]) => worst!);
}

/** What a block is for the planner: how long, what is struck, what it demands. */
export interface BlockWork {
  readonly strikes: StrikeCount;
  readonly demands: Demands;
  readonly seconds: Seconds;
  /** What is done faster than a body can, one sentence for each combo. */
  readonly tooFast: readonly string[];
  /** The fastest times through that it asks for, of each line once. */
  readonly asked: readonly AskedTempo[];
  /** About how often its lines are gone through from each lead; null for what has none on a beat. */
  readonly times: Readonly<Record<Lead, number>> | null;
}

/**
 * @param factor how many times as long as at club pace a body needs for a move; 1 by default
 *
 * @example
 * workOf(filled('rest'), book, 'left').seconds // 40
 */
export function workOf(block: Block, book: MoveBook, lead: Lead, factor?: number): BlockWork {
  return {
    ...compiledWork(block, book, lead, factor),
    demands: demandsOf(block, book),
    seconds: block.seconds,
  };
}

/** What a group does in a block: its own lines where it has some, else those of everybody; of null, what has no group. */
function linesOfGroup(block: Block, group: string | null, book: MoveBook): readonly string[] {
  const kind = kindOf(block);
  return kind.done(kind.ofGroup(block as WrittenBlock, group ?? '') as Block, book);
}

/**
 * What a band of children should not do in a block, each fault once: strikes of its lines, names in its prompts, and contact
 * above what the band may have. `group` chooses the lane; null for what everybody does.
 *
 * @example
 * youthFaultsIn({ ...filled('count'), line: 'r:knee' }, book, { band: 'Drop', headContact: true, knees: false, elbows: true, spins: true, jumps: true }, null) // ['knee: no knees']
 */
export function youthFaultsIn(
  block: Block,
  book: MoveBook,
  limits: YouthLimits,
  group: string | null,
): string[] {
  const faults = new Set<string>();
  for (const line of linesOfGroup(block, group, book)) {
    const parsed = parseLine(line, book);
    if (!parsed.ok) continue;
    for (const walked of walkStance(parsed.line, book, 'left').strokes) {
      const { stroke, move } = walked;
      const fault = stroke.by === 'fighter' ? youthFaultOf(walked, limits) : null;
      if (fault !== null) faults.add(`${move.name.toLowerCase()}: ${fault}`);
    }
  }
  // Nobody is hit in shadow: what is prompted there is reported for what a band should not do at all.
  for (const prompt of kindOf(block).prompts(block)) {
    const named = [...book.moves.values()].find(({ name }) => hasWords(prompt, name));
    const fault = named ? youthFault(named, null, limits) : null;
    if (fault !== null) faults.add(`“${prompt}”: ${fault}`);
  }
  const most = kindOf(block).contact(block);
  const allowed = limits.contact ?? 0;
  if (most > allowed)
    faults.add(`${most} % contact: ${allowed === 0 ? 'none is allowed' : `at most ${allowed} %`}`);
  return [...faults];
}

/** Whether a text has these words, one behind the other. */
const hasWords = (text: string, words: string): boolean =>
  ` ${plainWords(text)} `.includes(` ${plainWords(words)} `);
const plainWords = (text: string): string =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .join(' ')
    .trim();

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
