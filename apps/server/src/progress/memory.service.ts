import { Injectable } from '@nestjs/common';
import { asked, doneFromMemory, memoryNow, type MemoryCard, type Recall } from '@eurhythm/core/progress';
import { comboName } from '@eurhythm/core/plan';
import { groupBy } from '@eurhythm/core/units';
import type { MemoryList, MemoryView, RecallDto, TrainedView } from '@eurhythm/contract';
import { and, asc, desc, eq, inArray, lte } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { refuseField } from '../http/refuse.ts';
import type { Database, Transaction } from '../store/database.ts';
import { recalls } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { weeksBefore } from './days.ts';
import { SetsService, type MarkedSet } from './sets.service.ts';

/** What fighters remember of the combos that they were asked for. */
@Injectable()
export class MemoryService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly combos: CombosService,
    private readonly sets: SetsService,
  ) {}

  /** Keeps answers, all or none; the same again changes nothing, and one that comes late is put where it belongs. */
  async keep(answers: readonly RecallDto[]): Promise<void> {
    const fighterIds = [...new Set(answers.map(({ fighterId }) => fighterId))];
    const comboIds = [...new Set(answers.map(({ comboId }) => comboId))];
    const known = new Set((await this.fighters.some(fighterIds)).map(({ id }) => id));
    const combos = await this.combos.some(comboIds);
    for (const [i, { fighterId, comboId }] of answers.entries()) {
      if (!known.has(fighterId))
        throw refuseField(`recalls.${i}.fighterId`, 'This fighter is not in the gym.');
      if (!combos.has(comboId)) throw refuseField(`recalls.${i}.comboId`, 'This combo is not in the book.');
    }
    await this.database.transaction(async (tx) => {
      for (const those of groupBy(answers, ({ fighterId, comboId }) => `${fighterId} ${comboId}`).values())
        await this.keepOf(tx, those);
    });
  }

  /** The answers of one fighter for one combo: everything from the earliest of them on is scheduled anew. */
  private async keepOf(tx: Transaction, answers: readonly RecallDto[]): Promise<void> {
    const { fighterId, comboId } = answers[0]!;
    const same = and(eq(recalls.fighterId, fighterId), eq(recalls.comboId, comboId));
    const before = await tx.select().from(recalls).where(same).orderBy(asc(recalls.at), asc(recalls.id));
    const all = new Map(before.map((row) => [row.id, row]));
    for (const { id, recall, runId = null, at } of answers)
      all.set(id, { id, fighterId, comboId, recall, runId, at: new Date(at), card: NO_CARD });
    let card: MemoryCard | null = null;
    for (const row of [...all.values()].sort(
      (a, b) => a.at.getTime() - b.at.getTime() || (a.id < b.id ? -1 : 1),
    )) {
      card = asked(card, row.recall, row.at.toISOString());
      const kept = { ...row, card };
      await tx.insert(recalls).values(kept).onConflictDoUpdate({ target: recalls.id, set: kept });
    }
  }

  /** Both for some: what they remember, and what they may be asked for. */
  async list(fighterIds: readonly string[], now: Date): Promise<MemoryList> {
    return { items: await this.of(fighterIds, now), trained: await this.trained(fighterIds, now) };
  }

  /** Which combos each of some has trained lately: nobody is asked for what he never did. */
  private async trained(fighterIds: readonly string[], now: Date): Promise<TrainedView[]> {
    const sets = await this.sets.of(fighterIds, weeksBefore(now, TRAINED_WEEKS), { alsoUnjudged: true });
    return [...groupBy(sets, ({ fighterId }) => fighterId)].map(([fighterId, own]) => ({
      fighterId,
      comboIds: [...new Set(own.map(({ comboId }) => comboId))],
    }));
  }

  /** What some remember at an instant, from the answers until then; what is due longest first. */
  async of(fighterIds: readonly string[], now: Date): Promise<MemoryView[]> {
    if (fighterIds.length === 0) return [];
    const rows = await this.database
      .selectDistinctOn([recalls.fighterId, recalls.comboId])
      .from(recalls)
      .where(and(inArray(recalls.fighterId, [...fighterIds]), lte(recalls.at, now)))
      .orderBy(recalls.fighterId, recalls.comboId, desc(recalls.at), desc(recalls.id));
    const [combos, sets] = await Promise.all([
      this.combos.some([...new Set(rows.map(({ comboId }) => comboId))]),
      this.sets.of(fighterIds, weeksBefore(now, TRAINED_WEEKS), { onlyClean: true }),
    ]);
    const done = groupBy(
      sets.filter(({ fromMemory }) => fromMemory),
      ({ fighterId, comboId }) => `${fighterId} ${comboId}`,
    );
    return rows
      .map((row) => withClasses(row, done.get(`${row.fighterId} ${row.comboId}`) ?? [], now))
      .filter(({ comboId }) => combos.has(comboId) && !combos.get(comboId)!.retired)
      .map(({ fighterId, comboId, card, recall }) => ({
        fighterId,
        comboId,
        combo: comboName(combos.get(comboId)),
        ...memoryNow(card, recall, now.toISOString()),
        due: card.due,
        times: card.times,
        lapses: card.lapses,
        last: recall,
      }))
      .sort((a, b) => (a.due < b.due ? -1 : 1));
  }
}

/** What was trained in the last half year may be asked. */
const TRAINED_WEEKS = 26;

/** What was answered, with the classes since then in which it was done from memory. */
function withClasses<R extends { readonly card: MemoryCard; readonly recall: Recall }>(
  row: R,
  sets: readonly Pick<MarkedSet, 'day'>[],
  now: Date,
): R {
  const days = sets.map(({ day }) => new Date(`${day}T12:00:00`)).filter((at) => at <= now);
  const card = doneFromMemory(
    row.card,
    days.map((at) => at.toISOString()),
  );
  return card === row.card ? row : { ...row, card, recall: 'with-help' };
}

/** Stands until the scheduler has been asked. */
const NO_CARD: MemoryCard = {
  ...{ due: '', lastAsked: null, stability: 0, difficulty: 0, times: 0, lapses: 0, state: 0, interval: 0 },
};
