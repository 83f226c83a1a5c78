import { Injectable } from '@nestjs/common';
import {
  looseForLong,
  meantShares,
  neglectedLead,
  sitsOut,
  standTogether,
  testsDue,
  groupWithMostDue,
  wildLately,
} from '@eurhythm/core/progress';
import { ofSide } from '@eurhythm/core/speed';
import { comboName } from '@eurhythm/core/plan';
import { togetherOf, trainsIt } from '@eurhythm/core/tempo';
import { groupBy, howMany } from '@eurhythm/core/units';
import type { CourseView, EvennessView, FighterView, QuestionView } from '@eurhythm/contract';
import { differenceInCalendarDays } from 'date-fns';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { AskedQuestionsService, keyOf } from './askedQuestions.service.ts';
import { AttendanceService } from './attendance.service.ts';
import { courseView, evennessViews } from './courseViews.ts';
import { dayOf, weeksBefore } from './days.ts';
import { GoalsService } from './goals.service.ts';
import { GradeChecksService } from './gradeChecks.service.ts';
import { MemoryService } from './memory.service.ts';
import { SetsService, type MarkedSet } from './sets.service.ts';
import { TemposService } from './tempos.service.ts';
import { TrialsService, type TestTrials } from './trials.service.ts';
import { VolumeService } from './volume.service.ts';

/** Trials of half a year say who improved and who is behind. */
const WEEKS = 26;
/** What a class left out shows in a month. */
const MONTH_WEEKS = 4;
/** Who came before and has not for so many days is missed. */
const AWAY_DAYS = 21;
/** So many of a kind are asked at once: the rest stands on the pages themselves. */
const MOST_OF_A_KIND = 3;
/** A combo is ready where so many of those who train it may go up. */
const READY = 0.5;

/** What the log asks the coach today: each with its numbers and the page that does something about it. */
@Injectable()
export class QuestionsService {
  constructor(
    private readonly fighters: FightersService,
    private readonly trials: TrialsService,
    private readonly attendance: AttendanceService,
    private readonly memory: MemoryService,
    private readonly tempos: TemposService,
    private readonly sets: SetsService,
    private readonly checks: GradeChecksService,
    private readonly goals: GoalsService,
    private readonly volumes: VolumeService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly memoryOfAsked: AskedQuestionsService,
  ) {}

  /** What is to be asked today: what was asked this week already, or was answered, is left alone. */
  async today(now = new Date()): Promise<QuestionView[]> {
    const all = (await this.all(now)).map((question) => ({ ...question, key: keyOf(question) }));
    return this.memoryOfAsked.notAskedYet(all, dayOf(now));
  }

  /** Everything that the log would ask, whether it was asked before or not; nothing is written down. */
  async all(now = new Date()): Promise<Asked[]> {
    const who = await this.fighters.fit();
    const ids = who.map(({ id }) => id);
    const [combos, book] = await Promise.all([this.combos.list(), this.moves.book()]);
    const meant = meantShares(combos, book);
    const [trials, errors, attendance, memory, tempos, checks, unreported, sets, limbs, satOut] =
      await Promise.all([
        this.trials.ofSome(ids, weeksBefore(now, WEEKS)),
        this.trials.gymErrors(now),
        this.attendance.of(ids, now),
        this.memory.of(ids, now),
        this.tempos.of(ids, now),
        this.checks.of(who, now),
        this.goals.unreported(ids),
        this.sets.of(ids, weeksBefore(now, MONTH_WEEKS)),
        this.volumes.limbsOf(ids, now, meant),
        this.sets.satOut(ids, weeksBefore(now, MONTH_WEEKS)),
      ]);
    const byFighter = groupBy(trials, ({ fighterId }) => fighterId);
    const today = dayOf(now);
    const ofEach = who.map((fighter) => {
      const own = byFighter.get(fighter.id) ?? [];
      return {
        fighter,
        courses: own.flatMap((of) => courseView(of, errors, today, {}) ?? []),
        leads: evennessViews(own, errors, today),
      };
    });
    const reached = await Promise.all(
      [...new Set(unreported.map(({ fighterId }) => fighterId))].map(async (id) => ({
        fighter: who.find((each) => each.id === id)!,
        goals: (await this.goals.against(id, byFighter.get(id) ?? [], errors, now)).filter(
          (goal) => goal.state === 'reached' && unreported.some((each) => each.id === goal.id),
        ),
      })),
    );
    const stand = standingIn(ofEach);
    // Nobody is asked about who does not come: that is asked by itself.
    const gone = new Set(awayFor(who, attendance, now).flatMap(({ fighterId }) => fighterId ?? []));
    const isHere = ({ fighterId }: Pick<Asked, 'fighterId'>): boolean =>
      fighterId === null || !gone.has(fighterId);
    const nameOf = (id: string): string => comboName(combos.find((combo) => combo.id === id));
    return [
      ...reached.flatMap(({ fighter, goals }) =>
        goals.map(({ id: goalId, title, sentence }) => ({
          ...about(fighter, 'goal reached', `${title}: ${sentence}`, 'See the trials', ''),
          goalId,
        })),
      ),
      ...few(changed(ofEach, stand, 'faster').filter(isHere)),
      ...few(changed(ofEach, stand, 'slower').filter(isHere)),
      ...few(looseLong(sets, who, nameOf).filter(isHere)),
      ...few(wildOnes(sets, who, nameOf).filter(isHere)),
      ...few(sittingOut(satOut, who).filter(isHere)),
      ...few(awayFor(who, attendance, now)),
      ...few(leadsBehind(ofEach).filter(isHere)),
      ...leadLeftOut(sets, who),
      ...limbLeftOut(limbs, meant),
      ...few(nearGrades(checks).filter(isHere)),
      ...few(readyCombos(tempos, await this.ofGrades(who, tempos, now))),
      ...dueTest(trials, new Set(ids.filter((id) => (attendance.get(id)?.lately ?? 0) > 0)), today),
      ...dueCombos(memory, (id) => who.find((each) => each.id === id)?.gradeId ?? null),
    ];
  }

