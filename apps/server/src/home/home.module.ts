import { Controller, Delete, Get, HttpCode, Module, Param, Put, Query, StreamableFile } from '@nestjs/common';
import contentDisposition from 'content-disposition';
import { Readable } from 'node:stream';
import { HomePageQuery, HomeReportView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers, answersFile, answersNothing } from '../http/answers.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { AssessmentsModule } from '../assessments/assessments.module.ts';
import { HomePageService } from './homePage.service.ts';
import { HomeReportsService } from './homeReports.service.ts';

@AllowRoles('coach')
@Controller('api')
class HomeController {
  constructor(
    private readonly pages: HomePageService,
    private readonly reports: HomeReportsService,
  ) {}

  /** A session for one fighter as one page that needs no network: sound, strip, clock, bursts and cautions. */
  @Get('sessions/:id/home.html')
  @answersFile('text/html')
  async page(@Param('id') id: string, @Query() query: HomePageQuery): Promise<StreamableFile> {
    const { title, fighter, pieces } = await this.pages.page(id, query);
    const words = `${title} ${fighter}`.match(/[\p{L}\p{M}\p{N}]+/gu) ?? ['session'];
    return new StreamableFile(Readable.from(pieces), {
      type: 'text/html; charset=utf-8',
      disposition: contentDisposition.create(`${words.join('-')}.html`),
    });
  }

  /** Takes the code with which such a page ends into the fighter’s log, as reported and not as seen. */
  @Put('fighters/:id/home/:code')
  @answers(HomeReportView)
  take(@Param('id') id: string, @Param('code') code: string): Promise<HomeReportView> {
    return this.reports.take(id, code);
  }

  @Delete('fighters/:id/home/:code')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string, @Param('code') code: string): Promise<void> {
    return this.reports.remove(id, code);
  }
}

@Module({
  imports: [SessionsModule, FightersModule, AssessmentsModule, HeavyModule],
  controllers: [HomeController],
  providers: [HomePageService, HomeReportsService],
  exports: [HomeReportsService],
})
export class HomeModule {}
