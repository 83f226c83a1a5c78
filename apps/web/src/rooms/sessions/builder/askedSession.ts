import type { Limb } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { combosForLimb } from '@eurhythm/core/progress';
import { BPM_LIMITS } from '@eurhythm/core/units';
import type { ComboView, SaveSessionDto, TestView } from '@eurhythm/contract';
import { measuringRound } from './measuringRound.ts';
import { newRound } from './newRound.ts';

/** What another page may ask a new session for: `combo` at `bpm`, a `test`, combos for a `limb`, or combos `from` the other lead. */
export interface AskedFor {
  readonly combo: string | null;
  readonly bpm: number;
  readonly test: string | null;
  readonly limb: string | null;
  readonly from: string | null;
}

/** As the addresses of pages ask for it. */
export const askedIn = (search: URLSearchParams): AskedFor => ({
  combo: search.get('combo'),
  bpm: Number(search.get('bpm') ?? NaN),
  test: search.get('test'),
  limb: search.get('limb'),
  from: search.get('from'),
});

/** So many combos work on a limb. */
const FOR_A_LIMB = 3;

interface AskedGround {
  readonly combos: readonly ComboView[];
  readonly tests: readonly TestView[];
  readonly book: MoveBook;
  /** The combo of a session that nothing was asked of; null where the gym has none. */
  readonly firstCombo: string | null;
  readonly today: string;
}

/** A session as it begins: pads with the combos that were asked for, or a warm-up and the test from each lead. */
export function askedSession(
  { combo, bpm, test, limb, from }: AskedFor,
  { combos, tests, book, firstCombo, today }: AskedGround,
): SaveSessionDto {
  const begun = { lead: 'left', plannedFor: null, word: '', groups: [] } as const;
  const wanted = tests.find(({ id }) => id === test);
  const first = wanted && measuringRound(wanted, combos, 'round-2');
  if (first) {
    // A burst is done from one lead at a time; a combo and reactions change it by themselves.
    const again = wanted.kind === 'burst' ? [measuringRound(wanted, combos, 'round-3')!] : [];
    const rounds =
      again.length > 0 ? [withLead(first, 'own lead'), withLead(again[0]!, 'other lead')] : [first];
    return {
      ...begun,
      groups: [],
      title: `Test: ${wanted.title}`.slice(0, 60),
      rounds: [newRound('warm-up', 'round-1', null), ...rounds],
    };
  }
  const known = combos.find(({ id }) => id === combo)?.id;
  const ofLimb = combosForLimb(limb as Limb, combos, book, FOR_A_LIMB).map(({ id }) => id);
  const pads = newRound('pads', 'round-1', known ?? ofLimb[0] ?? firstCombo, undefined, {
    ...(bpm >= BPM_LIMITS.min && bpm <= BPM_LIMITS.max ? { bpm } : {}),
    ...(ofLimb.length > 0 ? { combos: ofLimb.map((comboId) => ({ comboId })) } : {}),
    ...(from === 'other' ? { leadPlan: 'other' as const } : {}),
  });
  return { ...begun, groups: [], title: `Class of ${today}`, rounds: [pads] };
}

type Round = SaveSessionDto['rounds'][number];

const withLead = (round: Round, lead: string): Round => ({
  ...round,
  title: `${round.title.slice(0, 46)}, ${lead}`,
});
