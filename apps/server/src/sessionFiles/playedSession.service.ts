import { howMany } from '@eurhythm/core/units';
import { Injectable, NotFoundException } from '@nestjs/common';
import { heldRounds } from '@eurhythm/core/plan';
import type { VoiceSound } from '@eurhythm/core/sound';
import type { VoiceId } from '@eurhythm/contract';
import { GradingDaysService } from '../gradingDays/gradingDays.service.ts';
import { GymService } from '../gym/gym.service.ts';
import type { SessionToPlay } from '../heavy/tasks/playedSession.ts';
import { SeasonsService } from '../seasons/seasons.service.ts';
import { RoundsService } from '../sessions/rounds.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { iCalendar } from './iCalendar.ts';

/** Gathers what is written to files. */
@Injectable()
export class PlayedSessionService {
  constructor(
    private readonly sessions: SessionsService,
    private readonly rounds: RoundsService,
    private readonly gym: GymService,
    private readonly seasons: SeasonsService,
    private readonly gradings: GradingDaysService,
  ) {}

  /** All planned sessions as an iCalendar file. */
  async calendar(now: Date): Promise<string> {
    const [{ name }, all, seasons, gradings] = await Promise.all([
      this.gym.gym(),
      this.sessions.planned(),
      this.seasons.list(now),
      this.gradings.list(now),
    ]);
    const weeks = seasons.flatMap(({ id, title, weeks: own }) =>
      own.map(({ from, until, theme, why }) => ({
        ...{ id: `${id}-${from}`, title: `${title}: ${theme}`, from, until, notes: why },
      })),
    );
    const days = gradings.map(({ id, title, day, candidates }) => ({
      ...{ id, title, from: day, until: day, notes: candidates.map((each) => each.name).join(', ') },
    }));
    const events = all.flatMap(({ id, title, plannedFor, seconds, rounds }) =>
      plannedFor === null
        ? []
        : [
            {
              id,
              title,
              start: new Date(plannedFor),
              minutes: Math.ceil(seconds / 60),
              notes: howMany(rounds, 'round'),
            },
          ],
    );
    return iCalendar(events, name, now, [...weeks, ...days]);
  }

  /** A session, or one round of it, with all that is needed to compile it. */
  async toPlay(
    sessionId: string,
    { roundId, voice, sound }: { roundId?: string; voice?: VoiceId; sound?: VoiceSound },
  ): Promise<SessionToPlay> {
    const session = await this.sessions.one(sessionId);
    const wanted =
      roundId === undefined ? session.rounds : session.rounds.filter((round) => round.id === roundId);
    if (wanted.length === 0) throw new NotFoundException('This round does not exist.');
    const { lead, word } = session;
    const { rounds, ...rest } = await this.rounds.toPlay(heldRounds(wanted), {
      seedKey: sessionId,
      lead,
      word: word ?? '',
      ...(voice === undefined ? {} : { voice }),
      ...(sound === undefined ? {} : { sound }),
    });
    const title = roundId === undefined ? session.title : `${session.title}: ${wanted[0]!.title}`;
    return { title, rounds, ...rest };
  }
}
