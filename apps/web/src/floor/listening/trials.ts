import { comboName } from '@eurhythm/core/plan';
import type { RoundToPlay } from '@eurhythm/core/run';
import type { MeasuredInTake, TakeTrial, Tested } from '@eurhythm/core/speed';
import type { SaveAttemptDto } from '@eurhythm/contract';
import { heardTrial } from '../../strikeInputs/heardTrial.ts';
import type { BurstInRound, RoundTests, StrikeResult } from './strikeResults.ts';

/** What is reported beside a trial: whose run it belongs to, when it was, and the lead where a line says none. */
export interface TrialPlace {
  readonly lead: 'left' | 'right';
  readonly runId: string;
  readonly at: string;
}

/** Length that a test says which has none of its own. */
const TEST_SECONDS = 10;
const LONGEST_TITLE = 80;

/** What is tested, and what it is called. */
interface NamedTest extends Tested {
  readonly title: string;
  readonly line?: string;
  readonly lead: TrialPlace['lead'];
}

/** All that is kept of a result; of one who was counted by hand it is that number, of what was only tried it is nothing. */
export function trialsOf(
  result: StrikeResult,
  round: RoundToPlay,
  tests: RoundTests,
  place: TrialPlace,
  counted: number | null,
): SaveAttemptDto[] {
  const { fighterId, trials, take } = result;
  const { source } = take.listener;
  if (source === null) return [];
  const kept = trials.flatMap((trial): SaveAttemptDto[] => {
    const tested = testOf(trial, round, tests, place);
    if (!tested || (trial.kind === 'burst' && trial.result.instants.length === 0)) return [];
    const heard = heardTrial({ ...take.listener, source }, trial.evidence.onsets, trial.evidence);
    const instants = [...trial.result.instants];
    // What was heard is sent as it is.
    return [{ ...place, ...tested, fighterId, instants, measured: source, heard } as SaveAttemptDto];
  });
  if (counted === null) return kept;
  const tested = kept[0] ?? testToCount(result, round, tests, place);
  if (!tested) return [];
  const { heard: _, ...test } = tested as SaveAttemptDto;
  return [{ ...place, ...test, fighterId, instants: [], said: counted, measured: 'by-hand' }];
}

/** What a number that somebody counted is a trial of, where nothing that was heard is one; null where there was nothing to count. */
export function testToCount(
  { landed }: Pick<StrikeResult, 'landed'>,
  round: RoundToPlay,
  tests: RoundTests,
  place: Pick<TrialPlace, 'lead'>,
): NamedTest | null {
  for (const combo of landed.combos) {
    const tested = testOf({ kind: 'combo-time', combo }, round, tests, place);
    if (tested) return tested;
  }
  const [burst] = tests.bursts;
  if (burst) return testOf({ kind: 'burst', burst }, round, tests, place);
  return tests.calls.at.length === 0 ? null : testOf({ kind: 'reaction' }, round, tests, place);
}

/** The test of what was measured; null of a combo that is not in the round. */
function testOf(
  measured: MeasuredInTake | TakeTrial,
  round: RoundToPlay,
  { bursts, calls }: RoundTests,
  { lead }: Pick<TrialPlace, 'lead'>,
): NamedTest | null {
  switch (measured.kind) {
    case 'combo-time': {
      const { combo } = measured;
      const of = round.combos.find(({ id }) => id === combo.combo);
      if (!of) return null;
      const title = comboName(of).slice(0, LONGEST_TITLE);
      return { kind: 'combo-time', title, line: of.line, seconds: TEST_SECONDS, lead: combo.lead ?? lead };
    }
    case 'burst': {
      const burst = bursts.find(({ from }) => from === measured.burst.from) as BurstInRound;
      return { kind: 'burst', title: burst.title, seconds: burst.seconds, lead };
    }
    case 'reaction':
      return { kind: 'reaction', title: calls.title, seconds: TEST_SECONDS, lead };
    default:
      return measured satisfies never;
  }
}
