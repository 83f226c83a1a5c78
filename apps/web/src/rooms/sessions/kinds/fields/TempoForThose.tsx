import { useQuery } from '@tanstack/react-query';
import { tempoForThose } from '@eurhythm/core/progress';
import type { ComboBlockDto } from '@eurhythm/contract';
import { queries } from '../../../../server/queries.ts';
import { Button } from '../../../../ui/buttons/Button.tsx';
import { useClassGroups } from './classGroups.ts';

interface TempoForThoseProps {
  readonly block: ComboBlockDto;
  onTempo(bpm: number): void;
}

/** What the tempo of a block is to those of the class, from what the log advises each of them. */
export function TempoForThose({ block, onTempo }: TempoForThoseProps) {
  const groups = useClassGroups();
  const { data: fighters = [] } = useQuery(queries.fighters());
  const { data: tempos = [] } = useQuery(queries.tempos([]));
  const grades = new Set(groups.flatMap(({ gradeIds }) => gradeIds));
  const here = new Set(
    fighters.filter(({ gradeId }) => grades.size === 0 || grades.has(gradeId)).map(({ id }) => id),
  );
  const ids = new Set(block.combos.map(({ comboId }) => comboId));
  const advised = tempos.filter(({ fighterId, comboId }) => here.has(fighterId) && ids.has(comboId));
  const found = tempoForThose(advised, block.bpm);
  if (!found) return null;
  const { bpm, wild, of } = found;
  return (
    <p className="col-span-6 flex flex-wrap items-center gap-x-2 text-sm">
      <span>
        For those who may come: {bpm} a minute{wild > 0 && `; ${wild} of ${of} would be wild at ${block.bpm}`}
        .
      </span>
      {bpm !== block.bpm && (
        <Button weight="bare" className="px-1!" onClick={() => onTempo(bpm)}>
          Take {bpm}
        </Button>
      )}
    </p>
  );
}
