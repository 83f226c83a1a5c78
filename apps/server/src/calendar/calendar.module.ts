import { Body, Controller, Delete, Get, HttpCode, Module, Param, Put, Query } from '@nestjs/common';
import { BasedOnQuery, SaveThemeDto, ThemeView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers, answersList, answersNothing } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { ThemesService } from './themes.service.ts';

@AllowRoles('coach')
@Controller('api/themes')
class ThemesController {
  constructor(private readonly themes: ThemesService) {}

  @Get()
  @answersList(ThemeView)
  async list(): Promise<{ items: ThemeView[] }> {
    return { items: await this.themes.list() };
  }

  @Put(':id')
  @answers(ThemeView)
  save(
    @Param('id', OwnId) id: string,
    @Body() body: SaveThemeDto,
    @Query() { basedOn }: BasedOnQuery,
  ): Promise<ThemeView> {
    return this.themes.save(id, body, basedOn);
  }

  @Delete(':id')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.themes.remove(id);
  }
}

@Module({ controllers: [ThemesController], providers: [ThemesService], exports: [ThemesService] })
export class CalendarModule {}
