import {
  BadRequestException,
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Module,
  Param,
  Post,
  Put,
  Query,
  Res,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import type { Response } from 'express';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import {
  AttemptView,
  BasedOnQuery,
  MOST_RECORDED,
  RecordedFromQuery,
  SaveTestDto,
  TestList,
  TestView,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { answers, answersFile, answersNothing, fileField } from '../http/answers.ts';
import { OwnId } from '../http/ownId.ts';
import { oneFile } from '../http/oneFile.ts';
import { RecordingsService } from './recordings.service.ts';
import { AssessmentsService } from './assessments.service.ts';

@AllowRoles('coach')
@Controller('api/tests')
class AssessmentsController {
  constructor(private readonly tests: AssessmentsService) {}

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

@AllowRoles('coach')
@Controller('api/attempts/:id')
class HeardTrialsController {
  constructor(
    private readonly tests: AssessmentsService,
    private readonly recordings: RecordingsService,
  ) {}

  /** Works a trial out again from what was kept of it; what it said before stays with it. */
  @Post('again')
  @HttpCode(200)
  @answers(AttemptView)
  again(@Param('id') id: string): Promise<AttemptView> {
    return this.tests.workOutAgain(id, (heard) => this.recordings.heardAnew(id, heard));
  }

  /** The sound of a trial, where somebody said that it may be kept. */
  @Put('recording')
  @UseInterceptors(oneFile('file', MOST_RECORDED))
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: fileField('file') })
  @answers(AttemptView)
  async keep(
    @Param('id') id: string,
    @Query() { from }: RecordedFromQuery,
    @UploadedFile() file?: { buffer: Buffer },
  ): Promise<AttemptView> {
    if (!file) throw new BadRequestException('Send the recording as a WAV file in the field “file”.');
    await this.recordings.keep(id, file.buffer, from);
    return this.tests.attempt(id);
  }

  @Get('recording.wav')
  @answersFile('audio/wav')
  async recording(
    @Param('id') id: string,
    @Res({ passthrough: true }) response: Response,
  ): Promise<StreamableFile> {
    const { sound, from } = await this.recordings.of(id);
    // When its first sample was heard, by the clock of the trial.
    response.setHeader('x-recorded-from', from);
    return new StreamableFile(sound, { type: 'audio/wav', length: sound.length });
  }

  @Delete('recording')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('id') id: string): Promise<void> {
    return this.recordings.remove(id);
  }
}

@Module({
  imports: [FightersModule, HeavyModule],
  controllers: [AssessmentsController, HeardTrialsController],
  providers: [AssessmentsService, RecordingsService],
  exports: [AssessmentsService],
})
export class AssessmentsModule {}
