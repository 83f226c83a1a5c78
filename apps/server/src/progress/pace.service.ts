import { Injectable } from '@nestjs/common';
import { PACE_FACTORS, analyseCombo, neededGap, type OwnPace, type WalkedStroke } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { fitPace, type FittedPace, type PaceGap } from '@eurhythm/core/progress';
import { timesThrough } from '@eurhythm/core/speed';
import { impactBeats } from '@eurhythm/core/strikes';
import { groupBy } from '@eurhythm/core/units';
import type { FighterPaceView, PaceView } from '@eurhythm/contract';
import { and, desc, eq, gte, inArray, isNotNull, sql } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/database.ts';
import { attempts, fighterRevisions, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf, weeksBefore } from './days.ts';

/** Combos of the last weeks, and no more of them than this, tell how quick somebody is. */
const WEEKS = 12;
const MOST_COMBOS = 60;

/** How quick one fighter is. */
export interface KnownPace {
  /** For the limb clock: the own pace, or the gym's where nothing was measured. */
  readonly factor: number | OwnPace;
  readonly fitted: FittedPace | null;
  readonly gym: number;
  /** Combos that it rests on. */
  readonly combos: number;
}

/** The pace of fighters, fitted from the gaps of their own combos. */
@Injectable()
export class PaceService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly gym: GymService,
    private readonly moves: MovesService,
  ) {}

  /** What was fitted, and from which combos: fitting reads everything that was heard of them. */
  private readonly kept = new Map<string, { readonly from: string; readonly gaps: readonly PaceGap[] }>();
  /** The book that it was fitted with. */
  private keptWith: MoveBook | null = null;

  /** Of some; everybody who is asked for is in it. */
  async of(fighterIds: readonly string[], now: Date): Promise<ReadonlyMap<string, KnownPace>> {
    const since = weeksBefore(now, WEEKS);
    const [{ school }, book, newest] = await Promise.all([
      this.gym.gym(),
      this.moves.book(),
      this.newestCombos(fighterIds, since),
    ]);
    const gym = PACE_FACTORS[school.pace];
    if (book !== this.keptWith) this.kept.clear();
    this.keptWith = book;
    const isNew = (id: string): boolean => {
      const from = newest.get(id)?.from;
      return from !== undefined && this.kept.get(id)?.from !== from;
    };
    const rows = await this.heardCombos(fighterIds.filter(isNew), since);
    const impacts = new Map<string, readonly WalkedStroke[]>();
    const impactsIn = (line: string, lead: 'left' | 'right'): readonly WalkedStroke[] => {
      const key = `${lead} ${line}`;
      const known = impacts.get(key) ?? walkedImpacts(line, lead, book);
      impacts.set(key, known);
      return known;
    };
    for (const [id, own] of groupBy(rows, ({ fighterId }) => fighterId))
      this.kept.set(id, {
        from: newest.get(id)!.from,
        gaps: own.flatMap(({ line, lead, heard }) => gapsOf(timesThrough(heard!), impactsIn(line!, lead))),
      });
    return new Map(
      fighterIds.map((id) => {
        const known = newest.get(id);
        const fitted = known ? fitPace(this.kept.get(id)?.gaps ?? [], gym) : null;
        const combos = Math.min(MOST_COMBOS, known?.combos ?? 0);
        return [id, { factor: fitted?.pace ?? gym, fitted, gym, combos }];
      }),
    );
  }

  /** Of those among some whose pace was measured, as it is sent. */
  async measured(fighterIds: readonly string[], now: Date): Promise<FighterPaceView[]> {
    const known = await this.of(fighterIds, now);
    return [...known].flatMap(([fighterId, pace]) => {
      const view = paceView(pace);
      return view ? [{ fighterId, ...view }] : [];
    });
  }

  /** How many heard combos each has, and the revision of what was written of each. */
  private async newestCombos(fighterIds: readonly string[], since: Date) {
    if (fighterIds.length === 0) return new Map<string, { from: string; combos: number }>();
    const rows = await this.database
      .select({
        fighterId: attempts.fighterId,
        combos: sql<number>`count(*)`.mapWith(Number),
        // What was done longer ago falls out of it day by day.
        from: sql<string>`concat_ws(' ', count(*), ${fighterRevisions.revision}, ${dayOf(since)}::text)`,
      })
      .from(attempts)
      .innerJoin(tests, eq(attempts.testId, tests.id))
      .leftJoin(fighterRevisions, eq(attempts.fighterId, fighterRevisions.fighterId))
      .where(and(inArray(attempts.fighterId, [...fighterIds]), ...isHeardCombo(since)))
      .groupBy(attempts.fighterId, fighterRevisions.revision);
    return new Map(rows.map(({ fighterId, ...of }) => [fighterId, of]));
  }

  private async heardCombos(fighterIds: readonly string[], since: Date) {
    if (fighterIds.length === 0) return [];
    const ranked = this.database.$with('ranked').as(
      this.database
        .select({
          fighterId: attempts.fighterId,
          lead: attempts.lead,
          heard: attempts.heard,
          line: tests.line,
          place:
            sql<number>`row_number() over (partition by ${attempts.fighterId} order by ${attempts.at} desc)`.as(
              'place',
            ),
        })
        .from(attempts)
        .innerJoin(tests, eq(attempts.testId, tests.id))
        .where(and(inArray(attempts.fighterId, [...fighterIds]), ...isHeardCombo(since)))
        .orderBy(desc(attempts.at)),
    );
    return this.database
      .with(ranked)
      .select()
      .from(ranked)
      .where(sql`${ranked.place} <= ${MOST_COMBOS}`);
  }
}

const isHeardCombo = (since: Date) => [
  gte(attempts.at, since),
  eq(tests.kind, 'combo-time'),
  isNotNull(tests.line),
  isNotNull(attempts.heard),
];

function walkedImpacts(line: string, lead: 'left' | 'right', book: MoveBook): readonly WalkedStroke[] {
  const read = analyseCombo(line, book, lead);
  if (!read.ok) return [];
  const strokes = new Map(read.walk.strokes.map((stroke) => [stroke.index, stroke]));
  return impactBeats(line, lead, book).flatMap(({ stroke }) => strokes.get(stroke) ?? []);
}

/** The gaps of all times through between impacts that follow each other, with what the table allows. */
function gapsOf(times: ReturnType<typeof timesThrough>, impacts: readonly WalkedStroke[]): PaceGap[] {
  return times.flatMap(({ gaps }) =>
    gaps.flatMap(({ from, to, seconds, line }) => {
      const [earlier, later] = [impacts[from], impacts[to]];
      if (to !== from + 1 || !earlier || !later) return [];
      const { pair, seconds: least } = neededGap(earlier, later, { factor: 1 });
      return [{ pair, seconds, line, least }];
    }),
  );
}

/** As the fighter's page shows it; null where nothing was measured. */
export function paceView({ fitted, gym, combos }: KnownPace): PaceView | null {
  return (
    fitted && { base: fitted.pace.base, gym, combos, pairs: fitted.pairs.map((pair) => ({ ...pair, gym })) }
  );
}
