import { Module } from '@nestjs/common';
import { UsesService } from './uses.service.ts';

@Module({ providers: [UsesService], exports: [UsesService] })
export class UsesModule {}
