import { usualBlock, type WrittenBlock } from '../../rounds/index.ts';
import type { Seconds } from '../../units/index.ts';
import { inTurns } from '../partners/partnerRounds.ts';
import { LIGHT_CLASS, type DraftClass } from './draftedClass.ts';
import type { Activity } from './activities.ts';
import type { PlainRound } from './plainRound.ts';
import type { DraftedRound } from './wish.ts';

/** A round that was chosen for a class, and which of its activity it is. */
export interface ChosenRound {
  readonly activity: Activity;
  readonly nth: number;
  readonly round: PlainRound;
}

/** Where a kind stands in an hour, and how far apart those of one kind lie: easy and new things first, one peak, then down. */
const PLACES: Readonly<Record<Activity, { readonly first: number; readonly apart: number }>> = {
  technique: { first: 1, apart: 1.1 },
  footwork: { first: 1.4, apart: 1.2 },
  parts: { first: 2, apart: 1.2 },
  combos: { first: 3, apart: 0.8 },
  reaction: { first: 4.2, apart: 1.3 },
  pads: { first: 4.5, apart: 0.6 },
  burst: { first: 20, apart: 1 },
  conditioning: { first: 21, apart: 1 },
  shadow: { first: 22, apart: 1 },
};

/** Effort from 1 to 10: where a class begins, its peak for adults and for children, and where it ends. */
const EFFORT = { first: 3, last: 4, peak: { adults: 8, children: 7, burst: 9 }, lighter: 2 } as const;
/** Contact in percent of full power that goes with an effort; a tenth for each step above this. */
const NO_CONTACT_AT = 2;
const MOST_CONTACT = { usual: 60, theme: 80 } as const;

/** No turn of the back comes before this place: the parts and combos before it take ten minutes. */
const WARM_PLACE = 4.4;

function placeOf({ activity, nth, round }: ChosenRound): number {
  const { first, apart } = PLACES[activity];
  const place = first + nth * apart;
  return round.hasSpin ? Math.max(WARM_PLACE, place) : place;
}

const inOrder = (chosen: readonly ChosenRound[]): ChosenRound[] =>
  [...chosen].sort((a, b) => placeOf(a) - placeOf(b));

/**
 * The rounds in the order of a class, each with its effort, its contact where a partner is there, its turns and its rest: effort grows to
 * one peak and comes down.
 */
export function shaped(chosen: readonly ChosenRound[], of: DraftClass): DraftedRound[] {
  const rounds = inOrder(chosen);
  const efforts = effortsOf(rounds, of);
  return rounds.map(({ round, activity }, i): DraftedRound => {
    const effort = efforts[i]!;
    const work = activity === 'pads' ? round.work.map((block) => withContact(block, effort, of)) : round.work;
    const why = activity === 'pads' ? `${round.why} ${contactText(work)}` : round.why;
    return withRest({ ...round, id: activity, blocks: work, why, effort }, of.lengths.rest);
  });
}

function effortsOf(rounds: readonly ChosenRound[], { youth, load }: DraftClass): number[] {
  const hardest = rounds.findIndex(({ activity }) => activity === 'burst');
  const lastHard = rounds.findLastIndex(
    ({ activity }) => activity !== 'shadow' && activity !== 'conditioning',
  );
  const peak = hardest !== -1 ? hardest : Math.max(0, lastHard);
  const usual = youth ? EFFORT.peak.children : hardest !== -1 ? EFFORT.peak.burst : EFFORT.peak.adults;
  const top = load < LIGHT_CLASS ? usual - EFFORT.lighter : usual;
  return rounds.map((_, i) => {
    if (i === peak) return top;
    if (i < peak) return Math.min(top - 1, Math.round(EFFORT.first + ((top - EFFORT.first) * i) / peak));
    const after = rounds.length - 1 - peak;
    return Math.round(top - 2 - ((top - 2 - EFFORT.last) * (i - peak - 1)) / Math.max(1, after - 1));
  });
}

/** Contact that grows within a round, called where it changes; children keep to what their band may have. */
function withContact(
  block: WrittenBlock,
  effort: number,
  { youth, theme, contact }: DraftClass,
): WrittenBlock {
  const most = theme.work.has('contact') ? MOST_CONTACT.theme : MOST_CONTACT.usual;
  const wanted = Math.min(most, 10 * (effort - NO_CONTACT_AT) + (theme.work.has('contact') ? 10 : 0));
  const top = Math.min(wanted, contact ?? wanted, youth ? (youth.contact ?? 0) : wanted);
  const plan =
    top <= 0 ? [0] : [0.4, 0.7, 1].map((share) => Math.min(top, 5 * Math.round((top * share) / 5)));
  return 'cyclesEach' in block ? { ...block, intensity: [...new Set(plan)] } : block;
}

function contactText(work: readonly WrittenBlock[]): string {
  const plan = work.flatMap((block) => ('intensity' in block ? (block.intensity ?? []) : []));
  return plan.every((percent) => percent === 0) ? 'No contact.' : `Contact ${plan.join(', ')} %.`;
}

function withRest({ blocks, turns, ...round }: Omit<DraftedRound, 'series'>, seconds: Seconds): DraftedRound {
  const rest: WrittenBlock = { ...usualBlock('rest', 'rest'), seconds, next: '' };
  const whole = inTurns({ kind: round.kind, turns, blocks: [...blocks, rest] });
  return { ...round, turns, series: null, blocks: whole.blocks };
}