  /** The tempos of the combos that were marked, for everybody who trains them. */
  private async ofGrades(who: readonly FighterView[], marked: Tempos, now: Date): Promise<Tempos> {
    const combos = (await this.combos.list()).filter(({ id }) =>
      marked.some(({ comboId }) => comboId === id),
    );
    const of = await this.tempos.of(
      who.map(({ id }) => id),
      now,
      combos.map(({ id }) => id),
    );
    const gradeOf = new Map(who.map(({ id, gradeId }) => [id, gradeId]));
    return of.filter(({ fighterId, comboId, last }) =>
      trainsIt(
        { gradeId: gradeOf.get(fighterId) ?? '', isMarked: last !== null },
        combos.find(({ id }) => id === comboId)!,
      ),
    );
  }
}

const few = (questions: readonly Asked[]): readonly Asked[] => questions.slice(0, MOST_OF_A_KIND);

function about(
  { id, name }: FighterView,
  kind: QuestionView['kind'],
  sentence: string,
  action: string,
  under: string,
): Asked {
  return { kind, fighterId: id, name, sentence, to: `/fighters/${id}${under}`, action };
}

type Each = readonly {
  readonly fighter: FighterView;
  readonly courses: readonly CourseView[];
  readonly leads: readonly EvennessView[];
}[];

/** The comparisons of the last month that may stand in one list: everybody in every test is asked about at once. */
const standingIn = (ofEach: Each): ReadonlySet<CourseView> =>
  standTogether(
    ofEach.flatMap(({ courses }) => courses),
    ({ month }) => month?.chance ?? null,
  );

/** Who really changed in the last month, by the test in which it shows most; the most first. */
function changed(ofEach: Each, stand: ReadonlySet<CourseView>, verdict: 'faster' | 'slower'): Asked[] {
  return ofEach
    .flatMap(({ fighter, courses }) => {
      const [most] = courses
        .filter((each) => stand.has(each) && each.month?.verdict === verdict)
        .sort((a, b) => sizeOf(b) - sizeOf(a));
      return most ? [{ fighter, most }] : [];
    })
    .sort((a, b) => sizeOf(b.most) - sizeOf(a.most))
    .map(({ fighter, most }) => {
      const sentence = `${ofSide(most.title, most.lead, most.sides)}. ${most.month!.sentence}`;
      // Whether a fall is real shows when it is tried again.
      return verdict === 'faster'
        ? about(fighter, 'improved', sentence, 'See the trials', '')
        : {
            ...about(fighter, 'slipped', sentence, 'Plan the test', ''),
            to: `/sessions/new?test=${most.testId}`,
          };
    });
}

