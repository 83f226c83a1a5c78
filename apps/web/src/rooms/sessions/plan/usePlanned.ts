import { createContext, useContext } from 'react';
import type { PlannedSession } from '@eurhythm/core/plan';
import { NO_STRIKES } from '@eurhythm/core/rounds';

interface Answer extends Omit<PlannedSession, 'seconds'> {
  /** Whether it is known who comes. */
  readonly hasGroups: boolean;
}

export const NOT_YET: Answer = {
  strikes: NO_STRIKES,
  phases: [],
  warnings: [],
  care: [],
  times: {},
  hasGroups: true,
};

export const Planned = createContext(NOT_YET);

/** What the session around it comes to, and its warnings. */
export function usePlanned(): Answer {
  return useContext(Planned);
}
