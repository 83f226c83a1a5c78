import type { INestApplication } from '@nestjs/common';
import { loggable } from './store/open/databaseFaults.ts';
import { FightersService } from './fighters/fighters.service.ts';
import { ClassProgressService } from './progress/classProgress.service.ts';
import { FighterProgressService } from './progress/fighterProgress.service.ts';
import { QuestionsService } from './progress/questions.service.ts';
import { SessionsService } from './sessions/sessions.service.ts';

/**
 * Works out ahead what whoever asks first would wait for: how the class and a fighter come on, then the
 * voice of the sessions. What cannot be prepared is worked out when somebody asks.
 */
export async function warmAhead(app: INestApplication, isStopping: () => boolean): Promise<void> {
  const service = <T>(of: new (...parts: never[]) => T): T => app.get<T>(of, { strict: false });
  const steps: Readonly<Record<string, () => Promise<unknown>>> = {
    'The class table': () => service(ClassProgressService).of({}),
    'The questions of the day': () => service(QuestionsService).all(),
    'A fighter': async () => {
      const [first] = await service(FightersService).fit();
      if (first) await service(FighterProgressService).of(first.id, {});
    },
    'The voice': () => service(SessionsService).warmVoice(),
  };
  for (const [what, step] of Object.entries(steps)) {
    if (isStopping()) return;
    await step().catch((error: unknown) => {
      if (!isStopping()) console.error(`${what} could not be prepared ahead:`, loggable(error));
    });
  }
}
