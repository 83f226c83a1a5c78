import { Injectable } from '@nestjs/common';
import { strikesOfBlock } from '@eurhythm/core/plan';
import type { MoveBook } from '@eurhythm/core/moves';
import {
  limbShares,
  moveTotals,
  shareDone,
  timesLimbs,
  volumeByWeek,
  type LimbCount,
} from '@eurhythm/core/progress';
import {
  NO_STRIKES,
  addStrikes,
  combosById,
  fillBlock,
  type StrikeCount,
  type WrittenBlock,
  blockOfGroup,
  isRest,
} from '@eurhythm/core/rounds';
import { groupBy } from '@eurhythm/core/units';
import type { LifetimeView, RoundDto, VolumeView } from '@eurhythm/contract';
import { and, eq, gte, inArray, isNotNull, sql } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { GymService } from '../gym/gym.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/database.ts';
import { roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf, firstDayOf, weeksBefore } from './days.ts';

/** A season: half a year. */
const WEEKS = 26;
/** What a class leaves out shows in a month. */
const CLASS_WEEKS = 4;
/** So many different rounds are remembered: the sessions of some years. */
const MOST_KNOWN = 5000;

/** What a round is worked out with. */
interface Ground {
  readonly book: MoveBook;
  readonly byId: Parameters<typeof fillBlock>[1];
}

/** How much was struck, by limb, week and move. */
@Injectable()
export class VolumeService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly gym: GymService,
  ) {}

  /** Strikes of rounds that were worked out before, by how they are written; another book or other combos make them anew. */
  private known = new Map<string, StrikeCount>();
  private knownWith = '';
  private knownBook: MoveBook | null = null;

  /** Of one fighter in the last half year, by limb and week. */
  async of(fighterId: string, now = new Date()): Promise<VolumeView> {
    await this.fighters.one(fighterId);
    const rounds = await this.roundsOf(fighterId, weeksBefore(now, WEEKS));
    const from = firstDayOf(now, WEEKS);
    return volumeByWeek(
      rounds
        .filter(({ day }) => day >= from)
        .map(({ strikes, ...round }) => ({ ...round, planned: strikes.limbs })),
      dayOf(now),
    );
  }

  /** Each move of one fighter since the first day. */
  async lifetime(fighterId: string, now = new Date()): Promise<LifetimeView> {
    await this.fighters.one(fighterId);
    const [rounds, { school }] = await Promise.all([this.roundsOf(fighterId, null), this.gym.gym()]);
    const days = rounds.map(({ day }) => day).sort();
    return {
      moves: moveTotals(
        rounds.map(({ strikes, ...round }) => ({ ...round, moves: strikes.moves })),
        dayOf(now),
      ),
      since: days[0] ?? null,
      towards: school.repetitions,
    };
  }

  /** What share of the strikes each limb of some had in the last weeks. */
  async limbsOf(
    fighterIds: readonly string[],
    now: Date,
    meant: Parameters<typeof limbShares>[1],
  ): Promise<ReturnType<typeof limbShares>> {
    if (fighterIds.length === 0) return limbShares([]);
    const group = sql<string>`coalesce(${runs.groupOf}->>${roundResults.fighterId}, '')`;
    const rows = await this.database
      .select({
        runId: roundResults.runId,
        round: roundResults.round,
        lead: roundResults.lead,
        group: group.as('of_group'),
        finished: sql<number>`count(*) filter (where ${roundResults.done} = 'finished')`.mapWith(Number),
        part: sql<number>`count(*) filter (where ${roundResults.done} = 'part')`.mapWith(Number),
      })
      .from(roundResults)
      .innerJoin(runs, eq(roundResults.runId, runs.id))
      .where(
        and(
          inArray(roundResults.fighterId, [...fighterIds]),
          gte(roundResults.at, weeksBefore(now, CLASS_WEEKS)),
        ),
      )
      .groupBy(roundResults.runId, roundResults.round, roundResults.lead, sql`of_group`);
    const [held, ground] = await Promise.all([this.held(rows.map(({ runId }) => runId)), this.ground()]);
    return limbShares(
      rows.flatMap(({ runId, round, lead, group: own, finished, part }): LimbCount[] => {
        const run = held.get(runId);
        const written = run?.rounds[round];
        if (!written) return [];
        const times = finished + part * shareDone({ done: 'part', seconds: null }, 0);
        const { limbs } = this.strikesOf(written, lead ?? run.lead, own, ground);
        return [timesLimbs(limbs, times)];
      }),
      meant,
    );
  }

  /** The rounds of one fighter since an instant, or all, each with its strikes and how much of it was done. */
  private async roundsOf(fighterId: string, since: Date | null) {
    const marks = await this.database
      .select()
      .from(roundResults)
      .where(
        and(
          eq(roundResults.fighterId, fighterId),
          isNotNull(roundResults.done),
          since ? gte(roundResults.at, since) : undefined,
        ),
      );
    const byRun = groupBy(marks, ({ runId }) => runId);
    const [held, ground] = await Promise.all([this.held([...byRun.keys()]), this.ground()]);
    return [...held].flatMap(([run, { lead, rounds, groupOf, startedAt }]) =>
      byRun.get(run)!.flatMap((mark) => {
        const round = rounds[mark.round];
        if (!round) return [];
        const strikes = this.strikesOf(round, mark.lead ?? lead, groupOf[fighterId] ?? '', ground);
        return [{ run, day: dayOf(startedAt), strikes, share: shareDone(mark, workSeconds(round)) }];
      }),
    );
  }

  private async held(ids: readonly string[]) {
    const rows =
      ids.length === 0
        ? []
        : await this.database
            .select({
              id: runs.id,
              lead: runs.lead,
              rounds: runs.rounds,
              groupOf: runs.groupOf,
              startedAt: runs.startedAt,
            })
            .from(runs)
            .where(inArray(runs.id, [...new Set(ids)]));
    return new Map(rows.map((row) => [row.id, row]));
  }

  private async ground(): Promise<Ground> {
    const [book, combos] = await Promise.all([this.moves.book(), this.combos.list({ retired: true })]);
    const written = JSON.stringify(
      combos.map(({ id, line, beatsPerBar, cycleBeats }) => [id, line, beatsPerBar, cycleBeats]),
    );
    if (written !== this.knownWith || book !== this.knownBook || this.known.size > MOST_KNOWN)
      this.known = new Map();
    this.knownWith = written;
    this.knownBook = book;
    return { book, byId: combosById(combos) };
  }

  private strikesOf(
    { blocks }: RoundDto,
    lead: 'left' | 'right',
    group: string,
    { book, byId }: Ground,
  ): StrikeCount {
    const key = `${lead} ${group} ${JSON.stringify(blocks)}`;
    const known = this.known.get(key);
    if (known) return known;
    const strikes = (blocks as WrittenBlock[])
      .map((block) => strikesOfBlock(fillBlock(blockOfGroup(block, group), byId), book, lead))
      .reduce(addStrikes, NO_STRIKES);
    this.known.set(key, strikes);
    return strikes;
  }
}

const workSeconds = ({ blocks }: RoundDto): number =>
  blocks.reduce((sum, block) => sum + (isRest(block) ? 0 : block.seconds), 0);
