/** What the demo gym's grades ask for, and what was seen, signed, asked and wished for; made up like the rest of it. */
import { memoryOf, type Recall } from '@eurhythm/core/progress';
import { seedFromText, seededRandom } from '@eurhythm/core/units';
import type { RequirementDto, SheetLineDto } from '@eurhythm/contract';
import { format } from 'date-fns';
import type { goals, gradings, recalls, shownMarks } from '../store/schema.ts';
import { COMBOS, FIGHTERS, GRADES, type DemoFighter } from './saltmarsh.ts';

const DAY = 86_400_000;
/** The coach of the demo. */
const COACH = 'Ama Holloway';
const SECOND = 'Ben Tarkine';

const combo = (
  id: string,
  comboId: string,
  more: Partial<Pick<RequirementDto, 'bpm' | 'bothLeads' | 'times'>> = {},
): RequirementDto => ({ id, kind: 'combo', comboId, bothLeads: true, bpm: null, times: 1, ...more });
const burst = (id: string, value: number): RequirementDto => ({
  ...{ id, kind: 'test', testId: 'two-straights', value, bothLeads: false, times: 2 },
});
const classes = (id: string, count: number): RequirementDto => ({ id, kind: 'sessions', count, weeks: 8 });
const shown = (id: string, text: string): RequirementDto => ({ id, kind: 'shown', text });
const since = (id: string, weeks: number): RequirementDto => ({ id, kind: 'time', weeks });

/** What each grade asks for, by the id of the grade. */
export const REQUIREMENTS: Readonly<Record<string, readonly RequirementDto[]>> = {
  herons: [
    combo('herons-a', 'minnows-1'),
    classes('herons-b', 10),
    shown('herons-c', 'Ties the wraps without help'),
    since('herons-d', 8),
  ],
  slack: [
    combo('slack-a', 'ebb-1'),
    combo('slack-b', 'ebb-2', { times: 2 }),
    burst('slack-c', 24),
    classes('slack-d', 12),
    shown('slack-e', 'Names the gym’s eight numbers in any order'),
    shown('slack-f', 'Looks after a new partner'),
    since('slack-g', 12),
  ],
  flood: [
    combo('flood-a', 'slack-2', { times: 2 }),
    burst('flood-b', 30),
    classes('flood-c', 12),
    shown('flood-d', 'Holds pads for a kick from both leads'),
    shown('flood-e', 'Explains when to stop'),
    since('flood-f', 16),
  ],
  spring: [
    combo('spring-a', 'flood-3'),
    combo('spring-b', 'flood-4', { bpm: 84 }),
    burst('spring-c', 36),
    classes('spring-d', 16),
    shown('spring-e', 'Leads a warm-up'),
    since('spring-f', 26),
  ],
};

/** Seen of all but these, by fighter: what is not marked is missing. */
const SEEN: Readonly<Record<string, readonly string[]>> = {
  lumi: ['herons-c'],
  sanne: ['slack-e'],
  emeka: [],
  dario: ['slack-f'],
  mbali: ['flood-e'],
  tomasz: ['flood-d'],
  nuria: ['flood-d', 'flood-e'],
  radek: ['spring-e'],
};

/** Weeks since the grade that somebody has. */
const GRADED_WEEKS = 30;

interface DemoGrades {
  readonly shown: (typeof shownMarks.$inferInsert)[];
  readonly gradings: (typeof gradings.$inferInsert)[];
  readonly goals: (typeof goals.$inferInsert)[];
  readonly recalls: (typeof recalls.$inferInsert)[];
}

/** Marks, signed sheets, goals and memory of the demo, as of an instant; asked is what was trained. */
export function demoGrades(now: Date, trained: ReadonlySet<string>): DemoGrades {
  const day = (daysAgo: number): string => format(now.getTime() - daysAgo * DAY, 'yyyy-MM-dd');
  return {
    shown: Object.entries(SEEN).flatMap(([fighterId, ids], i) =>
      ids.map((requirementId, j) => ({ fighterId, requirementId, day: day(6 + 5 * i + 2 * j), by: COACH })),
    ),
    gradings: FIGHTERS.map((fighter, i) => grading(fighter, day(7 * GRADED_WEEKS + 3 * (i % 5)))),
    goals: [
      goal('sanne', 30, day(-42), day(35)),
      goal('mbali', 42, day(-28), day(40)),
      goal('nuria', 34, day(-30), day(21)),
    ],
    recalls: FIGHTERS.flatMap((fighter) =>
      recallsOf(fighter, now).filter(({ comboId }) => trained.has(comboId)),
    ),
  };
}

function grading({ id: fighterId, gradeId }: DemoFighter, day: string): typeof gradings.$inferInsert {
  const grade = GRADES.find(({ id }) => id === gradeId)!.name;
  const lines: SheetLineDto[] = (REQUIREMENTS[gradeId] ?? []).map((requirement) => ({
    asked: requirement.text ?? `${grade}: ${requirement.kind}`,
    evidence: '',
    first: 'passed',
    second: 'passed',
  }));
  const sheet = { fighterId, gradeId, grade, day, passed: true, signedBy: COACH, secondExaminer: SECOND };
  return { id: `demo-grading-${fighterId}`, ...sheet, note: '', lines };
}

function goal(fighterId: string, value: number, by: string, setOn: string): typeof goals.$inferInsert {
  const { lead } = FIGHTERS.find(({ id }) => id === fighterId)!;
  return { id: `demo-goal-${fighterId}`, fighterId, testId: 'two-straights', lead, value, by, setOn };
}

/** So many days ago the combos of a grade were asked. */
const ASKED_DAYS_AGO = [46, 39, 27, 12];

/** The combos of the own grade, asked at the end of some classes. */
function recallsOf({ id: fighterId, gradeId, story }: DemoFighter, now: Date): DemoGrades['recalls'] {
  return COMBOS.filter((each) => each.gradeId === gradeId && each.variant === null).flatMap(
    ({ id: comboId }) => {
      const random = seededRandom(seedFromText(`${fighterId}-${comboId}-memory`));
      const times = ASKED_DAYS_AGO.filter(() => random() < story.attends).map(
        (
          daysAgo,
        ): {
          recall: Recall;
          at: string;
        } => ({
          recall: random() < 0.7 ? 'recalled' : random() < 0.6 ? 'with-help' : 'forgot',
          at: new Date(now.getTime() - daysAgo * DAY).toISOString(),
        }),
      );
      return times.map(({ recall, at }, i) => ({
        id: `demo-recall-${fighterId}-${comboId}-${i}`,
        fighterId,
        comboId,
        recall,
        runId: null,
        at: new Date(at),
        card: memoryOf(times.slice(0, i + 1))!,
      }));
    },
  );
}
