import {
  BadRequestException,
  Controller,
  Get,
  Header,
  HttpCode,
  Module,
  Param,
  Post,
  Query,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import contentDisposition from 'content-disposition';
import { Readable } from 'node:stream';
import { FileQuery, RHYTHM_BYTES, RhythmQuery, RhythmView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { GradingDaysModule } from '../gradingDays/gradingDays.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersFile, fileField } from '../http/answers.ts';
import { SeasonsModule } from '../seasons/seasons.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { homeworkZip } from './homework.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import type { SessionToPlay } from '../heavy/tasks/playedSession.ts';
import { refuseField } from '../http/refuse.ts';
import { oneFile } from '../http/oneFile.ts';
import { PlayedSessionService } from './playedSession.service.ts';
import { SoundFileService } from './soundFile.service.ts';
import { SoundsAtHand } from './soundsAtHand.ts';

@AllowRoles('coach')
@Controller('api')
class SessionFilesController {
  constructor(
    private readonly sessions: PlayedSessionService,
    private readonly sound: SoundFileService,
    private readonly heavy: HeavyWork,
  ) {}

  @Get('sessions/:id/audio.wav')
  @answersFile('audio/wav')
  async audio(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    const session = await this.toPlay(id, query);
    const { bytes, pieces } = this.sound.wav(await this.heavy.run('sound', session));
    return new StreamableFile(Readable.from(pieces), {
      type: 'audio/wav',
      length: bytes,
      disposition: attachment(session, 'wav'),
    });
  }

  /** Every planned session, for any calendar. */
  @Get('calendar.ics')
  @answersFile('text/calendar')
  @Header('Content-Type', 'text/calendar; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="sessions.ics"')
  calendar(): Promise<string> {
    return this.sessions.calendar(new Date());
  }

  @Get('sessions/:id/rhythm.mid')
  @answersFile('audio/midi')
  async rhythm(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    const session = await this.toPlay(id, query);
    return new StreamableFile(await this.heavy.run('midi', session), {
      type: 'audio/midi',
      disposition: attachment(session, 'mid'),
    });
  }

  @Get('sessions/:id/calls.vtt')
  @answersFile('text/vtt')
  async calls(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    return new StreamableFile(await this.heavy.run('captions', await this.toPlay(id, query)), {
      type: 'text/vtt; charset=utf-8',
    });
  }

  @Get('sessions/:id/homework.zip')
  @answersFile('application/zip')
  async homework(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    // It is heard at home.
    const session = await this.toPlay(id, { sound: 'room', ...query });
    const homework = await this.heavy.run('homework', session);
    const zip = homeworkZip(homework, this.sound.wav(homework.sound));
    return new StreamableFile(zip, { type: 'application/zip', disposition: attachment(session, 'zip') });
  }

  /** The rhythm of a MIDI file as an empty beat line. */
  @Post('combos/rhythm')
  @HttpCode(200)
  @UseInterceptors(oneFile('file', RHYTHM_BYTES))
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: fileField('file') })
  @answers(RhythmView)
  async importRhythm(
    @Query() how: RhythmQuery,
    @UploadedFile() file?: { buffer: Buffer },
  ): Promise<RhythmView> {
    if (!file) throw new BadRequestException('Send the rhythm as a MIDI file in the field “file”.');
    const read = await this.heavy.run('rhythm', file.buffer, { ...how });
    if (!read.ok) throw refuseField('file', read.message);
    return read.rhythm;
  }

  private toPlay(id: string, { round, voice, sound }: FileQuery): Promise<SessionToPlay> {
    return this.sessions.toPlay(id, {
      ...(round === undefined ? {} : { roundId: round }),
      ...(voice === undefined ? {} : { voice }),
      ...(sound === undefined ? {} : { sound }),
    });
  }
}

/** Tells the browser to keep the file under the session's name. */
function attachment({ title }: SessionToPlay, ending: string): string {
  const words = title.match(/[\p{L}\p{M}\p{N}]+/gu) ?? ['session'];
  return contentDisposition.create(`${words.join('-')}.${ending}`);
}

@Module({
  imports: [SessionsModule, SeasonsModule, GradingDaysModule, GymSettingsModule, HeavyModule],
  controllers: [SessionFilesController],
  providers: [PlayedSessionService, SoundFileService, SoundsAtHand],
})
export class SessionFilesModule {}
