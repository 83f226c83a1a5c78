import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { togetherOf, trainsIt } from '@eurhythm/core/tempo';
import { howMany } from '@eurhythm/core/units';
import type { ComboBlockDto } from '@eurhythm/contract';
import { useAllCombos, useFighters } from '../../../../server/gymData.ts';
import { queries } from '../../../../server/queries.ts';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { useClassGroups } from './classGroups.ts';

interface TempoForThoseProps {
  readonly block: ComboBlockDto;
  onTempo(bpm: number): void;
}

/** What the tempo of a block is to those of the class who do it: the one that suits all of them. */
export function TempoForThose({ block, onTempo }: TempoForThoseProps) {
  const groups = useClassGroups();
  const fighters = useFighters();
  const combos = useAllCombos();
  const named = combos.filter(({ id }) => block.combos.some(({ comboId }) => comboId === id));
  // Groups with combos of their own do something else to this clock.
  const elsewhere = new Set((block.lanes ?? []).map(({ group }) => group));
  const grades = new Set(
    groups.filter(({ name }) => !elsewhere.has(name)).flatMap(({ gradeIds }) => gradeIds),
  );
  const here = fighters.filter(({ fit, gradeId }) => fit && (groups.length === 0 || grades.has(gradeId)));
  const { data: tempos = [] } = useQuery({
    ...queries.tempos(
      here.map(({ id }) => id),
      named.map(({ id }) => id),
    ),
    enabled: here.length > 0 && named.length > 0,
    placeholderData: keepPreviousData,
  });
  const gradeOf = new Map(here.map(({ id, gradeId }) => [id, gradeId]));
  const asked = tempos.filter(({ fighterId, comboId, last }) => {
    const combo = named.find(({ id }) => id === comboId);
    const gradeId = gradeOf.get(fighterId);
    if (!combo || gradeId === undefined) return false;
    return groups.length > 0 || trainsIt({ gradeId, isMarked: last !== null }, combo);
  });
  const together = togetherOf(asked);
  if (!together) return null;
  const { bpm, sentence, behind } = together;
  const of = new Set(asked.map(({ fighterId }) => fighterId));
  const beyond = new Set(asked.filter((each) => block.bpm > each.bpm).map(({ fighterId }) => fighterId));
  return (
    <p className="col-span-6 flex flex-wrap items-center gap-x-2 text-sm">
      <span>
        For {howMany(of.size, 'fighter')} who may do it: {bpm} bpm. {sentence}
        {behind.length > 0 && ` By themselves: ${namesOf(behind)}.`}
        {bpm < block.bpm && ` ${block.bpm} is more than is right yet for ${beyond.size} of ${of.size}.`}
      </span>
      {bpm !== block.bpm && (
        <Button weight="bare" className="px-1!" onClick={() => onTempo(bpm)}>
          Take {bpm}
        </Button>
      )}
    </p>
  );
}

/** So many are named; the others are counted. */
const NAMED = 4;

function namesOf(behind: readonly { readonly name: string; readonly bpm: number }[]): string {
  const named = behind.slice(0, NAMED).map(({ name, bpm }) => `${name} ${bpm}`);
  return [...named, ...(behind.length > NAMED ? [`${behind.length - NAMED} more`] : [])].join(', ');
}
