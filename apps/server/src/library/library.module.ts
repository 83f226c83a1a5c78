import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put } from '@nestjs/common';
import { SaveLibraryItemDto, type LibraryItem } from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { GradesModule } from '../grades/grades.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { OwnId } from '../house/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { LibraryService } from './library.service.ts';

@Controller('api/library')
class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get()
  async list(): Promise<{ items: LibraryItem[] }> {
    return { items: await this.library.list() };
  }

  @Put(':id')
  save(@Param('id', OwnId) id: string, @Body() body: SaveLibraryItemDto): Promise<LibraryItem> {
    return this.library.save(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.library.remove(id);
  }
}

@Module({
  imports: [CombosModule, MovesModule, GymSettingsModule, GradesModule, SessionsModule],
  controllers: [LibraryController],
  providers: [LibraryService],
})
export class LibraryModule {}
