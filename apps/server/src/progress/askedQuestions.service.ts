import { Injectable } from '@nestjs/common';
import { isAsked } from '@eurhythm/core/progress';
import type { AnswerQuestionDto, QuestionView } from '@eurhythm/contract';
import { inArray } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { askedQuestions } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf } from './days.ts';

/** What tells a question from others, whatever its numbers are. */
export const keyOf = ({ kind, fighterId, name }: Pick<QuestionView, 'kind' | 'fighterId' | 'name'>): string =>
  `${kind} ${fighterId ?? name}`;

/** Remembers what Today asked, so that nobody is asked the same day after day. */
@Injectable()
export class AskedQuestionsService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /** Those that are to be asked on a day; that they were is written down. */
  async notAskedYet(questions: readonly QuestionView[], today: string): Promise<QuestionView[]> {
    if (questions.length === 0) return [];
    const rows = await this.database
      .select()
      .from(askedQuestions)
      .where(
        inArray(
          askedQuestions.key,
          questions.map(({ key }) => key),
        ),
      );
    const before = new Map(rows.map((row) => [row.key, { ...row, isAnswered: row.answeredAt !== null }]));
    const asked = questions.filter(({ key, sentence }) => isAsked(sentence, before.get(key), today));
    const fresh = asked.filter(({ key }) => before.get(key)?.day !== today);
    for (const { key, sentence } of fresh)
      await this.database
        .insert(askedQuestions)
        .values({ key, sentence, day: today })
        .onConflictDoUpdate({ target: askedQuestions.key, set: { sentence, day: today, answeredAt: null } });
    return asked;
  }

  /** Somebody answered; the same again changes nothing. */
  async answered({ key, sentence }: AnswerQuestionDto, now: Date): Promise<void> {
    const row = { sentence, day: dayOf(now), answeredAt: now };
    await this.database
      .insert(askedQuestions)
      .values({ key, ...row })
      .onConflictDoUpdate({ target: askedQuestions.key, set: row });
  }
}
