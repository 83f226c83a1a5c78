import { Body, Controller, Delete, Get, HttpCode, Module, Param, Post, Put } from '@nestjs/common';
import {
  SaveMoveDto,
  SaveNumbersDto,
  type BookView,
  type NumbersAnswer,
  type TouchedLine,
} from '@eurhythm/contract';
import { MovesService } from './moves.service.ts';

@Controller('api/moves')
class MovesController {
  constructor(private readonly moves: MovesService) {}

  @Get()
  list(): Promise<BookView> {
    return this.moves.view();
  }

  @Put(':code')
  save(@Param('code') code: string, @Body() body: SaveMoveDto): Promise<BookView> {
    return this.moves.save(code, body);
  }

  @Delete(':code')
  remove(@Param('code') code: string): Promise<{ retired: boolean; usedBy: string[] }> {
    return this.moves.remove(code);
  }
}

@Controller('api/numbers')
class NumbersController {
  constructor(private readonly moves: MovesService) {}

  @Post('preview')
  @HttpCode(200)
  async preview(@Body() body: SaveNumbersDto): Promise<{ touched: TouchedLine[] }> {
    return { touched: await this.moves.touchedBy(body) };
  }

  @Put()
  save(@Body() body: SaveNumbersDto): Promise<NumbersAnswer> {
    return this.moves.saveNumbers(body);
  }
}

@Module({
  controllers: [MovesController, NumbersController],
  providers: [MovesService],
  exports: [MovesService],
})
export class MovesModule {}
