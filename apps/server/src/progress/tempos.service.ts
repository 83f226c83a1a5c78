import { Injectable } from '@nestjs/common';
import { comboName } from '@eurhythm/core/plan';
import { cleanTempos, tempoOf, type CleanUpTo } from '@eurhythm/core/tempo';
import type { MoveBook } from '@eurhythm/core/moves';
import { groupBy } from '@eurhythm/core/units';
import type { ComboView, TempoView } from '@eurhythm/contract';
import { CombosService } from '../combos/combos.service.ts';
import { FightersService } from '../fighters/fighters.service.ts';
import { MovesService } from '../moves/moves.service.ts';
import { weeksBefore } from './days.ts';
import { PaceService } from './pace.service.ts';
import { SetsService } from './sets.service.ts';

/** Sets of the last weeks say what the next tempo is. */
export const TEMPO_WEEKS = 12;

/** The tempo of each combo for each fighter: the one number that pages, drafts and questions go by. */
@Injectable()
export class TemposService {
  constructor(
    private readonly sets: SetsService,
    private readonly combos: CombosService,
    private readonly moves: MovesService,
    private readonly fighters: FightersService,
    private readonly pace: PaceService,
  ) {}

  /** What was reckoned of the book as it stands. */
  private clean: { readonly book: MoveBook; readonly upTo: CleanUpTo } | null = null;

  /** For some, by the combos that they trained lately, the newest first; or by `comboIds`, whether they did them or not. */
  async of(fighterIds: readonly string[], now: Date, comboIds?: readonly string[]): Promise<TempoView[]> {
    const [sets, combos, book, who, paces] = await Promise.all([
      this.sets.of(fighterIds, weeksBefore(now, TEMPO_WEEKS)),
      this.combos.list(),
      this.moves.book(),
      this.fighters.some(fighterIds),
      this.pace.of(fighterIds, now),
    ]);
    const upTo = this.cleanUpTo(book);
    const known = new Map(combos.map((combo) => [combo.id, combo]));
    const names = new Map(who.map(({ id, name }) => [id, name]));
    const marked = groupBy(
      sets.flatMap(({ fighterId, comboId, runId, bpm, quality }) =>
        bpm === null || quality === null ? [] : [{ fighterId, comboId, set: { runId, bpm, quality } }],
      ),
      ({ fighterId, comboId }) => `${fighterId} ${comboId}`,
    );
    const view = (fighterId: string, combo: ComboView): TempoView[] => {
      const own = (marked.get(`${fighterId} ${combo.id}`) ?? []).map(({ set }) => set);
      const name = names.get(fighterId);
      if (name === undefined) return [];
      const person = { id: fighterId, name, pace: paces.get(fighterId)!.factor };
      const { bpm, clean, sentence } = tempoOf(person, combo, own, upTo);
      const last = own.at(-1)?.bpm ?? null;
      return [
        {
          fighterId,
          name,
          comboId: combo.id,
          combo: comboName(combo),
          last,
          bpm,
          clean,
          sentence,
          sets: own,
        },
      ];
    };
    if (comboIds)
      return fighterIds.flatMap((id) =>
        comboIds.flatMap((comboId) => (known.has(comboId) ? view(id, known.get(comboId)!) : [])),
      );
    return [...marked.values()].flatMap(([first]) => {
      const combo = known.get(first!.comboId);
      return combo ? view(first!.fighterId, combo) : [];
    });
  }

  private cleanUpTo(book: MoveBook): CleanUpTo {
    if (this.clean?.book !== book) this.clean = { book, upTo: cleanTempos(book) };
    return this.clean.upTo;
  }
}
