import { DynamicModule, Module, type ExecutionContext } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import type { Request } from 'express';
import { CalendarModule } from './calendar/calendar.module.ts';
import { CombosModule } from './combos/combos.module.ts';
import { EverywhereModule } from './everywhere/everywhere.module.ts';
import { ExchangeModule } from './exchange/exchange.module.ts';
import { FightersModule } from './fighters/fighters.module.ts';
import { GradesModule } from './grades/grades.module.ts';
import { GymModule } from './gym/gym.module.ts';
import { KeepModule } from './keep/keep.module.ts';
import { AccessGuard } from './house/access.ts';
import { isLoopback } from './house/loopback.ts';
import { DoorModule } from './door/door.module.ts';
import { ReachModule, type Reach } from './door/reach.ts';
import { HomeModule } from './home/home.module.ts';
import { HallModule } from './hall/hall.module.ts';
import { LibraryModule } from './library/library.module.ts';
import { LogModule } from './log/log.module.ts';
import { MovesModule } from './moves/moves.module.ts';
import { NumbersModule } from './numbers/numbers.module.ts';
import { ProgressModule } from './progress/progress.module.ts';
import { RunsModule } from './runs/runs.module.ts';
import { SessionsModule } from './sessions/sessions.module.ts';
import { SoundCheckModule } from './soundCheck/soundCheck.module.ts';
import type { Store } from './store/store.ts';
import { StrikesModule } from './strikes/strikes.module.ts';
import { StoreModule } from './store/store.module.ts';
import { TestsModule } from './tests/tests.module.ts';
import { VoiceModule } from './voice/voice.module.ts';

/** So much may another machine ask in a minute: far more than any page does, and less than holds others up. */
const LIMIT = { ttl: 60_000, limit: 1500 };
const TOO_OFTEN = 'This is asked too often. Wait a moment, then try again.';
const isThisMachine = (context: ExecutionContext): boolean =>
  context.getType() !== 'http' ||
  isLoopback(context.switchToHttp().getRequest<Request>().socket.remoteAddress);

/** One module for each room of the product, over one store and one data folder. */
@Module({
  imports: [
    MovesModule,
    CombosModule,
    NumbersModule,
    EverywhereModule,
    SessionsModule,
    LibraryModule,
    RunsModule,
    TestsModule,
    LogModule,
    ProgressModule,
    CalendarModule,
    FightersModule,
    GymModule,
    GradesModule,
    ExchangeModule,
    SoundCheckModule,
    StrikesModule,
    DoorModule,
    HallModule,
    HomeModule,
    ThrottlerModule.forRoot({ throttlers: [LIMIT], skipIf: isThisMachine, errorMessage: TOO_OFTEN }),
  ],
  providers: [
    { provide: APP_GUARD, useClass: ThrottlerGuard },
    { provide: APP_GUARD, useClass: AccessGuard },
  ],
})
export class AppModule {
  static over(store: Store, dataFolder: string, reach: Reach): DynamicModule {
    return {
      module: AppModule,
      imports: [
        StoreModule.over(store),
        VoiceModule.in(dataFolder),
        KeepModule.in(dataFolder),
        ReachModule.at(reach),
      ],
    };
  }
}
