import {
  Controller,
  DynamicModule,
  Get,
  Global,
  Header,
  Module,
  Param,
  StreamableFile,
} from '@nestjs/common';
import { DATA_FOLDER, VoiceService } from './voice.service.ts';

@Controller('api/voice')
class VoiceController {
  constructor(private readonly voice: VoiceService) {}

  /** A clip never changes: its id stands for its voice, text, rate and making. */
  @Get('clips/:id.wav')
  @Header('Cache-Control', 'public, max-age=31536000, immutable')
  async clip(@Param('id') id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.voice.wav(id), { type: 'audio/wav' });
  }
}

@Global()
@Module({})
export class VoiceModule {
  static in(dataFolder: string): DynamicModule {
    return {
      module: VoiceModule,
      controllers: [VoiceController],
      providers: [VoiceService, { provide: DATA_FOLDER, useValue: dataFolder }],
      exports: [VoiceService],
    };
  }
}
