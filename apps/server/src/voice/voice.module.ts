import {
  BadRequestException,
  Body,
  Controller,
  Delete,
  DynamicModule,
  Get,
  Global,
  Header,
  HttpCode,
  Module,
  Param,
  Put,
  StreamableFile,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import { CALL_TEXT, OWN_CALL_LIMITS, OwnCallView, SetCentreDto } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { answers, answersFile, answersNothing, fileField } from '../http/answers.ts';
import { oneFile } from '../http/oneFile.ts';
import { ClipFolder } from './clipFolder.ts';
import { CLIPS } from './clips.ts';
import { OwnCallsService } from './ownCalls.service.ts';
import { VoiceService } from './voice.service.ts';

@AllowRoles('coach')
@Controller('api/voice')
class VoiceController {
  constructor(
    private readonly voice: VoiceService,
    private readonly own: OwnCallsService,
  ) {}

  /** A clip never changes: its id stands for its voice, text, rate and making. */
  @Get('clips/:id.wav')
  @answersFile('audio/wav')
  @Header('Cache-Control', 'public, max-age=31536000, immutable')
  async clip(@Param('id') id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.voice.wav(id), { type: 'audio/wav' });
  }

  @Put('own/:text')
  @UseInterceptors(oneFile('sound', OWN_CALL_LIMITS.bytes))
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: fileField('sound') })
  @answers(OwnCallView)
  record(@Param('text') text: string, @UploadedFile() file?: { buffer: Buffer }): Promise<OwnCallView> {
    if (!file) throw new BadRequestException('Send the recording as a WAV file in the field “sound”.');
    return this.own.record(callText(text), file.buffer);
  }

  @Put('own/:text/centre')
  @answers(OwnCallView)
  setCentre(@Param('text') text: string, @Body() { centre }: SetCentreDto): Promise<OwnCallView> {
    return this.own.setCentre(text, centre);
  }

  @Delete('own/:text')
  @HttpCode(204)
  @answersNothing()
  remove(@Param('text') text: string): Promise<void> {
    return this.own.remove(text);
  }
}

/** Calls are said, and found again, in small letters. */
function callText(text: string): string {
  if (!CALL_TEXT.test(text)) throw new BadRequestException('A call is plain text of 1 to 120 characters.');
  return text.trim().toLowerCase();
}

@Global()
@Module({})
export class VoiceModule {
  static in(dataFolder: string): DynamicModule {
    return {
      module: VoiceModule,
      imports: [HeavyModule],
      controllers: [VoiceController],
      providers: [
        VoiceService,
        OwnCallsService,
        { provide: CLIPS, useFactory: () => new ClipFolder(dataFolder) },
      ],
      exports: [VoiceService, OwnCallsService, CLIPS],
    };
  }
}
