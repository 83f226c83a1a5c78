import { Body, Controller, HttpCode, Module, Post, Put, Query } from '@nestjs/common';
import { BasedOnQuery, NumbersAnswer, SaveNumbersDto, TouchedLines } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { RenameReferencesModule } from '../renameReferences/renameReferences.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers } from '../http/answers.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { NumbersService } from './numbers.service.ts';

@AllowRoles('coach')
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
  imports: [MovesModule, RenameReferencesModule, GymSettingsModule],
  controllers: [NumbersController],
  providers: [NumbersService],
})
export class NumbersModule {}
