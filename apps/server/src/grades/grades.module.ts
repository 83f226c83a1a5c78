import { Body, Controller, Get, Module, Param, Put, Query } from '@nestjs/common';
import {
  BasedOnQuery,
  GymView,
  SaveGradesDto,
  SaveTechniquesDto,
  TechniqueDto,
  type TechniqueLists,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersListsById } from '../http/answers.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { UsesModule } from '../uses/uses.module.ts';
import { GradesService } from './grades.service.ts';
import { TechniquesService } from './techniques.service.ts';

@AllowRoles('coach')
@Controller('api')
class GradesController {
  constructor(
    private readonly grades: GradesService,
    private readonly techniques: TechniquesService,
  ) {}

  @Put('grades')
  @answers(GymView)
  save(@Body() body: SaveGradesDto, @Query() { basedOn }: BasedOnQuery): Promise<GymView> {
    return this.grades.save(body, basedOn);
  }

  @Get('techniques')
  @answersListsById(TechniqueDto)
  lists(): Promise<TechniqueLists> {
    return this.techniques.lists();
  }

  @Put('grades/:id/techniques')
  @answersListsById(TechniqueDto)
  saveList(
    @Param('id') id: string,
    @Body() body: SaveTechniquesDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<TechniqueLists> {
    return this.techniques.save(id, body, basedOn);
  }
}

@Module({
  imports: [GymSettingsModule, MovesModule, UsesModule],
  controllers: [GradesController],
  providers: [GradesService, TechniquesService],
  exports: [TechniquesService],
})
export class GradesModule {}
