import { BadRequestException, Controller, Get, Module, Query } from '@nestjs/common';
import { VOICE_RATES, type VoiceClip } from '@eurhythm/core/calls';
import { VOICES, type SoundCheckView, type VoiceId, type VoiceView } from '@eurhythm/contract';
import { CombosModule } from '../combos/combos.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { SoundCheckService } from './soundCheck.service.ts';

@Controller('api/voice')
class SoundCheckController {
  constructor(private readonly check: SoundCheckService) {}

  /** Everything the gym calls, with its own recordings. */
  @Get()
  voice(): Promise<VoiceView> {
    return this.check.voice();
  }

  @Get('check')
  alike(): Promise<SoundCheckView> {
    return this.check.alike();
  }

  /** The clip of any short text, to be listened to. */
  @Get('say')
  say(@Query() { text = '', voice = 'slt', rate = '1' }: Record<string, string>): Promise<VoiceClip> {
    if (!/^[^<>\p{Cc}]{1,120}$/u.test(text))
      throw new BadRequestException('Say a plain text of 1 to 120 characters.');
    if (!VOICES.some((known) => known === voice))
      throw new BadRequestException(`The voice is one of: ${VOICES.join(', ')}.`);
    if (!VOICE_RATES.includes(Number(rate)))
      throw new BadRequestException(`The speed of the voice is one of: ${VOICE_RATES.join(', ')}.`);
    return this.check.say(text.trim().toLowerCase(), voice as VoiceId, Number(rate));
  }
}

@Module({
  imports: [CombosModule, MovesModule, SessionsModule, GymSettingsModule],
  controllers: [SoundCheckController],
  providers: [SoundCheckService],
})
export class SoundCheckModule {}
