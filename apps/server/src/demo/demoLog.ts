import { normalDraw, seedFromText, seededRandom, thousandths, type RandomSource } from '@eurhythm/core/units';
import { simulateBurst } from '@eurhythm/core/simulation';
import { heldRounds } from '@eurhythm/core/plan';
import { summariseBurst } from '@eurhythm/core/speed';
import { groupsOf, trainedIn } from '../runs/trained.ts';
import type { attempts, roundResults, runEvents, runRoundCombos, runRounds, runs } from '../store/schema.ts';
import { comboTestId } from '../assessments/assessmentIds.ts';
import { HEARD_COMBOS, heardAt, heardCombo } from './heardTrials.ts';
import { FIGHTERS, GRADES, TESTS, type DemoFighter, type Story } from './saltmarsh.ts';
import { eachTheirOwn } from './ownCombos.ts';
import { SESSIONS, type DemoSession } from './saltmarshSessions.ts';

export const DEMO_WEEKS = 8;
/** What every id of the demonstration's log and themes begins with. */
export const DEMO_PREFIX = 'demo-';
const DAY = 86_400_000;
/** In the first week a combo takes so many times as long as its line asks. */
const SLOW_AT_FIRST = 1.03;
/** A lucky trial is so many times as good as it should be. */
const LUCK = 1.17;
/** Classes of a week, as days from its start. */
const CLASS_DAYS = [0, 2, 5];

export interface DemoLog {
  readonly runs: (typeof runs.$inferInsert)[];
  readonly events: (typeof runEvents.$inferInsert)[];
  readonly rounds: (typeof runRounds.$inferInsert)[];
  readonly combos: (typeof runRoundCombos.$inferInsert)[];
  readonly results: (typeof roundResults.$inferInsert)[];
  readonly attempts: (typeof attempts.$inferInsert)[];
}

/**
 * Eight weeks of classes before `now`, played by virtual fighters. The same `now` gives the same log;
 * who comes, how it goes and how fast everybody is depends on each fighter's story and a fixed seed.
 */
export function demoLog(now: Date): DemoLog {
  const log: DemoLog = { runs: [], events: [], rounds: [], combos: [], results: [], attempts: [] };
  const firstDay = new Date(now.getTime() - DEMO_WEEKS * 7 * DAY).setHours(18, 30, 0, 0);
  for (let week = 0; week < DEMO_WEEKS; week++) {
    for (const [n, day] of CLASS_DAYS.entries()) {
      const at = firstDay + (week * 7 + day) * DAY;
      if (at < now.getTime() - DAY / 2)
        holdClass(log, {
          id: `${DEMO_PREFIX}${week}-${n}`,
          session: SESSIONS[(week + n) % SESSIONS.length]!,
          at,
          week,
          classOfWeek: n,
        });
    }
  }
  return log;
}

interface DemoClass {
  readonly id: string;
  readonly session: DemoSession;
  readonly at: number;
  readonly week: number;
  readonly classOfWeek: number;
}

function holdClass(log: DemoLog, { id, session, at, week, classOfWeek }: DemoClass): void {
  const random = seededRandom(seedFromText(id));
  const present = FIGHTERS.filter(({ story }) => random() < story.attends && !story.away?.includes(week));
  const rounds = eachTheirOwn(heldRounds(session.rounds), week);
  let clock = at;
  log.runs.push({
    id,
    sessionId: session.id,
    title: session.title,
    lead: session.lead,
    rounds,
    fighterIds: present.map((fighter) => fighter.id),
    groupOf: groupsOf(
      present.map((each) => ({
        ...each,
        grade: GRADES.find(({ id: gradeId }) => gradeId === each.gradeId)!.name,
      })),
      session.groups ?? [],
    ),
    startedAt: new Date(at),
    endedAt: new Date(at + 45 * 60_000),
  });
  const trained = trainedIn(id, rounds);
  log.rounds.push(...trained.rounds);
  log.combos.push(...trained.combos);
  log.events.push(
    loggedEvent(id, 1, 'start', at, { round: 0, position: 0 }),
    loggedEvent(id, 2, 'end', at + 45 * 60_000, {}),
  );
  for (const [round, { blocks }] of rounds.entries()) {
    clock += blocks.reduce((sum, block) => sum + block.seconds, 0) * 1000;
    for (const fighter of present) log.results.push(playRound(random, id, round, fighter, clock, week));
  }
  const test = TESTS[classOfWeek % TESTS.length]!;
  clock = doTests(log, { id, test, present, week, clock }, random);
  hearCombos(log, id, present, clock, week);
}

