import { randomInt } from 'node:crypto';
import { Injectable, Logger, NotFoundException } from '@nestjs/common';
import { hallNames } from '@eurhythm/core/run';
import { CODE_LENGTH, CODE_LETTERS, type HallRunView } from '@eurhythm/contract';
import { and, eq, isNull } from 'drizzle-orm';
import { RateLimit } from '../auth/rateLimit.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { loggable } from '../store/open/databaseFaults.ts';
import { GymService } from '../gym/gym.service.ts';
import { RunNews } from '../runs/runNews.ts';
import { RunPlanService } from '../runs/runPlan.service.ts';
import { RunsService } from '../runs/runs.service.ts';
import type { Database } from '../store/database.ts';
import { hallCodes, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';

const NO_SUCH_CODE = 'No class has this code. It may be mistyped, or the class is over.';

/** The codes with which devices join a class, and what they are given. */
@Injectable()
export class HallService {
  private readonly log = new Logger('Hall');
  private readonly tries = new RateLimit({ tries: 10, seconds: 300 }, { tries: 200, seconds: 300 });

  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly runs: RunsService,
    private readonly plans: RunPlanService,
    private readonly fighters: FightersService,
    private readonly gym: GymService,
    news: RunNews,
  ) {
    news.hear((runId, { kind }) => {
      if (kind === 'end') this.close(runId).catch((error: unknown) => this.log.warn(loggable(error)));
    });
  }

  /** The code of a run that goes on; made when it is first asked for. */
  async codeOf(runId: string): Promise<string> {
    const { endedAt } = await this.runs.one(runId);
    if (endedAt !== null) throw new NotFoundException('This class is over.');
    for (;;) {
      await this.database.insert(hallCodes).values({ code: newCode(), runId }).onConflictDoNothing();
      const [row] = await this.database.select().from(hallCodes).where(eq(hallCodes.runId, runId));
      // Another run had the same code by chance.
      if (row) return row.code;
    }
  }

  /** The run with this code. @throws 404 with a sentence, 429 after too many wrong ones */
  async runOf(code: string, address: string): Promise<string> {
    await this.tries.take(address);
    // Of a run that is over it opens nothing, also where it could not be taken out.
    const [row] = await this.database
      .select({ runId: hallCodes.runId })
      .from(hallCodes)
      .innerJoin(runs, eq(hallCodes.runId, runs.id))
      .where(and(eq(hallCodes.code, code), isNull(runs.endedAt)));
    if (!row) throw new NotFoundException(NO_SUCH_CODE);
    await this.tries.wasRight(address);
    return row.runId;
  }

  /** What a joined device is given: nothing but the run. */
  async view(runId: string): Promise<HallRunView> {
    const [{ title, sessionId, lead, partners, events, fighterIds }, plan, { school }] = await Promise.all([
      this.runs.one(runId),
      this.plans.plan(runId),
      this.gym.gym(),
    ]);
    const known = new Map((await this.fighters.some(fighterIds)).map(({ id, name }) => [id, name]));
    // Who was erased meanwhile is not there any more.
    const there = fighterIds.filter((id) => known.has(id));
    const names = hallNames(
      there.map((id) => known.get(id)!),
      school.hallNames,
    );
    return {
      title,
      sessionId,
      lead,
      partners,
      events,
      plan,
      fighters: there.map((id, i) => ({ id, name: names[i]! })),
    };
  }

  private async close(runId: string): Promise<void> {
    await this.database.delete(hallCodes).where(eq(hallCodes.runId, runId));
  }
}

function newCode(): string {
  return Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
}
