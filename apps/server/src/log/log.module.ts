import { Controller, Get, Module, Param, Query } from '@nestjs/common';
import { FighterLog, PageQuery } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { answers } from '../house/answers.ts';
import { TestsModule } from '../tests/tests.module.ts';
import { FighterLogService } from './fighterLog.service.ts';

@May('coach')
@Controller('api/fighters')
class FighterLogController {
  constructor(private readonly logs: FighterLogService) {}

  @Get(':id/log')
  @answers(FighterLog)
  log(@Param('id') id: string, @Query() query: PageQuery): Promise<FighterLog> {
    return this.logs.log(id, query);
  }
}

@Module({
  imports: [FightersModule, TestsModule],
  controllers: [FighterLogController],
  providers: [FighterLogService],
})
export class LogModule {}
