import { Body, Controller, Get, Module, Put } from '@nestjs/common';
import { AcceptNoticeDto, SchoolDto, type GymView, type TodayView } from '@eurhythm/contract';
import { CalendarModule } from '../calendar/calendar.module.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { GymService } from './gym.service.ts';
import { GymSettingsModule } from './gymSettings.module.ts';
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

  @Put('gym/school')
  school(@Body() body: SchoolDto): Promise<GymView> {
    return this.gym.saveSchool(body);
  }

  @Get('today')
  now(): Promise<TodayView> {
    return this.today.today();
  }
}

@Module({
  imports: [CalendarModule, FightersModule, RunsModule, GymSettingsModule],
  controllers: [GymController],
  providers: [TodayService],
})
export class GymModule {}
