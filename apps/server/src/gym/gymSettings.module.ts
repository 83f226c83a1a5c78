import { Module } from '@nestjs/common';
import { GymService } from './gym.service.ts';

/** The gym's settings, for the rooms that ask for them. */
@Module({ providers: [GymService], exports: [GymService] })
export class GymSettingsModule {}
