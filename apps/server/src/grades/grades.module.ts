import { Body, Controller, Get, Module, Param, Put } from '@nestjs/common';
import { SaveGradesDto, SaveTechniquesDto, type GymView, type TechniqueLists } from '@eurhythm/contract';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { GradesService } from './grades.service.ts';
import { TechniquesService } from './techniques.service.ts';

@Controller('api')
class GradesController {
  constructor(
    private readonly grades: GradesService,
    private readonly techniques: TechniquesService,
  ) {}

  @Put('grades')
  save(@Body() body: SaveGradesDto): Promise<GymView> {
    return this.grades.save(body);
  }

  @Get('techniques')
  lists(): Promise<TechniqueLists> {
    return this.techniques.lists();
  }

  @Put('grades/:id/techniques')
  saveList(@Param('id') id: string, @Body() body: SaveTechniquesDto): Promise<TechniqueLists> {
    return this.techniques.save(id, body);
  }
}

@Module({
  imports: [GymSettingsModule, MovesModule],
  controllers: [GradesController],
  providers: [GradesService, TechniquesService],
  exports: [TechniquesService],
})
export class GradesModule {}
