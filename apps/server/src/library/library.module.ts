import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put, Query } from '@nestjs/common';
import { BasedOnQuery, LibraryItem, SaveLibraryItemDto } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersList, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { LibraryService } from './library.service.ts';

@AllowRoles('coach')
@Controller('api/library')
class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get()
  @answersList(LibraryItem)
  async list(): Promise<{ items: LibraryItem[] }> {
    return { items: await this.library.list() };
  }

  @Put(':id')
  @answers(LibraryItem)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveLibraryItemDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<LibraryItem> {
    return this.library.save(id, body, basedOn);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.library.remove(id);
  }
}

@Module({
  imports: [CombosModule, MovesModule, GymSettingsModule, GradesModule, SessionsModule],
  controllers: [LibraryController],
  providers: [LibraryService],
  exports: [LibraryService],
})
export class LibraryModule {}
