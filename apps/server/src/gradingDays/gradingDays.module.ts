import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put, Query } from '@nestjs/common';
import { BasedOnQuery, GradingDayList, GradingDayView, SaveGradingDayDto } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { ProgressModule } from '../progress/progress.module.ts';
import { GradingDaysService } from './gradingDays.service.ts';

@AllowRoles('coach')
@Controller('api/grading-days')
class GradingDaysController {
  constructor(private readonly days: GradingDaysService) {}

  @Get()
  @answers(GradingDayList)
  async list(): Promise<GradingDayList> {
    return { items: await this.days.list(new Date()) };
  }

  /** Plans a grading, moves it, or says that it was held. Nobody has a grade from it: a sheet is signed for that. */
  @Put(':id')
  @answers(GradingDayView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveGradingDayDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<GradingDayView> {
    return this.days.save(id, body, new Date(), basedOn);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.days.remove(id);
  }
}

@Module({
  imports: [FightersModule, GymSettingsModule, ProgressModule],
  controllers: [GradingDaysController],
  providers: [GradingDaysService],
  exports: [GradingDaysService],
})
export class GradingDaysModule {}
