import { Injectable, NotFoundException } from '@nestjs/common';
import { heldRounds } from '@eurhythm/core/plan';
import type { WrittenBlock } from '@eurhythm/core/rounds';
import { roundSeed } from '@eurhythm/core/run';
import type { Seconds } from '@eurhythm/core/units';
import type { CompiledRoundView, VoiceId } from '@eurhythm/contract';
import { GymService } from '../gym/gym.service.ts';
import { RoundsService } from '../sessions/rounds.service.ts';
import { SessionsService } from '../sessions/sessions.service.ts';
import { iCalendar } from './iCalendar.ts';

/** A round in its place in a file. */
export interface PlayedRound {
  readonly at: Seconds;
  readonly title: string;
  readonly round: CompiledRoundView;
  /** As they are written. */
  readonly blocks: readonly WrittenBlock[];
}

/** A session, or one round of it, compiled as it is played from its first second on. */
export interface PlayedSession {
  readonly title: string;
  readonly seconds: Seconds;
  readonly rounds: readonly PlayedRound[];
}

/** Compiles whole sessions for what is written to files. */
@Injectable()
export class PlayedSessionService {
  constructor(
    private readonly sessions: SessionsService,
    private readonly rounds: RoundsService,
    private readonly gym: GymService,
  ) {}

  /** All planned sessions as an iCalendar file. */
  async calendar(now: Date): Promise<string> {
    const [{ name }, all] = await Promise.all([this.gym.gym(), this.sessions.planned()]);
    const events = all.flatMap(({ id, title, plannedFor, seconds, rounds }) =>
      plannedFor === null
        ? []
        : [
            {
              id,
              title,
              start: new Date(plannedFor),
              minutes: Math.ceil(seconds / 60),
              notes: `${rounds} rounds`,
            },
          ],
    );
    return iCalendar(events, name, now);
  }

  async played(
    sessionId: string,
    { roundId, voice }: { roundId?: string; voice?: VoiceId },
  ): Promise<PlayedSession> {
    const session = await this.sessions.one(sessionId);
    const wanted =
      roundId === undefined ? session.rounds : session.rounds.filter((round) => round.id === roundId);
    if (wanted.length === 0) throw new NotFoundException('This round does not exist.');
    const linked = heldRounds(wanted);
    const rounds: PlayedRound[] = [];
    let at = 0;
    for (const { id, title, blocks, timeCalls } of linked) {
      const round = await this.rounds.compile({
        blocks,
        lead: session.lead,
        ...(timeCalls ? { timeCalls } : {}),
        ...(session.word ? { word: session.word } : {}),
        seed: roundSeed(sessionId, id),
        ...(voice === undefined ? {} : { voice }),
      });
      rounds.push({ at, title, round, blocks });
      at += round.duration;
    }
    const title = roundId === undefined ? session.title : `${session.title}: ${wanted[0]!.title}`;
    return { title, seconds: at, rounds };
  }
}
