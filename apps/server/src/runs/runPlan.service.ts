import { Injectable } from '@nestjs/common';
import { comboNeed } from '@eurhythm/core/progress';
import { TIME_CALLS, kindOf } from '@eurhythm/core/rounds';
import { burstRound } from '@eurhythm/core/run';
import { groupBy } from '@eurhythm/core/units';
import type { BeginningView, PlannedRoundView, RunPlanView, RunView } from '@eurhythm/contract';
import { MemoryService } from '../progress/memory.service.ts';
import { PaceService } from '../progress/pace.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { RoundsService } from '../sessions/rounds.service.ts';
import { RunsService } from './runs.service.ts';

/** Any burst says the same, however long it is. */
const ANY_SECONDS = 10;

/** Everything that a device needs to play a run by itself, given once. */
@Injectable()
export class RunPlanService {
  constructor(
    private readonly runs: RunsService,
    private readonly rounds: RoundsService,
    private readonly moves: MovesService,
    private readonly memory: MemoryService,
    private readonly paces: PaceService,
  ) {}

  async plan(runId: string): Promise<RunPlanView> {
    return this.planOf(await this.runs.one(runId));
  }

  /** A session's run as it would begin, and its plan, for a device that may have to begin by itself. */
  async beginning(sessionId: string): Promise<BeginningView> {
    const run = await this.runs.beginning(sessionId);
    return { run, plan: await this.planOf(run) };
  }

  private async planOf({
    id: runId,
    lead,
    word,
    rounds,
    fighterIds,
    startedAt,
  }: RunView): Promise<RunPlanView> {
    const all = [...rounds.flatMap(({ blocks }) => blocks), ...burstRound(ANY_SECONDS).blocks];
    const [book, planned] = await Promise.all([
      this.moves.view(),
      this.rounds.plan({
        blocks: all as (typeof rounds)[number]['blocks'],
        word,
        timeCalls: [...TIME_CALLS],
      }),
    ]);
    // As it was when it began: a page that is opened again in the middle plays the same.
    const began = new Date(startedAt);
    const [memory, paces] = await Promise.all([
      this.memory.of(fighterIds, began),
      this.paces.measured(fighterIds, began),
    ]);
    const byCombo = groupBy(memory, ({ comboId }) => comboId);
    const weighted = planned.blocks.map((block) =>
      kindOf(block).weighed(block, (id) => comboNeed(byCombo.get(id) ?? [], fighterIds.length)),
    );
    let taken = 0;
    const filled = rounds.map(({ id, title, kind, blocks, timeCalls }): PlannedRoundView => {
      const own = weighted.slice(taken, (taken += blocks.length));
      return { id, title, kind, blocks: own, ...(timeCalls ? { timeCalls } : {}) };
    });
    const { count, factor, clips } = planned;
    return { runId, lead, word, count, factor, rounds: filled, book, clips, paces };
  }
}
