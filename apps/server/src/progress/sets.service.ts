import { Injectable } from '@nestjs/common';
import type { SetQuality } from '@eurhythm/core/tempo';
import type { SatOutDay } from '@eurhythm/core/progress';
import { and, asc, eq, gte, inArray, isNotNull, sql } from 'drizzle-orm';
import type { Database } from '../store/database.ts';
import { roundResults, runRoundCombos, runRounds, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { daySql } from './days.ts';

/** One round with a combo, as it was marked for one fighter. */
export interface MarkedSet {
  readonly fighterId: string;
  readonly runId: string;
  readonly comboId: string;
  readonly bpm: number | null;
  readonly quality: SetQuality | null;
  /** The leads from which it was done. */
  readonly leads: readonly ('left' | 'right')[];
  /** Of the class. */
  readonly day: string;
  /** The combo was called by its number or its name alone, and not stroke by stroke. */
  readonly fromMemory: boolean;
}

/** What the rounds of the log say of combos. */
@Injectable()
export class SetsService {
  constructor(@InjectDatabase() private readonly database: Database) {}

  /**
   * The rounds with combos of some since an instant whose quality was marked, or all that were done, the oldest first: each with the
   * combos of the own group.
   */
  async of(
    fighterIds: readonly string[],
    since: Date,
    { onlyClean = false, alsoUnjudged = false }: { onlyClean?: boolean; alsoUnjudged?: boolean } = {},
  ): Promise<MarkedSet[]> {
    if (fighterIds.length === 0) return [];
    const group = sql`coalesce(${runs.groupOf}->>${roundResults.fighterId}, '')`;
    const inBlock = sql`${runRoundCombos.runId} = own.run_id and ${runRoundCombos.round} = own.round and ${runRoundCombos.block} = own.block`;
    const rows = await this.database
      .select({
        fighterId: roundResults.fighterId,
        runId: roundResults.runId,
        comboId: runRoundCombos.comboId,
        bpm: sql<number | null>`coalesce(${runRoundCombos.bpm}, ${runRounds.bpm})`,
        quality: roundResults.quality,
        reported: roundResults.lead,
        planned: runs.lead,
        plan: sql<string | null>`${blockPath('leadPlan')}`,
        day: daySql(runs.startedAt),
        fromMemory: sql<boolean>`coalesce(${blockPath('words')} = 'combo-number' or ${blockPath('calls')} in ('lead-in', 'one-count', 'silent'), false)`,
      })
      .from(roundResults)
      .innerJoin(runs, eq(roundResults.runId, runs.id))
      .innerJoin(
        runRounds,
        and(eq(runRounds.runId, roundResults.runId), eq(runRounds.round, roundResults.round)),
      )
      .innerJoin(
        runRoundCombos,
        and(eq(runRoundCombos.runId, roundResults.runId), eq(runRoundCombos.round, roundResults.round)),
      )
      .where(
        and(
          inArray(roundResults.fighterId, [...fighterIds]),
          gte(roundResults.at, since),
          alsoUnjudged ? undefined : isNotNull(roundResults.quality),
          inArray(roundResults.done, ['finished', 'part']),
          // A mark that is about one combo says nothing of the others of its round.
          sql`(${roundResults.quality} is null or ${roundResults.comboId} is null or ${roundResults.comboId} = ${runRoundCombos.comboId})`,
          onlyClean ? eq(roundResults.quality, 'clean') : undefined,
          // The combos of the own group, where it has any in this block; else those of everybody.
          sql`(${runRoundCombos.groupName} = ${group} and ${group} <> '' or ${runRoundCombos.groupName} = '' and not exists (select 1 from ${runRoundCombos} own where ${inBlock} and own.group_name = ${group} and ${group} <> ''))`,
        ),
      )
      .orderBy(asc(roundResults.at), asc(roundResults.id), asc(runRoundCombos.place));
    return rows.map(({ reported, planned, plan, ...set }) => ({
      ...set,
      leads: leadsOf(reported, planned, plan),
    }));
  }

  /** The days on which each of some was in a class, and whether a round of it was sat out. */
  async satOut(fighterIds: readonly string[], since: Date): Promise<SatOutDay[]> {
    if (fighterIds.length === 0) return [];
    return this.database
      .select({
        fighterId: roundResults.fighterId,
        day: daySql(runs.startedAt).as('class_day'),
        satOut: sql<boolean>`bool_or(${roundResults.done} = 'sat-out')`,
      })
      .from(roundResults)
      .innerJoin(runs, eq(roundResults.runId, runs.id))
      .where(
        and(
          inArray(roundResults.fighterId, [...fighterIds]),
          gte(roundResults.at, since),
          isNotNull(roundResults.done),
        ),
      )
      .groupBy(roundResults.fighterId, sql`class_day`);
  }
}

/** A field of the block of a set. */
const blockPath = (field: 'leadPlan' | 'words' | 'calls') =>
  sql`${runs.rounds}->${roundResults.round}->'blocks'->${runRoundCombos.block}->>${sql.raw(`'${field}'`)}`;

/** What was marked, else what the block's plan made of the lead of the session. */
function leadsOf(
  reported: 'left' | 'right' | null,
  planned: 'left' | 'right',
  plan: string | null,
): readonly ('left' | 'right')[] {
  if (reported) return [reported];
  const other = planned === 'left' ? 'right' : 'left';
  if (plan === 'other') return [other];
  return plan === null || plan === 'as-set' ? [planned] : ['left', 'right'];
}
