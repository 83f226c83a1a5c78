import { Injectable } from '@nestjs/common';
import { PACE_FACTORS, analyseCombo, neededGap, type OwnPace, type WalkedStroke } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { fitPace, type FittedPace, type PaceGap } from '@eurhythm/core/progress';
import { timesThrough } from '@eurhythm/core/speed';
import { impactBeats } from '@eurhythm/core/strikes';
import { groupBy } from '@eurhythm/core/units';
import type { PaceView } from '@eurhythm/contract';
import { and, desc, eq, gte, inArray, isNotNull, sql } from 'drizzle-orm';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/database.ts';
import { attempts, tests } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { weeksBefore } from './days.ts';

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

  /** Of some; everybody who is asked for is in it. */
  async of(fighterIds: readonly string[], now: Date): Promise<ReadonlyMap<string, KnownPace>> {
    const [{ school }, book, rows] = await Promise.all([
      this.gym.gym(),
      this.moves.book(),
      this.heardCombos(fighterIds, weeksBefore(now, WEEKS)),
    ]);
    const gym = PACE_FACTORS[school.pace];
    const byFighter = groupBy(rows, ({ fighterId }) => fighterId);
    const impacts = new Map<string, readonly WalkedStroke[]>();
    const impactsIn = (line: string, lead: 'left' | 'right'): readonly WalkedStroke[] => {
      const key = `${lead} ${line}`;
      const known = impacts.get(key) ?? walkedImpacts(line, lead, book);
      impacts.set(key, known);
      return known;
    };
    return new Map(
      fighterIds.map((id) => {
        const own = byFighter.get(id) ?? [];
        const gaps = own.flatMap(({ line, lead, heard }) =>
          gapsOf(timesThrough(heard!), impactsIn(line!, lead)),
        );
        const fitted = fitPace(gaps, gym);
        return [id, { factor: fitted?.pace ?? gym, fitted, gym, combos: own.length }];
      }),
    );
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
        .where(
          and(
            inArray(attempts.fighterId, [...fighterIds]),
            gte(attempts.at, since),
            eq(tests.kind, 'combo-time'),
            isNotNull(tests.line),
            isNotNull(attempts.heard),
          ),
        )
        .orderBy(desc(attempts.at)),
    );
    return this.database
      .with(ranked)
      .select()
      .from(ranked)
      .where(sql`${ranked.place} <= ${MOST_COMBOS}`);
  }
}

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
