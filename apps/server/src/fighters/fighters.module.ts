import { Body, Controller, Get, Module, Param, Put, Query } from '@nestjs/common';
import {
  BasedOnQuery,
  FighterPage,
  FighterView,
  PageQuery,
  SaveFighterDto,
  SetFitDto,
  FitView,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { FightersService } from './fighters.service.ts';

@AllowRoles('coach')
@Controller('api/fighters')
class FightersController {
  constructor(private readonly fighters: FightersService) {}

  @Get()
  @answers(FighterPage)
  list(@Query() query: PageQuery): Promise<FighterPage> {
    return this.fighters.page(query);
  }

  @Get(':id')
  @answers(FighterView)
  one(@Param('id') id: string): Promise<FighterView> {
    return this.fighters.one(id);
  }

  @Put(':id')
  @answers(FighterView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveFighterDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<FighterView> {
    return this.fighters.save(id, body, basedOn);
  }

  @Get(':id/fit')
  @answers(FitView)
  fit(@Param('id') id: string): Promise<FitView> {
    return this.fighters.fitOf(id);
  }

  /** Sets or lifts the mark "not fit to train". */
  @Put(':id/fit')
  @answers(FitView)
  setFit(
    @Param('id') id: string,
    @Body() body: SetFitDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<FitView> {
    return this.fighters.setFit(id, body, basedOn);
  }
}

@Module({ controllers: [FightersController], providers: [FightersService], exports: [FightersService] })
export class FightersModule {}
