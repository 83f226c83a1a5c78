import { Body, Controller, HttpCode, Module, Post, Put, Query } from '@nestjs/common';
import { BasedOnQuery, NumbersAnswer, SaveNumbersDto, TouchedLines } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { EverywhereModule } from '../everywhere/everywhere.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers } from '../house/answers.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { NumbersService } from './numbers.service.ts';

@May('coach')
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
  save(@Body() body: SaveNumbersDto, @Query() { basedOn }: BasedOnQuery): Promise<NumbersAnswer> {
    return this.numbers.save(body, basedOn);
  }
}

@Module({
  imports: [MovesModule, EverywhereModule, GymSettingsModule],
  controllers: [NumbersController],
  providers: [NumbersService],
})
export class NumbersModule {}
