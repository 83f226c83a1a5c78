import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put } from '@nestjs/common';
import {
  CompileRoundDto,
  RepeatSessionDto,
  SaveSessionDto,
  SaveSheetDto,
  type CompiledRoundView,
  type SessionSummary,
  type SessionView,
  type SheetView,
} from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { OwnId } from '../house/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { RoundsService } from './rounds.service.ts';
import { SessionsService } from './sessions.service.ts';
import { SheetsService } from './sheets.service.ts';

@Controller('api/sessions')
class SessionsController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly sheets: SheetsService,
  ) {}

  @Get()
  async list(): Promise<{ items: SessionSummary[] }> {
    return { items: await this.sessions.list() };
  }

  @Get(':id')
  one(@Param('id') id: string): Promise<SessionView> {
    return this.sessions.one(id);
  }

  @Put(':id')
  save(@Param('id', OwnId) id: string, @Body() body: SaveSessionDto): Promise<SessionView> {
    return this.sessions.save(id, body);
  }

  @Post(':id/repeat')
  @HttpCode(200)
  async repeat(
    @Param('id') id: string,
    @Body() body: RepeatSessionDto,
  ): Promise<{ items: SessionSummary[] }> {
    return { items: await this.sessions.repeat(id, body) };
  }

  @Get(':id/sheet')
  sheet(@Param('id') id: string): Promise<SheetView> {
    return this.sheets.one(id);
  }

  @Put(':id/sheet')
  saveSheet(@Param('id') id: string, @Body() body: SaveSheetDto): Promise<SheetView> {
    return this.sheets.save(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.sessions.remove(id);
  }
}

@Controller('api/rounds')
class RoundsController {
  constructor(private readonly rounds: RoundsService) {}

  @Post('compile')
  @HttpCode(200)
  compile(@Body() body: CompileRoundDto): Promise<CompiledRoundView> {
    return this.rounds.compile(body);
  }
}

@Module({
  imports: [CombosModule, MovesModule, GymSettingsModule],
  controllers: [SessionsController, RoundsController],
  providers: [SessionsService, RoundsService, SheetsService],
  exports: [SessionsService, RoundsService],
})
export class SessionsModule {}
