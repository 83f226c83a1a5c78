import { Body, Controller, Get, Module, Param, Put, Query } from '@nestjs/common';
import { BasedOnQuery, SaveTestDto, TestList, TestView } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { answers } from '../house/answers.ts';
import { OwnId } from '../house/ownId.ts';
import { TestsService } from './tests.service.ts';

@May('coach')
@Controller('api/tests')
class TestsController {
  constructor(private readonly tests: TestsService) {}

  @Get()
  @answers(TestList)
  async list(): Promise<TestList> {
    return { items: await this.tests.list() };
  }

  @Put(':id')
  @answers(TestView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveTestDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<TestView> {
    return this.tests.save(id, body, basedOn);
  }
}

@Module({
  imports: [FightersModule],
  controllers: [TestsController],
  providers: [TestsService],
  exports: [TestsService],
})
export class TestsModule {}
