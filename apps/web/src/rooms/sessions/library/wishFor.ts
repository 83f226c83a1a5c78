import { differenceInCalendarDays } from 'date-fns';
import { PACE_FACTORS } from '@eurhythm/core/body';
import type { MoveBook } from '@eurhythm/core/moves';
import { countedTechnique, type DraftGroup, type DraftWish, type SessionDraft } from '@eurhythm/core/plan';
import { USUAL_FREE_BLOCK, fillBlock, kindOf } from '@eurhythm/core/rounds';
import {
  type AnyBlockDto,
  type ComboView,
  type FighterView,
  type GymView,
  type LastTrained,
  type LibraryItem,
  type MemoryView,
  type RoundDto,
  type TechniqueLists,
} from '@eurhythm/contract';

/** What a coach says about the class that is to be drafted. */
export interface Wanted {
  readonly minutes: number;
  /** In the order of the lanes: the first is the one that the voice calls. */
  readonly gradeIds: readonly string[];
  readonly focus: string;
  readonly people: number;
}

export interface Known {
  readonly library: readonly LibraryItem[];
  readonly techniques: TechniqueLists;
  readonly trained: LastTrained;
  /** What those who may come remember. */
  readonly memory: readonly Pick<MemoryView, 'fighterId' | 'comboId' | 'isDue'>[];
  readonly fighters: readonly Pick<FighterView, 'id' | 'gradeId' | 'fit'>[];
}

/** Puts together what the draft has to choose from. */
export function wishFor(
  { minutes, gradeIds, focus, people }: Wanted,
  {
    gym,
    combos,
    book,
  }: { readonly gym: GymView; readonly combos: readonly ComboView[]; readonly book: MoveBook },
  known: Known,
  now: Date,
): DraftWish {
  const byId = new Map(combos.map((combo) => [combo.id, combo]));
  const daysAgo = (id: string): number | null => {
    const at = known.trained[id];
    return at === undefined ? null : Math.max(0, differenceInCalendarDays(now, new Date(at)));
  };
  const due = (id: string, gradeId: string): { with: number; of: number } => {
    const those = new Set(
      known.fighters.filter((each) => each.fit && each.gradeId === gradeId).map((each) => each.id),
    );
    const dueWith = known.memory.filter(
      ({ comboId, fighterId, isDue }) => isDue && comboId === id && those.has(fighterId),
    );
    return { with: dueWith.length, of: those.size };
  };
  const group = (gradeId: string): DraftGroup => ({
    name: gym.grades.find((grade) => grade.id === gradeId)?.name ?? gradeId,
    combos: combos
      .filter((combo) => combo.gradeId === gradeId)
      .map((combo) => ({ ...combo, daysAgo: daysAgo(combo.id), due: due(combo.id, gradeId) })),
    techniques: (known.techniques[gradeId] ?? []).flatMap(
      (technique) => countedTechnique(technique, byId.get(technique.comboId ?? ''), book) ?? [],
    ),
  });
  return {
    minutes,
    groups: gradeIds.map(group),
    focus: focus === '' ? null : focus,
    floorSteps: gym.school.floorSteps,
    kit: gym.school.kit,
    people,
    library: known.library.flatMap(({ rounds }) =>
      rounds.length === 1
        ? rounds.map((round) => ({
            ...round,
            blocks: round.blocks.map((block) => fillBlock(block, byId)),
          }))
        : [],
    ),
    words: gym.school.words,
    prompts: USUAL_FREE_BLOCK.prompts,
    factor: PACE_FACTORS[gym.school.pace],
  };
}

/** The drafted rounds as the builder keeps them: combos of the book by their ids, others by their lines. */
export function roundsOf({ rounds }: SessionDraft, combos: readonly ComboView[]): RoundDto[] {
  const known = new Set(combos.map((combo) => combo.id));
  return rounds.map(({ id, title, kind, blocks }) => ({
    id,
    title,
    kind,
    blocks: blocks.map((block) => kindOf(block).refer(block, (comboId) => known.has(comboId)) as AnyBlockDto),
  }));
}
