import { Body, Controller, Delete, Get, Module, Param, Put, Query } from '@nestjs/common';
import { BasedOnQuery, BookView, RemovedMove, SaveMoveDto, UsesView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers } from '../http/answers.ts';
import { UsesModule } from '../uses/uses.module.ts';
import { MovesService } from './moves.service.ts';

@AllowRoles('coach')
@Controller('api/moves')
class MovesController {
  constructor(private readonly moves: MovesService) {}

  @Get()
  @answers(BookView)
  list(): Promise<BookView> {
    return this.moves.view();
  }

  @Put(':code')
  @answers(BookView)
  save(
    @Param('code') code: string,
    @Body() body: SaveMoveDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<BookView> {
    return this.moves.save(code, body, basedOn);
  }

  @Get(':code/uses')
  @answers(UsesView)
  async uses(@Param('code') code: string): Promise<UsesView> {
    return { usedBy: await this.moves.usesOf(code) };
  }

  @Delete(':code')
  @answers(RemovedMove)
  remove(@Param('code') code: string): Promise<RemovedMove> {
    return this.moves.remove(code);
  }
}

@Module({
  imports: [UsesModule],
  controllers: [MovesController],
  providers: [MovesService],
  exports: [MovesService],
})
export class MovesModule {}
