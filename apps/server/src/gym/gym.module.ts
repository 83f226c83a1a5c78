import { Body, Controller, Get, Module, Put, Query } from '@nestjs/common';
import {
  AcceptNoticeDto,
  BasedOnQuery,
  GymView,
  HealthView,
  NameGymDto,
  SchoolDto,
  TodayView,
} from '@eurhythm/contract';
import { AllowRoles } from '../auth/allowRoles.ts';
import { CalendarModule } from '../calendar/calendar.module.ts';
import { answers } from '../http/answers.ts';
import { FightersModule } from '../fighters/fighters.module.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { SessionsModule } from '../sessions/sessions.module.ts';
import { GymService } from './gym.service.ts';
import { GymSettingsModule } from './gymSettings.module.ts';
import { TodayService } from './today.service.ts';

@AllowRoles('coach')
@Controller('api')
class GymController {
  constructor(
    private readonly gym: GymService,
    private readonly today: TodayService,
  ) {}

  @Get('health')
  @AllowRoles('coach', 'visitor')
  @answers(HealthView)
  health(): HealthView {
    return { ok: true };
  }

  @Get('gym')
  @answers(GymView)
  one(): Promise<GymView> {
    return this.gym.gym();
  }

  @Put('gym/notice')
  @answers(GymView)
  accept(@Body() _body: AcceptNoticeDto): Promise<GymView> {
    return this.gym.acceptNotice();
  }

  @Put('gym/name')
  @answers(GymView)
  rename(@Body() { name }: NameGymDto): Promise<GymView> {
    return this.gym.rename(name);
  }

  @Put('gym/school')
  @answers(GymView)
  school(@Body() body: SchoolDto, @Query() { basedOn }: BasedOnQuery): Promise<GymView> {
    return this.gym.saveSchool(body, basedOn);
  }

  @Get('today')
  @answers(TodayView)
  now(): Promise<TodayView> {
    return this.today.today();
  }
}

@Module({
  imports: [CalendarModule, FightersModule, RunsModule, SessionsModule, GymSettingsModule],
  controllers: [GymController],
  providers: [TodayService],
})
export class GymModule {}
