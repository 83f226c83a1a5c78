import { Body, Controller, HttpCode, Module, Param, Post, Put, Req } from '@nestjs/common';
import { HallCodeView, HallRunView, JoinDto } from '@eurhythm/contract';
import type { Request } from 'express';
import { FightersModule } from '../fighters/fighters.module.ts';
import { GymSettingsModule } from '../gym/gymSettings.module.ts';
import { AllowRoles } from '../auth/allowRoles.ts';
import { answers } from '../http/answers.ts';
import { RunsModule } from '../runs/runs.module.ts';
import { HallService } from './hall.service.ts';

@Controller('api')
class HallController {
  constructor(private readonly hall: HallService) {}

  /** The code with which devices join this run. */
  @Put('runs/:id/hall')
  @AllowRoles('coach')
  @answers(HallCodeView)
  async code(@Param('id') id: string): Promise<HallCodeView> {
    return { code: await this.hall.codeOf(id) };
  }

  /** The run with this code, for a device that joins it. */
  @Post('hall/join')
  @HttpCode(200)
  @AllowRoles('coach', 'visitor')
  @answers(HallRunView)
  async join(@Body() { code }: JoinDto, @Req() { socket }: Request): Promise<HallRunView> {
    return this.hall.view(await this.hall.runOf(code, socket.remoteAddress ?? ''));
  }
}

@Module({
  imports: [RunsModule, FightersModule, GymSettingsModule],
  controllers: [HallController],
  providers: [HallService],
})
export class HallModule {}
