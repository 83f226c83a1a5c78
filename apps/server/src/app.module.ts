import { DynamicModule, Module } from '@nestjs/common';
import { CalendarModule } from './calendar/calendar.module.ts';
import { CombosModule } from './combos/combos.module.ts';
import { EverywhereModule } from './everywhere/everywhere.module.ts';
import { ExchangeModule } from './exchange/exchange.module.ts';
import { FightersModule } from './fighters/fighters.module.ts';
import { GradesModule } from './grades/grades.module.ts';
import { GymModule } from './gym/gym.module.ts';
import { KeepModule } from './keep/keep.module.ts';
import { LibraryModule } from './library/library.module.ts';
import { LogModule } from './log/log.module.ts';
import { MovesModule } from './moves/moves.module.ts';
import { NumbersModule } from './numbers/numbers.module.ts';
import { RunsModule } from './runs/runs.module.ts';
import { SessionsModule } from './sessions/sessions.module.ts';
import { SoundCheckModule } from './soundCheck/soundCheck.module.ts';
import type { Store } from './store/openStore.ts';
import { StoreModule } from './store/store.module.ts';
import { TestsModule } from './tests/tests.module.ts';
import { VoiceModule } from './voice/voice.module.ts';

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
    CalendarModule,
    FightersModule,
    GymModule,
    GradesModule,
    ExchangeModule,
    SoundCheckModule,
  ],
})
export class AppModule {
  static over(store: Store, dataFolder: string): DynamicModule {
    return {
      module: AppModule,
      imports: [StoreModule.over(store), VoiceModule.in(dataFolder), KeepModule.in(dataFolder)],
    };
  }
}
