import { Body, Controller, Module, Param, Put } from '@nestjs/common';
import { StandInDto, StoodIn } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { answers } from '../http/answers.ts';
import { LibraryModule } from '../library/library.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { AssessmentsModule } from '../assessments/assessments.module.ts';
import { UsesModule } from '../uses/uses.module.ts';
import { RenameReferencesService } from './renameReferences.service.ts';
import { ReplacementService } from './replacement.service.ts';

@AllowRoles('coach')
@Controller('api')
class StandInsController {
  constructor(private readonly replacement: ReplacementService) {}

  @Put('combos/:id/stand-in')
  @answers(StoodIn)
  combo(@Param('id') id: string, @Body() { by }: StandInDto): Promise<StoodIn> {
    return this.replacement.ofCombo(id, by);
  }

  @Put('moves/:code/stand-in')
  @answers(StoodIn)
  move(@Param('code') code: string, @Body() { by }: StandInDto): Promise<StoodIn> {
    return this.replacement.ofMove(code, by);
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
    AssessmentsModule,
    UsesModule,
  ],
  controllers: [StandInsController],
  providers: [RenameReferencesService, ReplacementService],
  exports: [RenameReferencesService],
})
export class RenameReferencesModule {}
