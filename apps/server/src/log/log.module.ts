import { Controller, Get, Module, Param, Query } from '@nestjs/common';
import { AttemptPage, FighterLog, PageQuery } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { answers } from '../http/answers.ts';
import { HomeModule } from '../home/home.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { AssessmentsModule } from '../assessments/assessments.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { FighterLogService } from './fighterLog.service.ts';

@AllowRoles('coach')
@Controller('api/fighters')
class FighterLogController {
  constructor(
    private readonly logs: FighterLogService,
    private readonly tests: AssessmentsService,
  ) {}

  @Get(':id/log')
  @answers(FighterLog)
  log(@Param('id') id: string, @Query() query: PageQuery): Promise<FighterLog> {
    return this.logs.log(id, query);
  }

  @Get(':id/attempts')
  @answers(AttemptPage)
  attempts(@Param('id') id: string, @Query() query: PageQuery): Promise<AttemptPage> {
    return this.tests.pageOf(id, query);
  }
}

@Module({
  imports: [CombosModule, FightersModule, AssessmentsModule, HomeModule, MovesModule, ProgressModule],
  controllers: [FighterLogController],
  providers: [FighterLogService],
})
export class LogModule {}
