import { kindOf, bpmOf } from '@eurhythm/core/rounds';
import { groupBy } from '@eurhythm/core/units';
import type { ClassGroupDto, FighterView, RoundDto } from '@eurhythm/contract';
import type { runRoundCombos, runRounds } from '../store/schema.ts';

/** The groups with those who are in them, in the order in which somebody was put into each. */
export function byGroup(groupOf: Readonly<Record<string, string>>): { name: string; fighterIds: string[] }[] {
  const all = groupBy(Object.entries(groupOf), ([, name]) => name);
  return [...all].map(([name, those]) => ({ name, fighterIds: those.map(([id]) => id) }));
}

/** The group that each fighter is in: that of the session which has the grade, else the one that is called like the grade. */
export function groupsOf(
  fighters: readonly Pick<FighterView, 'id' | 'gradeId' | 'grade'>[],
  groups: readonly ClassGroupDto[],
): Record<string, string> {
  return Object.fromEntries(
    fighters.map(({ id, gradeId, grade }) => [
      id,
      groups.find((group) => group.gradeIds.includes(gradeId))?.name ?? grade,
    ]),
  );
}

interface Trained {
  readonly rounds: (typeof runRounds.$inferInsert)[];
  readonly combos: (typeof runRoundCombos.$inferInsert)[];
}

/** The rounds of a run and the combos in them, with the group that does each; the empty name is everybody else. */
export function trainedIn(runId: string, rounds: readonly RoundDto[]): Trained {
  return {
    rounds: rounds.map(({ title, kind, blocks }, round) => ({
      runId,
      round,
      title,
      kind,
      bpm: blocks.map(bpmOf).find((bpm) => bpm !== null) ?? null,
    })),
    combos: rounds.flatMap(({ blocks }, round) =>
      blocks.flatMap(namedIn).map((named, place) => ({ runId, round, place, ...named })),
    ),
  };
}

function namedIn(block: RoundDto['blocks'][number], place: number) {
  const kind = kindOf(block);
  return kind.named(block).map(({ field, comboId }) => {
    const lane = /^lanes\.(\d+)\./.exec(field)?.[1];
    const groupName = lane === undefined ? '' : (kind.groups(block)[Number(lane)] ?? '');
    return { block: place, comboId, groupName, bpm: kind.endBpm(block) };
  });
}
