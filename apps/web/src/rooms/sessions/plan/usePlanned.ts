import { createContext, useContext } from 'react';
import type { PlannedSession } from '@eurhythm/core/plan';
import { NO_STRIKES } from '@eurhythm/core/rounds';

type Answer = Omit<PlannedSession, 'seconds'>;

export const NOT_YET: Answer = { strikes: NO_STRIKES, phases: [], warnings: [], times: {} };

export const Planned = createContext(NOT_YET);

/** What the session around it comes to, and its warnings. */
export function usePlanned(): Answer {
  return useContext(Planned);
}
