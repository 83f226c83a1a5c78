import { isLegStrike, isStrike, otherLead, roleOf, type Lead, type MoveBook } from '../moves/index.ts';
import { isPlacedStroke, placeOnBeats, type BeatLine, type Stroke } from '../line/index.ts';
import type { Beats } from '../units/index.ts';
import { startState, type FighterState } from './fighterState.ts';
import { bodySide, resolveStroke, type ResolvedStroke } from './resolveStroke.ts';

/** Steps that `>` and `<` travel. */
const STEP_THROUGH = 1;

export interface WalkedStroke extends ResolvedStroke {
  /** Place among all strokes of the line, repeats written out, from 0. */
  readonly index: number;
  readonly stroke: Stroke;
  readonly beat: Beats;
  readonly together: boolean;
  /** Beats for which nothing moves behind it: `[hold]`. */
  readonly heldFor: number;
  readonly before: FighterState;
  readonly after: FighterState;
}

/**
 * Whether a stroke makes a sound on a pad or a bag: a strike of the fighter that is no feint.
 *
 * @example
 * isHeard(walk('1 2').strokes[0]) // true
 */
export function isHeard({ move, stroke }: Pick<WalkedStroke, 'move' | 'stroke'>): boolean {
  return isStrike(move) && stroke.by === 'fighter' && !stroke.feint;
}

export interface LeadChange {
  readonly beat: Beats;
  readonly to: Lead;
  /** Index of the stroke that changed it. */
  readonly stroke: number;
  readonly how: 'switch' | 'step-through' | 'step-back' | 'turn';
}

export interface Walk {
  readonly strokes: readonly WalkedStroke[];
  readonly leadChanges: readonly LeadChange[];
  readonly end: FighterState;
  /** Whether the fighter ends with the same lead, facing the opponent, where it began. */
  readonly comesHome: boolean;
  /** Steps of floor needed in each direction from the start. */
  readonly floor: {
    readonly forward: number;
    readonly back: number;
    readonly left: number;
    readonly right: number;
  };
  /** What is to be spoken in it, and when. */
  readonly said: readonly { readonly beat: Beats; readonly words: string }[];
  /** Where the clock stands at the end of the line. */
  readonly beats: Beats;
}

/**
 * Walks a fighter through the line: every stroke against the state just before it, every state after it. A walk is kept with
 * its line, so that each is walked once from each lead.
 *
 * @example
 * walkStance(line('1 2'), book, 'left').strokes.map(({ move }) => move.code) // ['jab', 'cross']
 */
export function walkStance(line: BeatLine, book: MoveBook, lead: Lead): Walk {
  const known = walksOf.get(line)?.find((kept) => kept.book === book && kept.lead === lead);
  if (known) return known.walk;
  const walk = walked(line, book, lead);
  walksOf.set(line, [...(walksOf.get(line) ?? []).slice(-3), { book, lead, walk }]);
  return walk;
}

const walksOf = new WeakMap<
  BeatLine,
  { readonly book: MoveBook; readonly lead: Lead; readonly walk: Walk }[]
>();

function walked(line: BeatLine, book: MoveBook, lead: Lead): Walk {
  const placed = placeOnBeats(line);
  const strokes: WalkedStroke[] = [];
  const leadChanges: LeadChange[] = [];
  const floor = { forward: 0, back: 0, left: 0, right: 0 };
  let state = startState(lead);
  for (const item of placed.items) {
    const last = strokes.at(-1);
    if (item.item.kind === 'hold' && last)
      strokes[strokes.length - 1] = { ...last, heldFor: last.heldFor + item.item.beats };
    if (!isPlacedStroke(item)) continue;
    const { item: stroke, beat, together } = item;
    const resolved = resolveStroke(stroke, book, state);
    const after = stroke.by === 'holder' ? state : stateAfter(state, stroke, resolved);
    const index = strokes.length;
    if (after.lead !== state.lead)
      leadChanges.push({ beat, to: after.lead, stroke: index, how: howChanged(stroke, resolved) });
    strokes.push({ ...resolved, index, stroke, beat, together, heldFor: 0, before: state, after });
    state = after;
    floor.forward = Math.max(floor.forward, state.place.forward);
    floor.back = Math.max(floor.back, -state.place.forward);
    floor.right = Math.max(floor.right, state.place.right);
    floor.left = Math.max(floor.left, -state.place.right);
  }
  return {
    strokes,
    leadChanges,
    end: state,
    comesHome: state.lead === lead && state.facing === 0 && isAt(state.place, 0, 0),
    floor,
    said: placed.items.flatMap(({ item, beat }) =>
      item.kind === 'say' ? [{ beat, words: item.words }] : [],
    ),
    beats: placed.beats,
  };
}

