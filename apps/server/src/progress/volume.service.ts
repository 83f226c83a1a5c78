import { Injectable } from '@nestjs/common';
import { strikesOfBlock } from '@eurhythm/core/plan';
import { combosById, fillBlock, type WrittenBlock } from '@eurhythm/core/rounds';
import type { MoveBook } from '@eurhythm/core/moves';
import { volumeByWeek, type LimbCount, type VolumeRound } from '@eurhythm/core/progress';
import { groupBy } from '@eurhythm/core/units';
import type { AnyBlockDto, RoundDto, VolumeView } from '@eurhythm/contract';
import { and, eq, gte, inArray, isNotNull } from 'drizzle-orm';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import type { Database } from '../store/database.ts';
import { roundResults, runs } from '../store/schema.ts';
import { InjectDatabase } from '../store/store.module.ts';
import { dayOf, weeksBefore } from './days.ts';

/** A season: half a year. */
const WEEKS = 26;
/** Of a part nobody timed half is taken. */
const SOME = 0.5;
/** So many different rounds are remembered: the sessions of a season. */
const MOST_KNOWN = 1000;

/** How much was struck, by limb and week. */
@Injectable()
export class VolumeService {
  constructor(
    @InjectDatabase() private readonly database: Database,
    private readonly fighters: FightersService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
  ) {}

  /** Strikes of rounds that were worked out before, by how they are written; another book or other combos make them anew. */
  private known = new Map<string, LimbCount>();
  private knownWith = '';

  async of(fighterId: string, now = new Date()): Promise<VolumeView> {
    await this.fighters.one(fighterId);
    const marks = await this.database
      .select()
      .from(roundResults)
      .where(
        and(
          eq(roundResults.fighterId, fighterId),
          gte(roundResults.at, weeksBefore(now, WEEKS)),
          isNotNull(roundResults.done),
        ),
      );
    const byRun = groupBy(marks, ({ runId }) => runId);
    const held =
      byRun.size === 0
        ? []
        : await this.database
            .select({ id: runs.id, lead: runs.lead, rounds: runs.rounds, groupOf: runs.groupOf })
            .from(runs)
            .where(inArray(runs.id, [...byRun.keys()]));
    const [book, combos] = await Promise.all([this.moves.book(), this.combos.list({ retired: true })]);
    const ground = { book, byId: combosById(combos) };
    const written = JSON.stringify(combos.map(({ id, line }) => [id, line])) + String(book.moves.size);
    if (written !== this.knownWith || this.known.size > MOST_KNOWN) this.known = new Map();
    this.knownWith = written;
    const rounds = held.flatMap(({ id, lead, rounds: all, groupOf }) =>
      byRun.get(id)!.flatMap((mark): VolumeRound[] => {
        const round = all[mark.round];
        if (!round) return [];
        const planned = this.strikesOf(round, mark.lead ?? lead, groupOf[fighterId] ?? '', ground);
        return [{ day: dayOf(mark.at), planned, share: shareOf(mark, round) }];
      }),
    );
    return volumeByWeek(rounds, dayOf(now));
  }

  private strikesOf(
    { blocks }: RoundDto,
    lead: 'left' | 'right',
    group: string,
    { book, byId }: { book: MoveBook; byId: Parameters<typeof fillBlock>[1] },
  ): LimbCount {
    const own = blocks.map((block) => forGroup(block, group));
    const key = `${lead} ${JSON.stringify(own)}`;
    const known = this.known.get(key);
    if (known) return known;
    const limbs = { 'left-hand': 0, 'right-hand': 0, 'left-leg': 0, 'right-leg': 0 };
    for (const block of own) {
      const strikes = strikesOfBlock(fillBlock(block as WrittenBlock, byId), book, lead).limbs;
      for (const limb of Object.keys(limbs) as (keyof typeof limbs)[]) limbs[limb] += strikes[limb];
    }
    this.known.set(key, limbs);
    return limbs;
  }
}

/** A block as one group does it: its own combos or its own number, where it has any. */
function forGroup(block: AnyBlockDto, group: string): AnyBlockDto {
  if (block.kind === 'combo') {
    const lane = block.lanes?.find((each) => each.group === group && each.combos.length > 0);
    return { ...block, combos: lane?.combos ?? block.combos, lanes: [] };
  }
  if (block.kind === 'count') {
    const reps = block.groups?.find((each) => each.group === group)?.reps ?? block.reps;
    return { ...block, reps, groups: [] };
  }
  return block;
}

function shareOf({ done, seconds }: typeof roundResults.$inferSelect, { blocks }: RoundDto): number {
  if (done === 'finished') return 1;
  if (done === 'sat-out' || done === null) return 0;
  const length = blocks.reduce((sum, block) => sum + (block.kind === 'rest' ? 0 : block.seconds), 0);
  return seconds === null || length === 0 ? SOME : Math.min(1, seconds / length);
}
