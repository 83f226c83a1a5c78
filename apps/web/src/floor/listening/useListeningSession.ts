import { useEffect, useState, useSyncExternalStore } from 'react';
import { openStrikeInput } from '../../strikeInputs/openStrikeInput.ts';
import { useStable } from '../../ui/useStable.ts';
import type { OnsetReport } from '@eurhythm/core/strikes';
import { ListeningSession, type SessionParts, type SessionState } from './ListeningSession.ts';

/** A session of this component, closed with it, and its state. */
export function useListeningSession(parts: Omit<SessionParts, 'open' | 'now'>): {
  readonly session: ListeningSession;
  readonly state: SessionState;
} {
  const place = useStable(() => parts.place());
  const simulatedImpacts = useStable(() => parts.simulatedImpacts());
  const onOnset = useStable((round: number, report: OnsetReport): void => parts.onOnset(round, report));
  const onAgain = useStable((round: number): void => parts.onAgain?.(round));
  const onLevel = useStable((decibels: number): void => parts.onLevel?.(decibels));
  const [session] = useState(
    () =>
      new ListeningSession({
        open: openStrikeInput,
        place,
        simulatedImpacts,
        onOnset,
        onAgain,
        ...(parts.onLevel ? { onLevel } : {}),
      }),
  );
  useEffect(() => () => session.close(), [session]);
  return { session, state: useSyncExternalStore(session.subscribe, session.snapshot) };
}
