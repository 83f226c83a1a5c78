import { Injectable, NotFoundException, UnprocessableEntityException } from '@nestjs/common';
import { summariseTrials } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { AttemptView, FighterLog, FighterView, LoggedRound, SaveFighterDto } from '@eurhythm/contract';
import { asc, desc, eq } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import type { Database } from '../store/openStore.ts';
import { attempts, fighters, grades, roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { attemptView } from './attemptView.ts';

@Injectable()
export class FightersService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly combos: CombosService,
  ) {}

  async list(): Promise<FighterView[]> {
    const rows = await this.database
      .select()
      .from(fighters)
      .innerJoin(grades, eq(fighters.gradeId, grades.id))
      .orderBy(asc(grades.position), asc(fighters.name));
    return rows.map((row) => ({ ...row.fighters, grade: row.grades.name }));
  }

  async one(id: string): Promise<FighterView> {
    const found = (await this.list()).find((fighter) => fighter.id === id);
    if (!found) throw new NotFoundException('This fighter is not in the gym.');
    return found;
  }

  async save(id: string, fighter: SaveFighterDto): Promise<FighterView> {
    const [grade] = await this.database.select().from(grades).where(eq(grades.id, fighter.gradeId));
    const message = 'This grade does not exist.';
    if (!grade) throw new UnprocessableEntityException({ message, errors: [{ field: 'gradeId', message }] });
    await this.database
      .insert(fighters)
      .values({ id, ...fighter })
      .onConflictDoUpdate({ target: fighters.id, set: fighter });
    return this.one(id);
  }

  async log(id: string): Promise<FighterLog> {
    const fighter = await this.one(id);
    const [rounds, tries] = await Promise.all([this.rounds(id), this.attempts(id)]);
    return { fighter, rounds, attempts: tries, bursts: burstsOf(tries) };
  }

  private async attempts(id: string): Promise<AttemptView[]> {
    const rows = await this.database
      .select()
      .from(attempts)
      .where(eq(attempts.fighterId, id))
      .orderBy(asc(attempts.at));
    return rows.map(attemptView);
  }

  private async rounds(id: string): Promise<LoggedRound[]> {
    const rows = await this.database
      .select()
      .from(roundResults)
      .innerJoin(runs, eq(roundResults.runId, runs.id))
      .where(eq(roundResults.fighterId, id))
      .orderBy(desc(roundResults.at));
    const ids = rows.flatMap(({ runs: run }) => run.rounds.flatMap((round) => comboIds(round.blocks)));
    const combos = await this.combos.some([...new Set(ids)]);
    return rows.map(({ round_results: result, runs: run }) => {
      const round = run.rounds[result.round];
      const names = comboIds(round?.blocks ?? []).map((comboId) => {
        const combo = combos.get(comboId);
        return combo ? `${combo.grade} ${combo.number}` : 'a combo that is gone';
      });
      return {
        ...result,
        at: result.at.toISOString(),
        session: run.title,
        title: round?.title ?? '',
        kind: round?.kind ?? '',
        combos: names,
        bpm: round?.blocks.find((block) => block.kind === 'combo')?.bpm ?? null,
      };
    });
  }
}

function comboIds(blocks: (typeof runs.$inferSelect)['rounds'][number]['blocks']): string[] {
  return blocks.flatMap((block) =>
    block.kind === 'combo' ? block.combos.flatMap((ref) => ref.comboId ?? []) : [],
  );
}

/** Bursts of one kind from one lead belong together: best, median and number of trials. */
function burstsOf(tries: readonly AttemptView[]): FighterLog['bursts'] {
  const kinds = groupBy(tries, (attempt) => `${attempt.title}|${attempt.lead}|${attempt.seconds}`);
  return [...kinds.values()].map((same) => {
    const { title, lead } = same[0]!;
    return {
      title,
      lead,
      ...summariseTrials(
        same.map((attempt) => attempt.count),
        'higher',
      )!,
    };
  });
}
