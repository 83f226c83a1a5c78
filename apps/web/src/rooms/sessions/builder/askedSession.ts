import { BPM_LIMITS } from '@eurhythm/core/units';
import type { ComboView, SaveSessionDto, TestView } from '@eurhythm/contract';
import { measuringRound } from './measuringRound.ts';
import { newRound } from './newRound.ts';

/** What another page may ask a new session for: `combo` at `bpm`, or a `test`. */
export interface AskedFor {
  readonly combo: string | null;
  readonly bpm: number;
  readonly test: string | null;
}

interface AskedGround {
  readonly combos: readonly ComboView[];
  readonly tests: readonly TestView[];
  /** The combo of a session that nothing was asked of; null where the gym has none. */
  readonly firstCombo: string | null;
  readonly today: string;
}

/** A session as it begins: pads with the combo that was asked for, or a warm-up and the test from each lead. */
export function askedSession(
  { combo, bpm, test }: AskedFor,
  { combos, tests, firstCombo, today }: AskedGround,
): SaveSessionDto {
  const begun = { lead: 'left', plannedFor: null, word: '', groups: [] } as const;
  const wanted = tests.find(({ id }) => id === test);
  const first = wanted && measuringRound(wanted, combos, 'round-2');
  if (first) {
    // A burst is done from one lead at a time; a combo and reactions change it by themselves.
    const again = wanted.kind === 'burst' ? [measuringRound(wanted, combos, 'round-3')!] : [];
    const rounds =
      again.length > 0 ? [leadTold(first, 'own lead'), leadTold(again[0]!, 'other lead')] : [first];
    return {
      ...begun,
      groups: [],
      title: `Test: ${wanted.title}`.slice(0, 60),
      rounds: [newRound('warm-up', 'round-1', null), ...rounds],
    };
  }
  const known = combos.find(({ id }) => id === combo)?.id;
  const pads = newRound('pads', 'round-1', known ?? firstCombo);
  const isTempo = bpm >= BPM_LIMITS.min && bpm <= BPM_LIMITS.max;
  const blocks = pads.blocks.map((block) => (block.kind === 'combo' && isTempo ? { ...block, bpm } : block));
  return { ...begun, groups: [], title: `Class of ${today}`, rounds: [{ ...pads, blocks }] };
}

type Round = SaveSessionDto['rounds'][number];

const leadTold = (round: Round, lead: string): Round => ({
  ...round,
  title: `${round.title.slice(0, 46)}, ${lead}`,
});
