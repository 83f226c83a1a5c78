import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put } from '@nestjs/common';
import {
  MarkResultDto,
  RunClockDto,
  SaveAttemptDto,
  StartRunDto,
  type AttemptView,
  type LastTrained,
  type ResultView,
  type RunView,
} from '@eurhythm/contract';
import { OwnId } from '../house/ownId.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { RunsService } from './runs.service.ts';

@Controller('api/runs')
class RunsController {
  constructor(private readonly runs: RunsService) {}

  @Get('trained')
  lastTrained(): Promise<LastTrained> {
    return this.runs.lastTrained();
  }

  @Get(':id')
  one(@Param('id') id: string): Promise<RunView> {
    return this.runs.one(id);
  }

  @Put(':id')
  start(@Param('id', OwnId) id: string, @Body() body: StartRunDto): Promise<RunView> {
    return this.runs.start(id, body);
  }

  @Put(':id/clock')
  clock(@Param('id') id: string, @Body() body: RunClockDto): Promise<RunView> {
    return this.runs.setClock(id, body);
  }

  @Put(':id/end')
  end(@Param('id') id: string): Promise<RunView> {
    return this.runs.end(id);
  }

  @Put(':id/results/:resultId')
  mark(
    @Param('id') id: string,
    @Param('resultId', OwnId) resultId: string,
    @Body() body: MarkResultDto,
  ): Promise<ResultView> {
    return this.runs.mark(id, resultId, body);
  }

  @Delete(':id/results/:resultId')
  @HttpCode(204)
  unmark(@Param('id') id: string, @Param('resultId') resultId: string): Promise<void> {
    return this.runs.unmark(id, resultId);
  }
}

@Controller('api/attempts')
class AttemptsController {
  constructor(private readonly runs: RunsService) {}

  @Put(':id')
  save(@Param('id', OwnId) id: string, @Body() body: SaveAttemptDto): Promise<AttemptView> {
    return this.runs.saveAttempt(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.runs.removeAttempt(id);
  }
}

@Module({
  imports: [SessionsModule],
  controllers: [RunsController, AttemptsController],
  providers: [RunsService],
  exports: [RunsService],
})
export class RunsModule {}
