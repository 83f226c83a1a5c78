import { Body, Controller, HttpCode, Module, Post } from '@nestjs/common';
import { DraftSessionDto, SessionDraftView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { GradingDaysModule } from '../gradingDays/gradingDays.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers } from '../http/answers.ts';
import { LibraryModule } from '../library/library.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
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
  ],
  controllers: [DraftsController],
  providers: [DraftsService],
  exports: [DraftsService],
})
export class DraftsModule {}