/** Whose lead is behind, by the test in which it is most; the most first. */
function leadsBehind(ofEach: Each): Asked[] {
  const size = ({ percent }: { readonly percent: number }): number => Math.abs(percent);
  const stand = standTogether(
    ofEach.flatMap(({ leads }) => leads),
    ({ chance }) => chance,
  );
  return ofEach
    .flatMap(({ fighter, leads }) => {
      const [worst] = leads
        .filter((each) => each.behind !== null && stand.has(each))
        .sort((a, b) => size(b) - size(a));
      return worst ? [{ fighter, worst }] : [];
    })
    .sort((a, b) => size(b.worst) - size(a.worst))
    .map(({ fighter, worst }) =>
      about(fighter, 'lead behind', `${worst.title}: ${worst.sentence}`, 'See both leads', ''),
    );
}

/** How large a change is beside what was before. */
const sizeOf = ({ month }: CourseView): number => Math.abs((month?.change ?? 0) / (month?.means.before || 1));

/** Whether the class trains from one lead alone. */
function leadLeftOut(sets: readonly MarkedSet[], who: readonly FighterView[]): Asked[] {
  const leadOf = new Map(who.map(({ id, lead }) => [id, lead]));
  const leads = sets.flatMap((set) => set.leads.map((lead) => lead === leadOf.get(set.fighterId)));
  const own = leads.filter(Boolean).length;
  const share = neglectedLead({ own, other: leads.length - own });
  if (share === null) return [];
  return [
    {
      kind: 'lead neglected',
      fighterId: null,
      name: 'The other lead',
      sentence: `Only ${Math.round(100 * share)} % of the rounds with combos of the last four weeks were done from it.`,
      to: '/sessions/new?from=other',
      action: 'Build a session',
    },
  ];
}

/** Who was loose in the same combo for weeks: it wants another way. */
function looseLong(
  sets: readonly MarkedSet[],
  who: readonly FighterView[],
  nameOf: (id: string) => string,
): Asked[] {
  return looseForLong(sets).flatMap(({ fighterId, comboId, classes }) => {
    const fighter = who.find(({ id }) => id === fighterId);
    const sentence = `${nameOf(comboId)} was not clean in ${classes} classes running: slower, by parts, until it is.`;
    return fighter
      ? [
          {
            ...about(fighter, 'loose long', sentence, 'Build a session', ''),
            to: `/sessions/new?combo=${comboId}`,
          },
        ]
      : [];
  });
}

function wildOnes(
  sets: readonly MarkedSet[],
  who: readonly FighterView[],
  nameOf: (id: string) => string,
): Asked[] {
  return wildLately(sets).flatMap(({ fighterId, comboIds }) => {
    const fighter = who.find(({ id }) => id === fighterId);
    const sentence = `Wild in the last class: ${comboIds.map(nameOf).join(', ')}. The next tempo is slower.`;
    return fighter ? [about(fighter, 'wild lately', sentence, 'See the tempos', '')] : [];
  });
}

function sittingOut(days: Awaited<ReturnType<SetsService['satOut']>>, who: readonly FighterView[]): Asked[] {
  return sitsOut(days).flatMap(({ fighterId, classes }) => {
    const fighter = who.find(({ id }) => id === fighterId);
    const sentence = `Sat something out in each of the last ${classes} classes. Ask why, and write down what to take care of.`;
    return fighter ? [about(fighter, 'sits out', sentence, 'Write a note', '?entry')] : [];
  });
}

/** Whether the class leaves a limb out. */
function limbLeftOut(
  { shares, neglected }: Awaited<ReturnType<VolumeService['limbsOf']>>,
  meant: ReturnType<typeof meantShares>,
): Asked[] {
  if (!shares || !neglected) return [];
  return [
    {
      kind: 'limb neglected',
      fighterId: null,
      name: `The ${neglected.replace('-', ' ')}`,
      sentence: `Of all strikes of the last four weeks it had ${Math.round(100 * shares[neglected])} %; the gym’s combos would give it ${Math.round(100 * (meant?.[neglected] ?? 0.25))} %.`,
      to: `/sessions/new?limb=${neglected}`,
      action: 'Build a session',
    },
  ];
}

