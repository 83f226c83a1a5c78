import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { queries } from '../../../app/queries.ts';
import type { PlanGround } from './usePlanned.ts';

/** What sessions are planned from; null until all of it is there. */
export function usePlanGround(): PlanGround | null {
  const { data: combos } = useQuery(queries.combos());
  const { data: book } = useQuery(queries.book());
  const { data: moves } = useQuery(queries.moves());
  const { data: gym } = useQuery(queries.gym());
  const { data: fighters } = useQuery(queries.fighters());
  return useMemo(() => {
    if (!combos || !book || !moves || !gym || !fighters) return null;
    const adults = new Set(gym.grades.filter((grade) => grade.band === 'adults').map((grade) => grade.id));
    const first = combos.find((combo) => adults.has(combo.gradeId)) ?? combos[0];
    return {
      combos,
      firstCombo: first?.id ?? null,
      book,
      gym,
      fighters,
      retired: new Set(moves.items.filter((move) => move.retired).map((move) => move.code)),
    };
  }, [combos, book, moves, gym, fighters]);
}
