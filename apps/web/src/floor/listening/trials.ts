import { comboName } from '@eurhythm/core/plan';
import type { RoundToPlay } from '@eurhythm/core/run';
import { workOut, type ComboLanded, type HeardTrial, type Tested, type Workers } from '@eurhythm/core/speed';
import { thousandths, type Seconds } from '@eurhythm/core/units';
import type { SaveAttemptDto } from '@eurhythm/contract';
import { heardTrial, type KeptEar } from '../../ears/heardTrial.ts';
import type { Take } from './Listening.ts';
import { cleaned, type Landed } from './landed.ts';

/** What is told beside a trial: whose run it belongs to, when it was, and the lead where a line says none. */
export interface TrialPlace {
  readonly lead: 'left' | 'right';
  readonly runId: string;
  readonly at: string;
}

/** What a round tests beside its combos: bursts that are over, and calls that are answered at once. */
export interface RoundTests {
  readonly bursts: readonly BurstInRound[];
  readonly calls: { readonly at: readonly Seconds[]; readonly title: string };
}

/** All that is kept of a take: of `landed`, and of what else was tested. Of one who was counted by hand it is that number. */
export function trialsOfTake(
  take: Take,
  landed: readonly Landed[],
  round: RoundToPlay,
  { bursts, calls }: RoundTests,
  workers: Workers,
  place: TrialPlace,
  counts: ReadonlyMap<string, number>,
): SaveAttemptDto[] {
  const trials = [
    ...landed.flatMap((each) => comboTrials(each, round, place)),
    ...burstTrials(take, round, bursts, workers, place),
    ...reactionTrials(take, round, calls.at, workers, { ...place, title: calls.title }),
  ];
  const counted = [...counts].flatMap(([fighterId, said]): SaveAttemptDto[] => {
    const theirs = landed.find((each) => each.fighterId === fighterId);
    const first = trials.find((trial) => trial.fighterId === fighterId);
    const tested = first ?? (theirs && testToCount(theirs, round, { bursts, calls }, place));
    if (!tested) return [];
    const { heard: _, ...test } = tested;
    return [{ ...place, ...test, fighterId, instants: [], said, measured: 'by-hand' }];
  });
  return [...trials.filter(({ fighterId }) => !counts.has(fighterId)), ...counted];
}

/** What a number that somebody counted is a trial of, where nothing that was heard is one; null where there was nothing to count. */
export function testToCount(
  { heard }: Pick<Landed, 'heard'>,
  round: RoundToPlay,
  { bursts, calls }: RoundTests,
  { lead }: Pick<TrialPlace, 'lead'>,
): (NamedTest & { readonly lead: TrialPlace['lead']; readonly heard?: undefined }) | null {
  for (const combo of heard.combos) {
    const tested = testOf(combo, round);
    if (tested) return { ...tested, lead: combo.lead ?? lead };
  }
  const [burst] = bursts;
  if (burst) return { kind: 'burst', title: burst.title, seconds: burst.seconds, lead };
  return calls.at.length === 0 ? null : { kind: 'reaction', title: calls.title, seconds: TEST_SECONDS, lead };
}

/** What is kept of a round: one trial of each combo of which a whole time through landed. */
export function comboTrials(landed: Landed, round: RoundToPlay, place: TrialPlace): SaveAttemptDto[] {
  const ear = keptEar(landed.take);
  if (!ear) return [];
  return landed.heard.combos.flatMap((combo): SaveAttemptDto[] => {
    const tested = testOf(combo, round);
    if (!tested || !hasWholeTime(combo, landed)) return [];
    const heard = heardTrial(ear, combo.onsets, { due: combo.due, starts: combo.starts });
    return [trialOf(landed.fighterId, heard, { ...place, lead: combo.lead ?? place.lead }, tested)];
  });
}

/** The test of how long a combo takes. */
function testOf({ combo }: ComboLanded, round: RoundToPlay): NamedTest | null {
  const line = round.combos.find(({ id }) => id === combo);
  if (!line) return null;
  return {
    kind: 'combo-time',
    title: comboName(line).slice(0, 80),
    line: line.line,
    seconds: TEST_SECONDS,
  };
}

/** The answers to calls at random waits, as trials of those who work there. */
export function reactionTrials(
  take: Take,
  round: RoundToPlay,
  calls: readonly Seconds[],
  { fighterIds, workerAt }: Workers,
  { title, ...place }: TrialPlace & { readonly title: string },
): SaveAttemptDto[] {
  const ear = keptEar(take);
  if (!ear || calls.length === 0) return [];
  const { latency } = ear;
  const onsets = cleaned(take, round, []).strikes;
  return fighterIds.flatMap((fighterId): SaveAttemptDto[] => {
    const own = calls.filter((at) => workerAt(at) === fighterId);
    const answers = onsets.filter(({ at }) => workerAt(at - latency) === fighterId);
    const heard = heardTrial(ear, answers, { due: own });
    const tested = { kind: 'reaction', title, seconds: TEST_SECONDS } as const;
    return workOut(tested, heard).value === null ? [] : [trialOf(fighterId, heard, place, tested)];
  });
}

/** A burst of a round: when it runs, and what the test of it is. */
export interface BurstInRound {
  readonly from: Seconds;
  readonly seconds: Seconds;
  readonly title: string;
}

/** Bursts that are blocks of a round, as trials of those who work there. */
export function burstTrials(
  take: Take,
  round: RoundToPlay,
  bursts: readonly BurstInRound[],
  { fighterIds, workerAt }: Workers,
  place: TrialPlace,
): SaveAttemptDto[] {
  const ear = keptEar(take);
  if (!ear) return [];
  const { latency } = ear;
  const { strikes } = cleaned(take, round, []);
  return bursts.flatMap(({ from, seconds, title }): SaveAttemptDto[] => {
    const worker = workerAt(from);
    if (worker === null || !fighterIds.includes(worker) || take.from > from) return [];
    const onsets = strikes
      .filter(({ at }) => at - latency >= from && at - latency <= from + seconds)
      .map((onset) => ({ ...onset, at: thousandths(onset.at - from) }));
    const trial = trialOf(worker, heardTrial(ear, onsets, { due: null }), place, {
      kind: 'burst',
      title,
      seconds,
    });
    return trial.instants.length === 0 ? [] : [trial];
  });
}

/** Length that a test says which has none of its own. */
const TEST_SECONDS = 10;

/** What is tested, and what it is called. */
interface NamedTest extends Tested {
  readonly title: string;
  readonly line?: string;
}

function trialOf(
  fighterId: string,
  heard: HeardTrial,
  { runId, lead, at }: TrialPlace,
  tested: NamedTest,
): SaveAttemptDto {
  const instants = [...workOut(tested, heard).instants];
  const { source: measured } = heard;
  // What was heard is sent as it is.
  return {
    ...tested,
    fighterId,
    runId,
    lead,
    at,
    instants,
    measured,
    heard,
  } as SaveAttemptDto;
}

/** What heard a take, as a trial keeps it; null where it was only tried. */
function keptEar({ listener }: Take): KeptEar | null {
  const { source } = listener;
  return source === null ? null : { ...listener, source };
}

function hasWholeTime({ starts, due: own }: ComboLanded, { heard, due }: Landed): boolean {
  const isHit = new Set(heard.match.hits.map((hit) => due[hit.due]!.at));
  return starts.some((from, i) => own.slice(from, starts[i + 1] ?? own.length).every((at) => isHit.has(at)));
}
