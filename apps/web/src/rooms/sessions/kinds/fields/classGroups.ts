import { createContext, useContext } from 'react';
import type { ClassGroupDto } from '@eurhythm/contract';

/** The groups of the class that the blocks around here are for, with their grades. */
export const ClassGroupsOf = createContext<readonly ClassGroupDto[]>([]);

export function useClassGroups(): readonly ClassGroupDto[] {
  return useContext(ClassGroupsOf);
}
