import { Body, Controller, Module, Param, Put } from '@nestjs/common';
import { StandInDto, StoodIn } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { answers } from '../house/answers.ts';
import { LibraryModule } from '../library/library.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { TestsModule } from '../tests/tests.module.ts';
import { UsesModule } from '../uses/uses.module.ts';
import { EverywhereService } from './everywhere.service.ts';
import { StandInsService } from './standIns.service.ts';

@May('coach')
@Controller('api')
class StandInsController {
  constructor(private readonly standIns: StandInsService) {}

  @Put('combos/:id/stand-in')
  @answers(StoodIn)
  combo(@Param('id') id: string, @Body() { by }: StandInDto): Promise<StoodIn> {
    return this.standIns.ofCombo(id, by);
  }

  @Put('moves/:code/stand-in')
  @answers(StoodIn)
  move(@Param('code') code: string, @Body() { by }: StandInDto): Promise<StoodIn> {
    return this.standIns.ofMove(code, by);
  }
}

@Module({
  imports: [
    CombosModule,
    GradesModule,
    LibraryModule,
    MovesModule,
    RunsModule,
    SessionsModule,
    TestsModule,
    UsesModule,
  ],
  controllers: [StandInsController],
  providers: [EverywhereService, StandInsService],
  exports: [EverywhereService],
})
export class EverywhereModule {}
