import { DynamicModule, Module } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { CalendarModule } from './calendar/calendar.module.ts';
import { CombosModule } from './combos/combos.module.ts';
import { RenameReferencesModule } from './renameReferences/renameReferences.module.ts';
import { SessionFilesModule } from './sessionFiles/sessionFiles.module.ts';
import { DraftsModule } from './drafts/drafts.module.ts';
import { FightersModule } from './fighters/fighters.module.ts';
import { GradingDaysModule } from './gradingDays/gradingDays.module.ts';
import { GradesModule } from './grades/grades.module.ts';
import { GymModule } from './gym/gym.module.ts';
import { BackupModule } from './backup/backup.module.ts';
import { AccessGuard } from './auth/allowRoles.ts';
import { RequestLimitGuard } from './auth/requestLimit.guard.ts';
import { AuthModule } from './auth/auth.module.ts';
import { ReachModule, type Reach } from './auth/reach.ts';
import { HomeModule } from './home/home.module.ts';
import { HallModule } from './hall/hall.module.ts';
import { LibraryModule } from './library/library.module.ts';
import { LogModule } from './log/log.module.ts';
import { MovesModule } from './moves/moves.module.ts';
import { NumbersModule } from './numbers/numbers.module.ts';
import { ProgressModule } from './progress/progress.module.ts';
import { RunsModule } from './runs/runs.module.ts';
import { SeasonsModule } from './seasons/seasons.module.ts';
import { SessionsModule } from './sessions/sessions.module.ts';
import { SoundCheckModule } from './soundCheck/soundCheck.module.ts';
import type { Store } from './store/store.ts';
import { StrikesModule } from './strikes/strikes.module.ts';
import { StoreModule } from './store/store.module.ts';
import { AssessmentsModule } from './assessments/assessments.module.ts';
import { VoiceModule } from './voice/voice.module.ts';

/** One module for each room of the product, over one store and one data folder. */
@Module({
  imports: [
    MovesModule,
    CombosModule,
    NumbersModule,
    RenameReferencesModule,
    SessionsModule,
    LibraryModule,
    DraftsModule,
    GradingDaysModule,
    SeasonsModule,
    RunsModule,
    AssessmentsModule,
    LogModule,
    ProgressModule,
    CalendarModule,
    FightersModule,
    GymModule,
    GradesModule,
    SessionFilesModule,
    SoundCheckModule,
    StrikesModule,
    AuthModule,
    HallModule,
    HomeModule,
  ],
  providers: [
    { provide: APP_GUARD, useClass: RequestLimitGuard },
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
        BackupModule.in(dataFolder),
        ReachModule.at(reach),
      ],
    };
  }
}