function isAt({ forward, right }: FighterState['place'], f: number, r: number): boolean {
  return Math.abs(forward - f) < 0.01 && Math.abs(right - r) < 0.01;
}

function howChanged(stroke: Stroke, { move }: ResolvedStroke): LeadChange['how'] {
  if (stroke.step !== null) return stroke.step === 'through' ? 'step-through' : 'step-back';
  return move.facing !== 0 ? 'turn' : 'switch';
}

function stateAfter(state: FighterState, stroke: Stroke, resolved: ResolvedStroke): FighterState {
  const { move, limb } = resolved;
  const stride = stroke.step === null ? 0 : stroke.step === 'through' ? STEP_THROUGH : -STEP_THROUGH;
  const steps =
    stroke.feint && stroke.step === null && isLegStrike(move) ? { forward: 0, right: 0 } : move.step;
  const way = wayOf(state, resolved);
  return {
    lead: leadAfter(state.lead, stroke, resolved),
    facing: turned(state.facing, way * move.facing),
    place: travelled(state, steps.forward + stride, way * steps.right),
    raised: raisedAfter(state, limb, isLegStrike(move)),
    holding: holdingAfter(state, resolved),
    stance: move.stance ?? (stroke.step === null ? state.stance : 'fighting'),
  };
}

/**
 * The lead behind a stroke. A hand that steps through changes it. A kick or knee sets its own leg down in front, or behind
 * with `<`: the rear leg that lands forward changes the lead, the front leg keeps it.
 */
function leadAfter(lead: Lead, { step }: Stroke, { move, limb }: ResolvedStroke): Lead {
  const leg = limb === 'left-leg' ? 'left' : limb === 'right-leg' ? 'right' : null;
  if (step !== null && leg !== null && isLegStrike(move)) return step === 'through' ? leg : otherLead(leg);
  return (move.lead === 'flips') !== (step !== null) ? otherLead(lead) : lead;
}

/** +1 where a directed move goes as the book tells it, −1 where its direction or the lead turns it round; one foot goes to its own side. */
function wayOf({ lead }: FighterState, { move, side }: ResolvedStroke): 1 | -1 {
  if (move.limb === 'feet' && side !== null && move.side.kind === 'free')
    return bodySide(side, lead) === 'right' ? 1 : -1;
  if (move.side.kind !== 'directed') return 1;
  return (lead === 'left') === (side === move.side.usual) ? 1 : -1;
}

/** A kicking leg counts as up until something else is done: only a `^` right behind the kick finds it there. */
function raisedAfter(
  state: FighterState,
  limb: ResolvedStroke['limb'],
  kicks: boolean,
): FighterState['raised'] {
  if (!kicks) return null;
  if (limb === 'left-leg') return 'left';
  return limb === 'right-leg' ? 'right' : state.raised;
}

/** A hand holds on while the other limbs work, until it does something else, both hands do, or the fighter steps out. */
function holdingAfter(
  { holding }: FighterState,
  { move, limb }: Pick<ResolvedStroke, 'move' | 'limb'>,
): FighterState['holding'] {
  const role = roleOf(move);
  if (limb === 'left-hand' || limb === 'right-hand') {
    const hand = limb === 'left-hand' ? 'left' : 'right';
    return role === 'clinch' ? hand : holding === hand ? null : holding;
  }
  return limb === 'both-hands' || role === 'step-out' || role === 'guard' ? null : holding;
}

function turned(facing: number, by: number): number {
  const sum = (((facing + by) % 360) + 360) % 360;
  return sum > 180 ? sum - 360 : sum;
}

/** Moves the place along the way the fighter faces; rounded so that there and back is exactly home. */
function travelled(state: FighterState, forward: number, right: number): FighterState['place'] {
  if (forward === 0 && right === 0) return state.place;
  const angle = (state.facing * Math.PI) / 180;
  const round = (x: number): number => Math.round(x * 1000) / 1000 + 0;
  return {
    forward: round(state.place.forward + forward * Math.cos(angle) - right * Math.sin(angle)),
    right: round(state.place.right + forward * Math.sin(angle) + right * Math.cos(angle)),
  };
}
