import { Injectable, NotFoundException } from '@nestjs/common';
import { valueText, goalNow, type Course, type GoalNow } from '@eurhythm/core/progress';
import type { GoalView, SaveGoalDto } from '@eurhythm/contract';
import { asc, eq, inArray } from 'drizzle-orm';
import { FightersService } from '../fighters/fighters.service.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database } from '../store/database.ts';
import { goals, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { saveVersioned } from '../store/versionedWrite.ts';
import { courseOf } from './courseViews.ts';
import { dayOf } from './days.ts';
import { TrialsService, type GymErrors, type TestTrials } from './trials.service.ts';

type Row = typeof goals.$inferSelect;
type Test = typeof tests.$inferSelect;

/** What coaches and fighters set themselves. */
@Injectable()
export class GoalsService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly trials: TrialsService,
  ) {}

  /** Of one fighter, each as it stands now, the nearest first. */
  async of(fighterId: string, now: Date): Promise<GoalView[]> {
    const [own, errors] = await Promise.all([this.trials.ofFighter(fighterId), this.trials.gymErrors(now)]);
    return this.against(fighterId, own, errors, now);
  }

  /** The same where the trials are known already. */
  async against(
    fighterId: string,
    own: readonly TestTrials[],
    errors: GymErrors,
    now: Date,
  ): Promise<GoalView[]> {
    const rows = await this.rows([fighterId]);
    const today = dayOf(now);
    return rows.map(({ goal, test }) => {
      const those = own.find(({ testId, lead }) => testId === goal.testId && lead === goal.lead);
      return goalView(goal, test, those ? courseOf(those, errors, today) : null, today);
    });
  }

  /** The open goals of some that nobody was informed of yet. */
  async unreported(fighterIds: readonly string[]): Promise<Row[]> {
    return (await this.rows(fighterIds)).map(({ goal }) => goal).filter(({ toldOn }) => toldOn === null);
  }

  private async rows(fighterIds: readonly string[]): Promise<{ goal: Row; test: Test }[]> {
    if (fighterIds.length === 0) return [];
    return this.database
      .select({ goal: goals, test: tests })
      .from(goals)
      .innerJoin(tests, eq(goals.testId, tests.id))
      .where(inArray(goals.fighterId, [...fighterIds]))
      .orderBy(asc(goals.by), asc(goals.id));
  }

  /** Sets or changes a goal; the same request again changes nothing. */
  async save(id: string, goal: SaveGoalDto, basedOn?: number): Promise<GoalView> {
    const [fighter] = await this.fighters.some([goal.fighterId]);
    if (!fighter) throw refuseField('fighterId', 'This fighter is not in the gym.');
    const [test] = await this.database.select().from(tests).where(eq(tests.id, goal.testId));
    if (!test) throw refuseField('testId', 'This test does not exist. Choose another one.');
    const contentOf = ({ fighterId, testId, lead, value, by, setOn }: SaveGoalDto): SaveGoalDto => ({
      ...{ fighterId, testId, lead, value, by, setOn },
    });
    return saveVersioned(this.database, goals, {
      key: 'id',
      id,
      row: contentOf(goal),
      contentOf,
      basedOn,
      now: async () => (await this.of(goal.fighterId, new Date())).find((each) => each.id === id)!,
    });
  }

  /** Keeps the day on which somebody was told that a goal is reached: it is said once. */
  async markReported(id: string, day: string): Promise<void> {
    const [row] = await this.database.update(goals).set({ toldOn: day }).where(eq(goals.id, id)).returning();
    if (!row) throw new NotFoundException('This goal does not exist.');
  }

  async remove(id: string): Promise<void> {
    await this.database.delete(goals).where(eq(goals.id, id));
  }
}

function goalView({ toldOn: _, ...goal }: Row, test: Test, course: Course | null, today: string): GoalView {
  const now = goalNow(goal, course, test.direction, today);
  return {
    ...goal,
    title: test.title,
    ...now,
    sentence: goalSentence(goal, now, valueText(test.kind, test.unit)),
  };
}

function goalSentence(
  { by }: SaveGoalDto,
  { state, reachedOn, expected }: GoalNow,
  textOf: (value: number) => string,
): string {
  const then =
    expected &&
    `${textOf(expected.value)} on that day by the trend (${textOf(expected.from)} to ${textOf(expected.to)})`;
  switch (state) {
    case 'reached':
      return `Goal reached on ${reachedOn}: half of that day’s trials were at or above it.`;
    case 'over':
      return `The day is over, and it was not reached.`;
    case 'on the way':
      return `On the way: ${then}.`;
    case 'not on the way':
      return `Not on the way: ${then}. A later day, or a nearer goal, would be honest.`;
    case 'open':
      return then
        ? `Nobody can tell yet: ${then}.`
        : `Nobody can tell yet: it takes five days of trials before ${by}.`;
    default:
      return state satisfies never;
  }
}
