import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put, Query } from '@nestjs/common';
import {
  AnalyseComboDto,
  BasedOnQuery,
  ComboVersion,
  ComboView,
  CombosQuery,
  OrderCombosDto,
  ReadLineView,
  SaveComboDto,
  UnreadLineView,
  UsesView,
  type AnalysisView,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersEither, answersList, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { UsesModule } from '../uses/uses.module.ts';
import { CombosService } from './combos.service.ts';

@AllowRoles('coach')
@Controller('api/combos')
class CombosController {
  constructor(private readonly combos: CombosService) {}

  @Get()
  @answersList(ComboView)
  async list(@Query() { retired }: CombosQuery = {}): Promise<{ items: ComboView[] }> {
    return { items: await this.combos.list({ retired: retired === 'with' }) };
  }

  @Post('analyse')
  @HttpCode(200)
  @answersEither(ReadLineView, UnreadLineView)
  analyse(@Body() body: AnalyseComboDto): Promise<AnalysisView> {
    return this.combos.analyse(body);
  }

  @Put('order')
  @answersList(ComboView)
  async order(@Body() body: OrderCombosDto): Promise<{ items: ComboView[] }> {
    await this.combos.order(body);
    return this.list();
  }

  @Get(':id')
  @answers(ComboView)
  one(@Param('id') id: string): Promise<ComboView> {
    return this.combos.one(id);
  }

  @Get(':id/uses')
  @answers(UsesView)
  async uses(@Param('id') id: string): Promise<UsesView> {
    return { usedBy: await this.combos.usesOf(id) };
  }

  @Get(':id/versions')
  @answersList(ComboVersion)
  async versions(@Param('id') id: string): Promise<{ items: ComboVersion[] }> {
    return { items: await this.combos.versions(id) };
  }

  @Put(':id')
  @answers(ComboView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveComboDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<ComboView> {
    return this.combos.save(id, body, basedOn);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.combos.remove(id);
  }
}

@Module({
  imports: [MovesModule, GymSettingsModule, UsesModule],
  controllers: [CombosController],
  providers: [CombosService],
  exports: [CombosService],
})
export class CombosModule {}
