import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put, Query } from '@nestjs/common';
import { compareTrials } from '@eurhythm/core/progress';
import {
  AnswerQuestionDto,
  AttendedWeekList,
  BasedOnQuery,
  BetweenQuery,
  ClassProgress,
  ClassQuery,
  CompareDto,
  ComparedView,
  FighterProgress,
  GoalView,
  GradeCheckList,
  GradeQuery,
  GradingView,
  LifetimeView,
  MarkShownDto,
  MemoryList,
  PaceList,
  QuestionList,
  RegisterQuery,
  RegisterView,
  ReportList,
  ReportQuery,
  RequirementsList,
  RequirementsView,
  SaveGoalDto,
  SaveRecallsDto,
  SaveRequirementsDto,
  SignGradeDto,
  TempoList,
  TempoQuery,
  GoalReportedDto,
  VolumeView,
  WhoQuery,
  WithdrawGradeDto,
} from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { AssessmentsModule } from '../assessments/assessments.module.ts';
import { AskedQuestionsService } from './askedQuestions.service.ts';
import { AttendanceService } from './attendance.service.ts';
import { ClassProgressService } from './classProgress.service.ts';
import { FighterProgressService } from './fighterProgress.service.ts';
import { GoalsService } from './goals.service.ts';
import { GradeChecksService } from './gradeChecks.service.ts';
import { GradeFactsService } from './gradeFacts.service.ts';
import { GradingsService } from './gradings.service.ts';
import { MemoryService } from './memory.service.ts';
import { PaceService } from './pace.service.ts';
import { QuestionsService } from './questions.service.ts';
import { ReportsService } from './reports.service.ts';
import { RequirementsService } from './requirements.service.ts';
import { SetsService } from './sets.service.ts';
import { TemposService } from './tempos.service.ts';
import { TrialsService } from './trials.service.ts';
import { VolumeService } from './volume.service.ts';

@AllowRoles('coach')
@Controller('api')
class ProgressController {
  constructor(
    private readonly fighter: FighterProgressService,
    private readonly classes: ClassProgressService,
    private readonly questions: QuestionsService,
    private readonly answers: AskedQuestionsService,
    private readonly tempos: TemposService,
    private readonly memory: MemoryService,
    private readonly paces: PaceService,
    private readonly who: FightersService,
    private readonly volumes: VolumeService,
    private readonly attendance: AttendanceService,
    private readonly reports: ReportsService,
  ) {}

  /** Whether trials after something are really better than those before it. */
  @Post('progress/compare')
  @HttpCode(200)
  @answers(ComparedView)
  compare(@Body() { better, before, after, typicalError = null }: CompareDto): ComparedView {
    const plain = (days: CompareDto['before']) =>
      days.map(({ day, values }) => ({ day: String(day), values }));
    return compareTrials({ better, before: plain(before), after: plain(after), typicalError });
  }

  @Get('fighters/:id/progress')
  @answers(FighterProgress)
  ofFighter(@Param('id') id: string, @Query() between: BetweenQuery): Promise<FighterProgress> {
    return this.fighter.of(id, between);
  }

  /** How much somebody struck in the last half year, by limb and week. */
  @Get('fighters/:id/volume')
  @answers(VolumeView)
  volume(@Param('id') id: string): Promise<VolumeView> {
    return this.volumes.of(id);
  }

  /** How often somebody did each move since the first day. */
  @Get('fighters/:id/lifetime')
  @answers(LifetimeView)
  lifetime(@Param('id') id: string): Promise<LifetimeView> {
    return this.volumes.lifetime(id);
  }

  @Get('progress/class')
  @answers(ClassProgress)
  ofClass(@Query() query: ClassQuery): Promise<ClassProgress> {
    return this.classes.of(query);
  }

  /** How many of those who may train now came, week by week over half a year. */
  @Get('progress/attended')
  @answers(AttendedWeekList)
  async attended(@Query() { gradeId }: GradeQuery): Promise<AttendedWeekList> {
    const who = (await this.who.fit()).filter((each) => gradeId === undefined || each.gradeId === gradeId);
    return {
      items: await this.attendance.byWeek(
        who.map(({ id }) => id),
        new Date(),
      ),
    };
  }

  /** A page about each of some, of a grade, or of all who may train: what was trained, what changed for sure, what comes next. */
  @Get('progress/reports')
  @answers(ReportList)
  async reported(@Query() query: ReportQuery): Promise<ReportList> {
    return { items: await this.reports.of(query) };
  }

  /** Who was in which class of a month. */
  @Get('progress/register')
  @answers(RegisterView)
  async register(@Query() { month, gradeId }: RegisterQuery): Promise<RegisterView> {
    const who = (await this.who.all()).filter((each) => gradeId === undefined || each.gradeId === gradeId);
    return this.attendance.register(month, who);
  }

  /** What the log asks the coach today. */
  @Get('progress/questions')
  @answers(QuestionList)
  async asked(): Promise<QuestionList> {
    return { items: await this.questions.today() };
  }

