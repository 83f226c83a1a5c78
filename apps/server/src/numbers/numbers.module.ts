import { Body, Controller, HttpCode, Module, Post, Put } from '@nestjs/common';
import { NumbersAnswer, SaveNumbersDto, TouchedLines } from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { answers } from '../house/answers.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { NumbersService } from './numbers.service.ts';

@Controller('api/numbers')
class NumbersController {
  constructor(private readonly numbers: NumbersService) {}

  @Post('preview')
  @HttpCode(200)
  @answers(TouchedLines)
  async preview(@Body() body: SaveNumbersDto): Promise<TouchedLines> {
    return { touched: await this.numbers.touchedBy(body) };
  }

  @Put()
  @answers(NumbersAnswer)
  save(@Body() body: SaveNumbersDto): Promise<NumbersAnswer> {
    return this.numbers.save(body);
  }
}

@Module({
  imports: [MovesModule, CombosModule],
  controllers: [NumbersController],
  providers: [NumbersService],
})
export class NumbersModule {}
