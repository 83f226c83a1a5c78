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
import { FileInterceptor } from '@nestjs/platform-express';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import contentDisposition from 'content-disposition';
import { Readable } from 'node:stream';
import { rhythmLine, webVtt } from '@eurhythm/core/formats';
import { BPM_LIMITS } from '@eurhythm/core/units';
import { FileQuery, RHYTHM_BYTES, RhythmView } from '@eurhythm/contract';
import { May } from '../house/access.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers, answersFile, fileField } from '../house/answers.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { homeworkZip } from './homework.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { readMidiRhythm } from '../heavy/midiFile.ts';
import { PlayedSessionService, type PlayedSession } from './playedSession.service.ts';
import { RenderedSoundService } from './renderedSound.service.ts';

@May('coach')
@Controller('api')
class ExchangeController {
  constructor(
    private readonly sessions: PlayedSessionService,
    private readonly sound: RenderedSoundService,
    private readonly heavy: HeavyWork,
  ) {}

  @Get('sessions/:id/audio.wav')
  @answersFile('audio/wav')
  async audio(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    const session = await this.played(id, query);
    const { bytes, pieces } = await this.sound.wav(session);
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
    const session = await this.played(id, query);
    return new StreamableFile(await this.heavy.run('midi', session), {
      type: 'audio/midi',
      disposition: attachment(session, 'mid'),
    });
  }

  @Get('sessions/:id/calls.vtt')
  @answersFile('text/vtt')
  @Header('Content-Type', 'text/vtt; charset=utf-8')
  async calls(@Param('id') id: string, @Query() query: FileQuery): Promise<string> {
    const { rounds } = await this.played(id, query);
    return webVtt(rounds.map(({ at, title, round }) => ({ at, title, cues: round.cues })));
  }

  @Get('sessions/:id/homework.zip')
  @answersFile('application/zip')
  async homework(@Param('id') id: string, @Query() query: FileQuery): Promise<StreamableFile> {
    const session = await this.played(id, query);
    const zip = homeworkZip(session, await this.sound.wav(session));
    return new StreamableFile(zip, { type: 'application/zip', disposition: attachment(session, 'zip') });
  }

  /** The rhythm of a MIDI file as an empty beat line. */
  @Post('combos/rhythm')
  @HttpCode(200)
  @UseInterceptors(FileInterceptor('file', { limits: { fileSize: RHYTHM_BYTES, files: 1 } }))
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: fileField('file') })
  @answers(RhythmView)
  importRhythm(@UploadedFile() file?: { buffer: Buffer }): RhythmView {
    if (!file) throw new BadRequestException('Send the rhythm as a MIDI file in the field “file”.');
    const { beats, bpm } = readMidiRhythm(file.buffer);
    return { ...rhythmLine(beats), bpm: Math.min(BPM_LIMITS.max, Math.max(BPM_LIMITS.min, bpm)) };
  }

  private played(id: string, { round, voice }: FileQuery): Promise<PlayedSession> {
    return this.sessions.played(id, {
      ...(round === undefined ? {} : { roundId: round }),
      ...(voice === undefined ? {} : { voice }),
    });
  }
}

/** Tells the browser to keep the file under the session's name. */
function attachment({ title }: PlayedSession, ending: string): string {
  const words = title.match(/[\p{L}\p{M}\p{N}]+/gu) ?? ['session'];
  return contentDisposition.create(`${words.join('-')}.${ending}`);
}

@Module({
  imports: [SessionsModule, GymSettingsModule, HeavyModule],
  controllers: [ExchangeController],
  providers: [PlayedSessionService, RenderedSoundService],
})
export class ExchangeModule {}
