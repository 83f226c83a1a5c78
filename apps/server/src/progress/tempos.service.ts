import { Injectable } from '@nestjs/common';
import { analyseCombo, cleanWhenRepeated, type OwnPace } from '@eurhythm/core/body';
import { comboName } from '@eurhythm/core/plan';
import { cycleLength } from '@eurhythm/core/rounds';
import { nextTempo } from '@eurhythm/core/speed';
import { groupBy } from '@eurhythm/core/units';
import type { ComboView, TempoView } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { weeksBefore } from './days.ts';
import { PaceService } from './pace.service.ts';
import { SetsService } from './sets.service.ts';

/** Sets of the last weeks say what the next tempo is. */
const WEEKS = 12;

/** The next tempo of each combo for each fighter. */
@Injectable()
export class TemposService {
  constructor(
    private readonly sets: SetsService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly fighters: FightersService,
    private readonly pace: PaceService,
  ) {}

  /** For some, by the combos that they trained lately, the newest first. */
  async of(fighterIds: readonly string[], now: Date): Promise<TempoView[]> {
    const [sets, combos, book, who, paces] = await Promise.all([
      this.sets.of(fighterIds, weeksBefore(now, WEEKS)),
      this.combos.list(),
      this.moves.book(),
      this.fighters.some(fighterIds),
      this.pace.of(fighterIds, now),
    ]);
    const known = new Map(combos.map((combo) => [combo.id, combo]));
    const leads = new Map(who.map(({ id, lead }) => [id, lead]));
    const limits = new Map<string, number | null>();
    const fastest = (combo: ComboView, lead: 'left' | 'right', factor: number | OwnPace): number | null => {
      const key = `${combo.id} ${lead} ${JSON.stringify(factor)}`;
      const kept = limits.get(key);
      if (kept !== undefined) return kept;
      const analysis = analyseCombo(combo.line, book, lead);
      const { walk } = analysis.ok ? analysis : { walk: null };
      const clean = walk && cleanWhenRepeated(walk, cycleLength(walk, lead, combo), { factor });
      const bpm = clean?.bpm ?? null;
      limits.set(key, bpm);
      return bpm;
    };
    return [...groupBy(sets, ({ fighterId, comboId }) => `${fighterId} ${comboId}`).values()].flatMap(
      (those) => {
        const { fighterId, comboId } = those[0]!;
        const combo = known.get(comboId);
        const tried = those.flatMap(({ bpm, quality }) =>
          bpm === null || quality === null ? [] : [{ bpm, quality }],
        );
        if (!combo || tried.length === 0) return [];
        const pace = paces.get(fighterId)!;
        const advice = nextTempo(tried, fastest(combo, leads.get(fighterId) ?? 'left', pace.factor));
        const last = tried.at(-1)!.bpm;
        return advice ? [{ fighterId, comboId, combo: comboName(combo), last, ...advice }] : [];
      },
    );
  }
}
