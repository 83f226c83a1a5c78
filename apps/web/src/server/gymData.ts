import { useQuery, useSuspenseQuery } from '@tanstack/react-query';
import type { MoveBook } from '@eurhythm/core/moves';
import type { BookView, ComboView, FighterView, GymView } from '@eurhythm/contract';
import { queries } from './queries.ts';

/** Whether the book, the combos and the gym are here, so that a room can be drawn; and why not. */
export function useGymData(): { readonly isHere: boolean; readonly error: Error | null } {
  const all = [useQuery(queries.moves()), useQuery(queries.combos()), useQuery(queries.gym())];
  return {
    isHere: all.every(({ data }) => data !== undefined),
    error: all.find(({ data, error }) => error && data === undefined)?.error ?? null,
  };
}

/*
 * What nearly every part of a room needs. Rooms wait for `useGymData` before they draw, so these are at hand in everything
 * below them.
 */

/** The gym's moves and numbers, ready to be looked up. */
export function useBook(): MoveBook {
  return useSuspenseQuery(queries.book()).data;
}

/** The same as it is edited: with what is retired. */
export function useBookView(): BookView {
  return useSuspenseQuery(queries.moves()).data;
}

export function useCombos(): readonly ComboView[] {
  return useSuspenseQuery(queries.combos()).data;
}

export function useGym(): GymView {
  return useSuspenseQuery(queries.gym()).data;
}

export function useFighters(): readonly FighterView[] {
  return useSuspenseQuery(queries.fighters()).data;
}
