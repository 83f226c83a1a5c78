import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Outlet } from 'react-router';
import { AllCombosContext, BookContext, BookViewContext, CombosContext, GymContext } from './gymData.ts';
import { queries } from './queries.ts';

/** The rooms that need the book, the combos and the gym, once all of them are here. */
export function GymData() {
  const moves = useQuery(queries.moves());
  const book = useQuery(queries.book());
  const combos = useQuery(queries.combos());
  const gym = useQuery(queries.gym());
  const offered = useMemo(() => combos.data?.filter((combo) => !combo.retired) ?? [], [combos.data]);
  if (moves.data && book.data && combos.data && gym.data)
    return (
      <BookViewContext value={moves.data}>
        <BookContext value={book.data}>
          <AllCombosContext value={combos.data}>
            <CombosContext value={offered}>
              <GymContext value={gym.data}>
                <Outlet />
              </GymContext>
            </CombosContext>
          </AllCombosContext>
        </BookContext>
      </BookViewContext>
    );
  return null;
}
