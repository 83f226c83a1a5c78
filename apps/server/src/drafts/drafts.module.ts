import { Body, Controller, HttpCode, Module, Param, Post } from '@nestjs/common';
import { DraftSessionDto, RepeatSessionDto, SessionDraftView, SessionSummary } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { GradingDaysModule } from '../gradingDays/gradingDays.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersList } from '../http/answers.ts';
import { LibraryModule } from '../library/library.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { DraftsService } from './drafts.service.ts';

@AllowRoles('coach')
@Controller('api/sessions')
class DraftsController {
  constructor(private readonly drafts: DraftsService) {}

  /** A session for those who come, with a reason for each round and what the planner says of it; nothing is kept. */
  @Post('draft')
  @HttpCode(200)
  @answers(SessionDraftView)
  draft(@Body() body: DraftSessionDto): Promise<SessionDraftView> {
    return this.drafts.draft(body, new Date());
  }

  /** Weeks to come, each class drafted anew for the same groups and the same length. */
  @Post(':id/forward')
  @HttpCode(200)
  @answersList(SessionSummary)
  async forward(
    @Param('id') id: string,
    @Body() body: RepeatSessionDto,
  ): Promise<{ items: SessionSummary[] }> {
    return { items: await this.drafts.forward(id, body, new Date()) };
  }
}

@Module({
  imports: [
    CombosModule,
    FightersModule,
    GradesModule,
    GradingDaysModule,
    GymSettingsModule,
    LibraryModule,
    MovesModule,
    ProgressModule,
    RunsModule,
    SessionsModule,
  ],
  controllers: [DraftsController],
  providers: [DraftsService],
  exports: [DraftsService],
})
export class DraftsModule {}
