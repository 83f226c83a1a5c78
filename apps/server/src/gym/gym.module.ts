import { Body, Controller, Get, Module, Put } from '@nestjs/common';
import { AcceptNoticeDto, type GymView, type TodayView } from '@eurhythm/contract';
import { FightersModule } from '../fighters/fighters.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { GymService } from './gym.service.ts';
import { TodayService } from './today.service.ts';

@Controller('api')
class GymController {
  constructor(
    private readonly gym: GymService,
    private readonly today: TodayService,
  ) {}

  @Get('health')
  health(): { ok: true } {
    return { ok: true };
  }

  @Get('gym')
  one(): Promise<GymView> {
    return this.gym.gym();
  }

  @Put('gym/notice')
  accept(@Body() _body: AcceptNoticeDto): Promise<GymView> {
    return this.gym.acceptNotice();
  }

  @Get('today')
  now(): Promise<TodayView> {
    return this.today.today();
  }
}

@Module({
  imports: [FightersModule, RunsModule],
  controllers: [GymController],
  providers: [GymService, TodayService],
})
export class GymModule {}
