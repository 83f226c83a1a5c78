import { Module } from '@nestjs/common';
import { HeavyWork } from './heavyWork.ts';

@Module({ providers: [HeavyWork], exports: [HeavyWork] })
export class HeavyModule {}
