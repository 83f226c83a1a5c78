import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put, Query } from '@nestjs/common';
import {
  AttemptView,
  BeginningView,
  MarkResultDto,
  PageQuery,
  ResultView,
  RunEventDto,
  RunEventView,
  RunNoteDto,
  RunPage,
  RunPlanView,
  RunView,
  SaveAttemptDto,
  StartRunDto,
  type LastTrained,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { answers, answersById, answersNothing } from '../http/answers.ts';
import { DeviceOffset, type ClockOffset } from '../http/deviceClock.ts';
import { OwnId } from '../http/ownId.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { AssessmentsModule } from '../assessments/assessments.module.ts';
import { AssessmentsService } from '../assessments/assessments.service.ts';
import { HeldRunsService } from './heldRuns.service.ts';
import { MarksService } from './marks.service.ts';
import { RunLogService } from './runLog.service.ts';
import { RunNews } from './runNews.ts';
import { RunPlanService } from './runPlan.service.ts';
import { RunsService } from './runs.service.ts';

@AllowRoles('coach')
@Controller('api/runs')
class RunsController {
  constructor(
    private readonly runs: RunsService,
    private readonly held: HeldRunsService,
    private readonly marks: MarksService,
    private readonly plans: RunPlanService,
  ) {}

  @Get('trained')
  @answersById({ type: 'string' })
  lastTrained(): Promise<LastTrained> {
    return this.held.lastTrained();
  }

  @Get()
  @answers(RunPage)
  list(@Query() query: PageQuery): Promise<RunPage> {
    return this.held.page(query);
  }

  @Get(':id')
  @answers(RunView)
  one(@Param('id') id: string): Promise<RunView> {
    return this.runs.one(id);
  }

  @Get(':id/plan')
  @answers(RunPlanView)
  plan(@Param('id') id: string): Promise<RunPlanView> {
    return this.plans.plan(id);
  }

  @Put(':id')
  @answers(RunView)
  start(
    @Param('id', OwnId) id: string,
    @Body() body: StartRunDto,
    @DeviceOffset() offset: ClockOffset,
  ): Promise<RunView> {
    return this.runs.start(id, body, offset);
  }

  @Put(':id/events/:eventId')
  @answers(RunEventView)
  take(
    @Param('id') id: string,
    @Param('eventId', OwnId) eventId: string,
    @Body() body: RunEventDto,
    @DeviceOffset() offset: ClockOffset,
  ): Promise<RunEventView> {
    return this.runs.take(id, eventId, body, offset);
  }

  @Put(':id/end')
  @answers(RunView)
  end(@Param('id') id: string): Promise<RunView> {
    return this.runs.end(id);
  }

  /** How hard the class was, and what the coach notes of it; also after its end. */
  @Put(':id/note')
  @answers(RunView)
  note(@Param('id') id: string, @Body() body: RunNoteDto): Promise<RunView> {
    return this.runs.note(id, body);
  }

  @Put(':id/results/:resultId')
  @answers(ResultView)
  mark(
    @Param('id') id: string,
    @Param('resultId', OwnId) resultId: string,
    @Body() body: MarkResultDto,
    @DeviceOffset() offset: ClockOffset,
  ): Promise<ResultView> {
    return this.runs.mark(id, resultId, body, offset);
  }

  @Delete(':id/results/:resultId')
  @HttpCode(204)
  @answersNothing()
  unmark(@Param('id') id: string, @Param('resultId') resultId: string): Promise<void> {
    return this.marks.unmark(id, resultId);
  }
}

@AllowRoles('coach')
@Controller('api/sessions')
class BeginningsController {
  constructor(private readonly plans: RunPlanService) {}

  /** The run of a session as it would begin now. */
  @Get(':id/beginning')
  @answers(BeginningView)
  beginning(@Param('id') id: string): Promise<BeginningView> {
    return this.plans.beginning(id);
  }
}

@AllowRoles('coach')
@Controller('api/attempts')
class AttemptsController {
  constructor(
    private readonly runs: RunsService,
    private readonly tests: AssessmentsService,
  ) {}

  @Put(':id')
  @answers(AttemptView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveAttemptDto,
    @DeviceOffset() offset: ClockOffset,
  ): Promise<AttemptView> {
    return this.runs.saveAttempt(id, body, offset);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.tests.removeAttempt(id);
  }
}

@Module({
  imports: [
    SessionsModule,
    MovesModule,
    ProgressModule,
    FightersModule,
    AssessmentsModule,
    GymSettingsModule,
  ],
  controllers: [RunsController, BeginningsController, AttemptsController],
  providers: [HeldRunsService, RunsService, MarksService, RunLogService, RunPlanService, RunNews],
  exports: [HeldRunsService, RunsService, RunPlanService, RunNews],
})
export class RunsModule {}
