import { useSuspenseQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import type { MoveBook } from '@eurhythm/core/moves';
import type { BookView, ComboView, FighterView, GymView } from '@eurhythm/contract';
import { queries } from './queries.ts';

/*
 * What nearly every part of a room needs. Rooms stand within `GymData`, which fetches all of it at once before they are
 * drawn; reading it costs nothing then, however many rows of a list do.
 */

export const BookContext = createContext<MoveBook | null>(null);
export const BookViewContext = createContext<BookView | null>(null);
export const CombosContext = createContext<readonly ComboView[] | null>(null);
export const AllCombosContext = createContext<readonly ComboView[] | null>(null);
export const GymContext = createContext<GymView | null>(null);

/** The gym's moves and numbers, ready to be looked up. */
export function useBook(): MoveBook {
  return within(useContext(BookContext));
}

/** The same as it is edited: with what is retired. */
export function useBookView(): BookView {
  return within(useContext(BookViewContext));
}

/** The combos that are offered. */
export function useCombos(): readonly ComboView[] {
  return within(useContext(CombosContext));
}

/** The same with those that are retired, for what names them. */
export function useAllCombos(): readonly ComboView[] {
  return within(useContext(AllCombosContext));
}

export function useGym(): GymView {
  return within(useContext(GymContext));
}

export function useFighters(): readonly FighterView[] {
  return useSuspenseQuery(queries.fighters()).data;
}

function within<T>(value: T | null): T {
  if (value === null) throw new Error('This part of a room stands outside of the gym’s data.');
  return value;
}
