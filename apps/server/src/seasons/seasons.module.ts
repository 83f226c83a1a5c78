import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put, Query } from '@nestjs/common';
import { BasedOnQuery, DraftWeekDto, SaveSeasonDto, SeasonList, SeasonView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { DraftsModule } from '../drafts/drafts.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { SeasonsService } from './seasons.service.ts';

@AllowRoles('coach')
@Controller('api/seasons')
class SeasonsController {
  constructor(private readonly seasons: SeasonsService) {}

  @Get()
  @answers(SeasonList)
  async list(): Promise<SeasonList> {
    return { items: await this.seasons.list(new Date()) };
  }

  @Get(':id')
  @answers(SeasonView)
  one(@Param('id') id: string): Promise<SeasonView> {
    return this.seasons.one(id, new Date());
  }

  @Put(':id')
  @answers(SeasonView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveSeasonDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<SeasonView> {
    return this.seasons.save(id, body, new Date(), basedOn);
  }

  /** Drafts the classes that nobody drafted yet; the same again drafts nothing. */
  @Post(':id/draft')
  @HttpCode(200)
  @answers(SeasonView)
  draft(@Param('id') id: string, @Body() { week }: DraftWeekDto): Promise<SeasonView> {
    return this.seasons.draft(id, week, new Date());
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.seasons.remove(id);
  }
}

@Module({
  imports: [CombosModule, DraftsModule, FightersModule, GymSettingsModule, MovesModule, ProgressModule],
  controllers: [SeasonsController],
  providers: [SeasonsService],
  exports: [SeasonsService],
})
export class SeasonsModule {}
