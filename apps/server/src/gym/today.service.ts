import { Injectable } from '@nestjs/common';
import type { TodayView } from '@eurhythm/contract';
import { format } from 'date-fns';
import { ThemesService } from '../calendar/themes.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { HeldRunsService } from '../runs/heldRuns.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';

const HOUR = 3_600_000;
/** A session still counts as the next one this long after it should have begun. */
const LATE = 2 * HOUR;

/** Answers "what is next, who is expected, and how it was last time". */
@Injectable()
export class TodayService {
  constructor(
    private readonly sessions: SessionsService,
    private readonly fighters: FightersService,
    private readonly runs: HeldRunsService,
    private readonly themes: ThemesService,
  ) {}

  async today(): Promise<TodayView> {
    const now = Date.now();
    const [next, themes, running, expected, lastRun] = await Promise.all([
      this.sessions.nextFrom(new Date(now - LATE)),
      this.themes.of(format(now, 'yyyy-MM-dd')),
      this.runs.running(),
      this.fighters.fit(),
      this.runs.last(),
    ]);
    return { next, themes, running, expected, lastRun };
  }
}
