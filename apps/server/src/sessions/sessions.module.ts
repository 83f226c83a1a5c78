import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Module,
  Param,
  Post,
  Put,
  Query,
  StreamableFile,
} from '@nestjs/common';
import {
  BasedOnQuery,
  BlocksPlanView,
  CompileRoundDto,
  CompiledRoundView,
  PageQuery,
  PlanBlocksDto,
  RepeatSessionDto,
  SaveSessionDto,
  SaveSheetDto,
  SessionPage,
  SessionSummary,
  SessionView,
  SheetView,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersList, answersNothing, jsonBytes } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { RoundsService } from './rounds.service.ts';
import { SessionsService } from './sessions.service.ts';
import { SheetsService } from './sheets.service.ts';

@AllowRoles('coach')
@Controller('api/sessions')
class SessionsController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly sheets: SheetsService,
  ) {}

  @Get()
  @answers(SessionPage)
  list(@Query() query: PageQuery): Promise<SessionPage> {
    return this.sessions.page(query);
  }

  @Get(':id')
  @answers(SessionView)
  one(@Param('id') id: string): Promise<SessionView> {
    return this.sessions.one(id);
  }

  @Put(':id')
  @answers(SessionView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveSessionDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<SessionView> {
    return this.sessions.save(id, body, basedOn);
  }

  @Post(':id/repeat')
  @HttpCode(200)
  @answersList(SessionSummary)
  async repeat(
    @Param('id') id: string,
    @Body() body: RepeatSessionDto,
  ): Promise<{ items: SessionSummary[] }> {
    return { items: await this.sessions.repeat(id, body) };
  }

  @Get(':id/sheet')
  @answers(SheetView)
  sheet(@Param('id') id: string): Promise<SheetView> {
    return this.sheets.one(id);
  }

  @Put(':id/sheet')
  @answers(SheetView)
  saveSheet(
    @Param('id') id: string,
    @Body() body: SaveSheetDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<SheetView> {
    return this.sheets.save(id, body, basedOn);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.sessions.remove(id);
  }
}

@AllowRoles('coach')
@Controller('api/rounds')
class RoundsController {
  constructor(private readonly rounds: RoundsService) {}

  @Post('compile')
  @HttpCode(200)
  @answers(CompiledRoundView)
  async compile(@Body() body: CompileRoundDto): Promise<StreamableFile> {
    return jsonBytes(await this.rounds.compile(body));
  }

  /** What a page needs to compile blocks by itself. */
  @Post('plan')
  @HttpCode(200)
  @answers(BlocksPlanView)
  plan(@Body() body: PlanBlocksDto): Promise<BlocksPlanView> {
    return this.rounds.plan(body);
  }
}

@Module({
  imports: [CombosModule, MovesModule, GymSettingsModule, HeavyModule],
  controllers: [SessionsController, RoundsController],
  providers: [SessionsService, RoundsService, SheetsService],
  exports: [SessionsService, RoundsService, SheetsService],
})
export class SessionsModule {}