/** Who came before and has not for some weeks. */
function awayFor(
  who: readonly FighterView[],
  attendance: Awaited<ReturnType<AttendanceService['of']>>,
  now: Date,
): Asked[] {
  const away = who.map((fighter) => {
    const came = attendance.get(fighter.id);
    return { fighter, came, days: came ? differenceInCalendarDays(now, new Date(came.last)) : 0 };
  });
  // Who is missed for longest stands first.
  away.sort((a, b) => b.days - a.days);
  return away.flatMap(({ fighter, came, days }) => {
    if (days < AWAY_DAYS) return [];
    const sentence = `Not here for ${howMany(days, 'day')}; ${howMany(came!.classes, 'class', 'classes')} in the half year before.`;
    return [about(fighter, 'away', sentence, 'Write a note', '?entry')];
  });
}

/** Who has all that a grade asks for, or all but one thing. */
function nearGrades(checks: Awaited<ReturnType<GradeChecksService['of']>>): Asked[] {
  return checks
    .filter(({ lines, met }) => met >= lines.length - 1)
    .sort((a, b) => a.lines.length - a.met - (b.lines.length - b.met))
    .map(({ fighterId, name, grade, lines, met }) => ({
      kind: 'grade near' as const,
      fighterId,
      name,
      sentence:
        met === lines.length
          ? `Has all ${met} that ${grade} asks for.`
          : `One thing is missing for ${grade}: ${lines.find(({ isMet }) => !isMet)!.asked}.`,
      to: `/fighters/${fighterId}/grade`,
      action: 'Open the check list',
    }));
}

/** The test in which most of those who come were not measured for long. */
function dueTest(trials: readonly TestTrials[], coming: ReadonlySet<string>, today: string): Asked[] {
  const last = trials.map(({ testId, title, fighterId, trials: own }) => ({
    testId,
    title,
    fighterId,
    last: own.at(-1)!.day,
  }));
  return testsDue(last, coming, today)
    .slice(0, 1)
    .map(({ testId, title, late, of, weeks }) => ({
      kind: 'test due' as const,
      fighterId: null,
      name: title,
      sentence: `${late} of ${of} who come were not measured in it for ${weeks} weeks or more: nobody knows whether they got faster.`,
      to: `/sessions/new?test=${testId}`,
      action: 'Plan the test',
    }));
}

type Asked = Omit<QuestionView, 'key'>;
type Tempos = Awaited<ReturnType<TemposService['of']>>;

/** Combos that most of those who train them may do faster, at the tempo that is right for all who do: those of its grade too. */
function readyCombos(tempos: Tempos, all: Tempos): Asked[] {
  const forAll = groupBy(all, ({ comboId }) => comboId);
  return [...groupBy(tempos, ({ comboId }) => comboId).values()]
    .map((those) => ({
      those,
      up: those.filter(({ bpm, last }) => bpm > (last ?? bpm)),
      bpm: togetherOf(forAll.get(those[0]!.comboId) ?? those)!.bpm,
      last: Math.max(...those.map(({ last }) => last ?? 0)),
    }))
    .filter(({ those, up, bpm, last }) => up.length >= 2 && up.length >= READY * those.length && bpm > last)
    .sort((a, b) => b.up.length - a.up.length)
    .map(({ those, up, bpm }) => {
      const { combo, comboId } = those[0]!;
      return {
        kind: 'combo up' as const,
        fighterId: null,
        name: combo,
        sentence: `${up.length} of ${those.length} may go faster: up to ${bpm} bpm, which is right for all who do it.`,
        to: `/sessions/new?combo=${comboId}&bpm=${bpm}`,
        action: 'Put it into a session',
      };
    });
}

/** The page opens at the grade whose people have most to be asked. */
function dueCombos(
  memory: Awaited<ReturnType<MemoryService['of']>>,
  gradeOf: (fighterId: string) => string | null,
): Asked[] {
  const due = memory.filter(({ isDue }) => isDue);
  if (due.length === 0) return [];
  const [most] = [...groupBy(due, ({ comboId }) => comboId).values()].sort((a, b) => b.length - a.length);
  const slipping = due.filter(({ isSlipping }) => isSlipping).length;
  const fighters = new Set(due.map(({ fighterId }) => fighterId)).size;
  return [
    {
      kind: 'combos due',
      fighterId: null,
      name: `${howMany(due.length, 'combo')} due`,
      sentence: `With ${howMany(fighters, 'fighter')}; ${slipping} slipping. Most often ${most![0]!.combo} (${most!.length}).`,
      to: `/fighters/memory?grade=${groupWithMostDue(due, gradeOf)}`,
      action: 'Review combos due',
    },
  ];
}
