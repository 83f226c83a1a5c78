import {
  BadRequestException,
  Body,
  Controller,
  HttpCode,
  Module,
  Post,
  UploadedFile,
  UseInterceptors,
} from '@nestjs/common';
import { ApiBody, ApiConsumes } from '@nestjs/swagger';
import { DetectedStrikes, MatchStrikesDto, STRIKE_SOUND_BYTES, StrikeMatchView } from '@eurhythm/contract';
import { HeavyModule } from '../heavy/heavy.module.ts';
import { HeavyWork } from '../heavy/heavyWork.ts';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers, fileField } from '../http/answers.ts';
import { refuseField } from '../http/refuse.ts';
import { oneFile } from '../http/oneFile.ts';

@AllowRoles('coach')
@Controller('api/strikes')
class StrikesController {
  constructor(private readonly heavy: HeavyWork) {}

  /** The strikes in a recording. */
  @Post('detect')
  @HttpCode(200)
  @UseInterceptors(oneFile('file', STRIKE_SOUND_BYTES))
  @ApiConsumes('multipart/form-data')
  @ApiBody({ schema: fileField('file') })
  @answers(DetectedStrikes)
  async detect(@UploadedFile() file?: { buffer: Buffer }): Promise<DetectedStrikes> {
    if (!file) throw new BadRequestException('Send the recording as a WAV file in the field “file”.');
    const heard = await this.heavy.run('detectedStrikes', file.buffer);
    if (!heard.ok) throw refuseField('file', heard.message);
    return heard.found;
  }

  /** Which heard strike is which due one. */
  @Post('match')
  @HttpCode(200)
  @answers(StrikeMatchView)
  match(@Body() { due, onsets, latency }: MatchStrikesDto): Promise<StrikeMatchView> {
    return this.heavy.run('matchStrikes', due, onsets, latency ?? undefined);
  }
}

@Module({ imports: [HeavyModule], controllers: [StrikesController] })
export class StrikesModule {}
