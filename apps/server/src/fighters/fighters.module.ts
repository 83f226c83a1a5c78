import { Body, Controller, Get, Module, Param, Put } from '@nestjs/common';
import { SaveFighterDto, type FighterLog, type FighterView } from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { OwnId } from '../house/ownId.ts';
import { FightersService } from './fighters.service.ts';

@Controller('api/fighters')
class FightersController {
  constructor(private readonly fighters: FightersService) {}

  @Get()
  async list(): Promise<{ items: FighterView[] }> {
    return { items: await this.fighters.list() };
  }

  @Get(':id')
  one(@Param('id') id: string): Promise<FighterView> {
    return this.fighters.one(id);
  }

  @Get(':id/log')
  log(@Param('id') id: string): Promise<FighterLog> {
    return this.fighters.log(id);
  }

  @Put(':id')
  save(@Param('id', OwnId) id: string, @Body() body: SaveFighterDto): Promise<FighterView> {
    return this.fighters.save(id, body);
  }
}

@Module({
  imports: [CombosModule],
  controllers: [FightersController],
  providers: [FightersService],
  exports: [FightersService],
})
export class FightersModule {}
