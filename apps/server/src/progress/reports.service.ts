import { Injectable } from '@nestjs/common';
import { comboName } from '@eurhythm/core/plan';
import { reportParts, tally, type ReportFacts } from '@eurhythm/core/progress';
import { ofSide } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { FighterView, ReportQuery, ReportView } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { AttendanceService } from './attendance.service.ts';
import { courseOf, evennessViews } from './courseViews.ts';
import { dayOf } from './days.ts';
import { GoalsService } from './goals.service.ts';
import { GradeChecksService } from './gradeChecks.service.ts';
import { MemoryService } from './memory.service.ts';
import { SetsService, type MarkedSet } from './sets.service.ts';
import { TemposService } from './tempos.service.ts';
import { TrialsService } from './trials.service.ts';

/** Pages about people in plain words: of one, or of a whole class at once. */
@Injectable()
export class ReportsService {
  constructor(
    private readonly fighters: FightersService,
    private readonly attendance: AttendanceService,
    private readonly sets: SetsService,
    private readonly combos: CombosService,
    private readonly trials: TrialsService,
    private readonly checks: GradeChecksService,
    private readonly tempos: TemposService,
    private readonly memory: MemoryService,
    private readonly goals: GoalsService,
  ) {}

  async of({ from, to, gradeId, who }: ReportQuery): Promise<ReportView[]> {
    const now = endOf(to);
    const people = await this.people(who, gradeId);
    const ids = people.map(({ id }) => id);
    const [classes, sets, errors, checks, tempos, memory] = await Promise.all([
      this.attendance.classesOf(ids),
      this.sets.of(ids, new Date(`${from}T00:00:00`), { alsoUnjudged: true }),
      this.trials.gymErrors(now),
      this.checks.of(people, now),
      this.tempos.of(ids, now),
      this.memory.of(ids, now),
    ]);
    const named = await this.namesOf(sets);
    const within = groupBy(
      sets.filter(({ day }) => day >= from && day <= to),
      ({ fighterId }) => fighterId,
    );
    return Promise.all(
      people.map(async ({ id, name }): Promise<ReportView> => {
        const own = await this.trials.ofFighter(id);
        const leads = evennessViews(own, errors, dayOf(now));
        const check = checks.find(({ fighterId }) => fighterId === id);
        const goals = await this.goals.against(id, own, errors, now);
        const facts: ReportFacts = {
          trained: tally(classes.get(id) ?? [], { from, to }),
          combos: mostTrained(within.get(id) ?? [], named),
          courses: own.flatMap((of) => {
            const found = courseOf(of, errors, dayOf(now));
            const { title, lead, kind, unit, seconds, sides } = of;
            return found
              ? [{ title, lead, kind, unit, seconds, sides, learning: found.learning, month: found.month }]
              : [];
          }),
          grade: check
            ? {
                name: check.grade,
                missing: check.lines.flatMap(({ isMet, asked }) => (isMet ? [] : [asked])),
              }
            : null,
          behind: leads.flatMap(({ title, behind, sentence }) => (behind ? [`${title}. ${sentence}`] : [])),
          up: tempos.filter(({ fighterId, bpm, last }) => fighterId === id && bpm > (last ?? bpm)),
          due: memory.flatMap(({ fighterId, isDue, combo }) => (fighterId === id && isDue ? [combo] : [])),
          goals: goals.map(({ title, lead, sentence }) => `Goal, ${ofSide(title, lead)}. ${sentence}`),
        };
        return { fighterId: id, name, parts: reportParts(facts) };
      }),
    );
  }

  private async people(who: string | undefined, gradeId: string | undefined): Promise<FighterView[]> {
    if (who !== undefined) return this.fighters.some(who.split(',').filter(Boolean));
    return (await this.fighters.fit()).filter((each) => gradeId === undefined || each.gradeId === gradeId);
  }

  private async namesOf(sets: readonly MarkedSet[]): Promise<(id: string) => string> {
    const combos = await this.combos.some([...new Set(sets.map(({ comboId }) => comboId))]);
    return (id) => comboName(combos.get(id));
  }
}

/** The last instant of a day where the server stands; what is still to come of today does not count yet. */
const endOf = (day: string): Date =>
  new Date(Math.min(Date.now(), new Date(`${day}T23:59:59.999`).getTime()));

function mostTrained(sets: readonly MarkedSet[], named: (id: string) => string): ReportFacts['combos'] {
  return [...groupBy(sets, ({ comboId }) => comboId)]
    .map(([id, those]) => ({ name: named(id), rounds: those.length }))
    .sort((a, b) => b.rounds - a.rounds || (a.name < b.name ? -1 : 1));
}
