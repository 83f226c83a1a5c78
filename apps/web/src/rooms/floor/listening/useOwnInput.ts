import { useEffect, useState } from 'react';
import type { RoundToPlay } from '@eurhythm/core/run';
import { simulateRound } from '@eurhythm/core/simulation';
import type { DueInRound } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import type { Listening } from '../../../floor/listening/Listening.ts';
import { useListeningSession } from '../../../floor/listening/useListeningSession.ts';
import type { RoundInputKind } from '../../../strikeInputs/StrikeInput.ts';
import { NOBODY_IN_ROUND } from '../../../strikeInputs/simulatedProfiles.ts';

/** This device among those that listen. */
export const OWN_INPUT = 'here';

/** What plays the round and where it stands. */
export interface InputPlace {
  /** Null while it stands still. */
  position(): number | null;
  readonly round: number;
  readonly compiled: RoundToPlay;
  /** What is due of those whose strikes are heard. */
  due(fighterIds: readonly string[]): readonly DueInRound[];
}

export interface OwnInputWish {
  readonly kind: RoundInputKind | 'nothing';
  readonly fighterIds: readonly string[];
}

export interface OwnInput {
  readonly wish: OwnInputWish;
  readonly isOpen: boolean;
  /** Why it does not hear; empty while it does. */
  readonly failure: string;
  change(wish: OwnInputWish): void;
}

/** Listens to rounds with this device itself, for as long as the page shows the run. */
export function useOwnInput(listening: Listening, place: InputPlace): OwnInput {
  const [wish, change] = useState<OwnInputWish>({ kind: 'nothing', fighterIds: [] });
  const { round } = place;
  const { session, state } = useListeningSession({
    place: () => ({ round: place.round, at: place.position() }),
    simulatedImpacts: () => {
      const due = place.due(wish.fighterIds).map(({ at }) => at);
      return simulateRound(due, NOBODY_IN_ROUND, seededRandom(place.round + 1));
    },
    onOnset: (of, report) => void listening.hears(OWN_INPUT, of, listening.knownOf(OWN_INPUT, of), [report]),
  });
  const { kind, fighterIds } = wish;
  // A virtual fighter learns each round anew.
  const learnt = kind === 'pretend' ? place.compiled : null;
  useEffect(() => {
    if (kind === 'nothing') return;
    // Why it could not be opened stands in the state.
    session.open({ kind }).catch(() => {});
    return () => session.close();
  }, [kind, learnt, session]);
  const { input, openedAt, status, failure } = state;
  useEffect(() => {
    if (!input) return;
    const { source, device, detector, leastStrength } = input;
    const named = { id: OWN_INPUT, name: 'this device', fighterIds };
    listening.comes({ ...named, source, device, detector, leastStrength, status: status });
    const from = openedAt?.round === round ? Math.max(0, openedAt.at ?? 0) : 0;
    listening.hears(OWN_INPUT, round, listening.knownOf(OWN_INPUT, round), [], from);
  }, [listening, input, openedAt, status, fighterIds, round]);
  useEffect(() => (input ? () => listening.leaves(OWN_INPUT) : undefined), [listening, input]);
  return { wish, isOpen: input !== null, failure, change };
}
