import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put } from '@nestjs/common';
import {
  AnalyseComboDto,
  OrderCombosDto,
  SaveComboDto,
  type AnalysisView,
  type ComboVersion,
  type ComboView,
} from '@eurhythm/contract';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { OwnId } from '../house/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { CombosService } from './combos.service.ts';

@Controller('api/combos')
class CombosController {
  constructor(private readonly combos: CombosService) {}

  @Get()
  async list(): Promise<{ items: ComboView[] }> {
    return { items: await this.combos.list() };
  }

  @Post('analyse')
  @HttpCode(200)
  analyse(@Body() body: AnalyseComboDto): Promise<AnalysisView> {
    return this.combos.analyse(body);
  }

  @Put('order')
  async order(@Body() body: OrderCombosDto): Promise<{ items: ComboView[] }> {
    await this.combos.order(body);
    return this.list();
  }

  @Get(':id')
  one(@Param('id') id: string): Promise<ComboView> {
    return this.combos.one(id);
  }

  @Get(':id/versions')
  async versions(@Param('id') id: string): Promise<{ items: ComboVersion[] }> {
    return { items: await this.combos.versions(id) };
  }

  @Put(':id')
  save(@Param('id', OwnId) id: string, @Body() body: SaveComboDto): Promise<ComboView> {
    return this.combos.save(id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string): Promise<void> {
    return this.combos.remove(id);
  }
}

@Module({
  imports: [MovesModule, GymSettingsModule],
  controllers: [CombosController],
  providers: [CombosService],
  exports: [CombosService],
})
export class CombosModule {}