  /** A question is answered: the same is not asked again within a week. */
  @Put('progress/questions/answered')
  @HttpCode(204)
  @answersNothing()
  answered(@Body() body: AnswerQuestionDto): Promise<void> {
    return this.answers.answered(body, new Date());
  }

  /** The tempo of each combo that was marked, or of some, for those who are asked for, or for all who may train. */
  @Get('progress/tempos')
  @answers(TempoList)
  async next(@Query() { who, combos }: TempoQuery): Promise<TempoList> {
    return { items: await this.tempos.of(await this.idsOf(who), new Date(), combos?.split(',')) };
  }

  /** The pace of those whose pace was measured, of those who are asked for or of all who may train. */
  @Get('progress/paces')
  @answers(PaceList)
  async quickness(@Query() { who }: WhoQuery): Promise<PaceList> {
    return { items: await this.paces.measured(await this.idsOf(who), new Date()) };
  }

  @Get('progress/memory')
  @answers(MemoryList)
  async remembered(@Query() { who }: WhoQuery): Promise<MemoryList> {
    return this.memory.list(await this.idsOf(who), new Date());
  }

  /** Keeps how combos came to a group that was asked; the answers have ids of their own, the asking only has a name. */
  @Put('progress/recalls/:id')
  @answers(MemoryList)
  async recalled(@Param('id', OwnId) _id: string, @Body() { recalls }: SaveRecallsDto): Promise<MemoryList> {
    await this.memory.keep(recalls);
    return this.memory.list([...new Set(recalls.map(({ fighterId }) => fighterId))], new Date());
  }

  private async idsOf(who: string | undefined): Promise<string[]> {
    return who === undefined ? (await this.who.fit()).map(({ id }) => id) : who.split(',').filter(Boolean);
  }
}

@AllowRoles('coach')
@Controller('api')
class GradeChecksController {
  constructor(
    private readonly requirements: RequirementsService,
    private readonly checks: GradeChecksService,
    private readonly gradings: GradingsService,
    private readonly who: FightersService,
  ) {}

  @Get('grades/requirements')
  @answers(RequirementsList)
  async list(): Promise<RequirementsList> {
    return { items: await this.requirements.list() };
  }

  @Put('grades/:id/requirements')
  @answers(RequirementsView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveRequirementsDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<RequirementsView> {
    return this.requirements.save(id, body, basedOn);
  }

  /** The check lists of those who are asked for, or of all who may train. */
  @Get('progress/checks')
  @answers(GradeCheckList)
  async of(@Query() { who }: WhoQuery): Promise<GradeCheckList> {
    const ids = who?.split(',').filter(Boolean);
    const fighters = ids ? await this.who.some(ids) : await this.who.fit();
    return { items: await this.checks.of(fighters, new Date()) };
  }

  @Put('fighters/:id/shown/:requirement')
  @HttpCode(204)
  @answersNothing()
  mark(
    @Param('id', OwnId) id: string,
    @Param('requirement', OwnId) requirement: string,
    @Body() body: MarkShownDto,
  ): Promise<void> {
    return this.checks.mark(id, requirement, body);
  }

  /** Keeps a sheet that a coach signed; what is signed stays as it was. */
  @Put('gradings/:id')
  @answers(GradingView)
  sign(@Param('id', OwnId) id: string, @Body() body: SignGradeDto): Promise<GradingView> {
    return this.gradings.sign(id, body);
  }

  /** Takes a passed grade back, with who, when and why. */
  @Put('gradings/:id/withdrawn')
  @answers(GradingView)
  withdraw(@Param('id', OwnId) id: string, @Body() body: WithdrawGradeDto): Promise<GradingView> {
    return this.gradings.withdraw(id, body);
  }
}

@AllowRoles('coach')
@Controller('api/goals')
class GoalsController {
  constructor(private readonly goals: GoalsService) {}

  @Put(':id')
  @answers(GoalView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveGoalDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<GoalView> {
    return this.goals.save(id, body, basedOn);
  }

  /** A goal that is reached is said once. */
  @Put(':id/reported')
  @HttpCode(204)
  @answersNothing()
  markReported(@Param('id', OwnId) id: string, @Body() { day }: GoalReportedDto): Promise<void> {
    return this.goals.markReported(id, day);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.goals.remove(id);
  }
}

/** Did it really get better, what next, and what is missing for the grade. */
@Module({
  imports: [FightersModule, CombosModule, MovesModule, GymSettingsModule, AssessmentsModule],
  controllers: [ProgressController, GradeChecksController, GoalsController],
  providers: [
    TrialsService,
    AskedQuestionsService,
    SetsService,
    PaceService,
    TemposService,
    MemoryService,
    AttendanceService,
    RequirementsService,
    GradeFactsService,
    GradeChecksService,
    GradingsService,
    GoalsService,
    FighterProgressService,
    ClassProgressService,
    QuestionsService,
    VolumeService,
    ReportsService,
  ],
  exports: [
    TrialsService,
    MemoryService,
    TemposService,
    PaceService,
    AttendanceService,
    SetsService,
    RequirementsService,
    GradeChecksService,
    GradingsService,
  ],
})
export class ProgressModule {}