interface DemoTests {
  readonly id: string;
  readonly test: (typeof TESTS)[number];
  readonly present: readonly DemoFighter[];
  readonly week: number;
  readonly clock: number;
}

/** Everybody's trials of a class's test, one behind the other; gives when they were over. */
function doTests(
  log: DemoLog,
  { id, test, present, week, clock: from }: DemoTests,
  random: () => number,
): number {
  let clock = from;
  for (const fighter of present) {
    // both leads of the same test on the same day, mostly twice, so that they can be compared
    for (const lead of ['left', 'right'] as const) {
      const trials = random() < 0.6 ? 2 : 1;
      for (let trial = 0; trial < trials; trial++) {
        clock += 45_000;
        const isLucky = fighter.story.luckyWeek === week && lead === fighter.lead && trial === 0;
        const factor = isLucky ? test.factor * LUCK : test.factor;
        const instants = burst(fighter, factor, week, lead, random);
        const heard = test.isHeard ? heardAt(instants, seededRandom(clock), { due: null }) : null;
        log.attempts.push({
          id: `${id}-${fighter.id}-${lead}-${trial}`,
          fighterId: fighter.id,
          runId: id,
          testId: test.id,
          lead,
          instants,
          count: summariseBurst(instants, test.seconds).count,
          at: new Date(clock),
          measured: heard ? 'microphone' : 'taps',
          heard,
          value: null,
        });
      }
    }
  }
  return clock;
}

/** The first combo of each fighter's grade, from the own lead, heard at the bag. */
function hearCombos(
  log: DemoLog,
  id: string,
  present: readonly DemoFighter[],
  at: number,
  week: number,
): void {
  for (const [n, fighter] of present.entries()) {
    const combo = HEARD_COMBOS.find(({ gradeId }) => gradeId === fighter.gradeId);
    if (!combo) continue;
    const random = seededRandom(seedFromText(`${id}-${fighter.id}-combo`));
    const slow = (SLOW_AT_FIRST * rateIn(fighter, 0, fighter.lead)) / rateIn(fighter, week, fighter.lead);
    const { heard, instants, value } = heardCombo(combo, { ...fighter.story, slow }, random);
    log.attempts.push({
      id: `${id}-${fighter.id}-combo`,
      fighterId: fighter.id,
      runId: id,
      testId: comboTestId(combo.line),
      lead: fighter.lead,
      instants,
      count: instants.length,
      value,
      measured: 'microphone',
      heard,
      at: new Date(at + 60_000 * n),
    });
  }
}

function loggedEvent(
  runId: string,
  sequence: number,
  kind: 'start' | 'end',
  at: number,
  data: Readonly<Record<string, unknown>>,
): typeof runEvents.$inferInsert {
  return { runId, sequence, id: `demo-${kind}`, kind, at: new Date(at), receivedAt: new Date(at), data };
}

function burst(
  fighter: DemoFighter,
  factor: number,
  week: number,
  lead: 'left' | 'right',
  random: RandomSource,
): number[] {
  const dayForm = 1 + 0.03 * normalDraw(random);
  const profile = { ...fighter.story, rate: factor * dayForm * rateIn(fighter, week, lead) };
  return simulateBurst(profile, 10, random).map(thousandths);
}

function rateIn({ story, lead: ownLead }: DemoFighter, week: number, lead: 'left' | 'right'): number {
  const grown = Math.min(week, story.plateauFrom ?? week);
  return story.rate * (1 + story.weekly * grown) * (lead === ownLead ? 1 : 1 - story.otherLeadSlower);
}

function playRound(
  random: RandomSource,
  runId: string,
  round: number,
  fighter: DemoFighter,
  at: number,
  week: number,
): typeof roundResults.$inferInsert {
  const draw = random();
  const tired = round * 0.02;
  const done = draw < 0.86 - tired ? 'finished' : draw < 0.97 - tired ? 'part' : 'sat-out';
  return {
    id: `${runId}-${round}-${fighter.id}`,
    runId,
    round,
    fighterId: fighter.id,
    done,
    quality: done === 'sat-out' ? null : qualityOf(fighter.story, week, random),
    at: new Date(at),
  };
}

function qualityOf(story: Story, week: number, random: RandomSource): 'clean' | 'loose' | 'wild' {
  const draw = random() - story.weekly * week;
  return draw < 0.55 ? 'clean' : draw < 0.9 ? 'loose' : 'wild';
}
