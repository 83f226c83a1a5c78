import { Controller, Get, Module, Query } from '@nestjs/common';
import { SpokenClipView, SayQuery, SoundCheckView, VoiceView } from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CombosModule } from '../combos/combos.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { answers } from '../http/answers.ts';
import { MovesModule } from '../moves/moves.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { SoundCheckService } from './soundCheck.service.ts';

@AllowRoles('coach')
@Controller('api/voice')
class SoundCheckController {
  constructor(private readonly check: SoundCheckService) {}

  /** Everything the gym calls, with its own recordings. */
  @Get()
  @answers(VoiceView)
  voice(): Promise<VoiceView> {
    return this.check.voice();
  }

  /** What is mistaken for what; asked again until all calls were listened to. */
  @Get('check')
  @answers(SoundCheckView)
  heard(): Promise<SoundCheckView> {
    return this.check.check();
  }

  /** The clip of any short text, to be listened to. */
  @Get('say')
  @answers(SpokenClipView)
  say(@Query() { text, ...how }: SayQuery): Promise<SpokenClipView> {
    return this.check.say({ ...how, text: text.trim().toLowerCase() });
  }
}

@Module({
  imports: [CombosModule, MovesModule, SessionsModule, GymSettingsModule],
  controllers: [SoundCheckController],
  providers: [SoundCheckService],
})
export class SoundCheckModule {}
