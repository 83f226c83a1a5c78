import { Controller, Get, Module, Param, Query } from '@nestjs/common';
import { AttemptPage, FighterLog, PageQuery } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { answers } from '../house/answers.ts';
import { HomeModule } from '../home/home.module.ts';
import { TestsModule } from '../tests/tests.module.ts';
import { TestsService } from '../tests/tests.service.ts';
import { FighterLogService } from './fighterLog.service.ts';

@May('coach')
@Controller('api/fighters')
class FighterLogController {
  constructor(
    private readonly logs: FighterLogService,
    private readonly tests: TestsService,
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
  imports: [FightersModule, TestsModule, HomeModule],
  controllers: [FighterLogController],
  providers: [FighterLogService],
})
export class LogModule {}
