import { useEffect, useState } from 'react';
import { fightRound, simulateBurst } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { BURST_ROUND } from '@eurhythm/contract';
import { useListeningSession } from '../../floor/listening/useListeningSession.ts';
import type { ListeningSession, PlayedPlace } from '../../floor/listening/ListeningSession.ts';
import type { ControllerState } from '../../floor/run/RunController.ts';
import type { FollowingController } from '../../hall/FollowingController.ts';
import type { HallMember, MemberState } from '../../hall/HallMember.ts';
import { StationTeller, type StationSelf } from '../../hall/StationTeller.ts';
import { newId } from '../../server/api.ts';
import { plainName } from '../../strikeInputs/heardTrial.ts';
import { NOBODY_IN_BURST, NOBODY_IN_ROUND } from '../../strikeInputs/simulatedProfiles.ts';
import type { RoundInputKind, StrikeInput } from '../../strikeInputs/StrikeInput.ts';
import { useStable } from '../../ui/useStable.ts';

const TELL_MS = 250;
const PLACE = 'eurhythm.station-id';

/** The same for as long as this tab is the same device. */
function stationId(): string {
  const known = sessionStorage.getItem(PLACE);
  if (known) return known;
  const made = newId();
  sessionStorage.setItem(PLACE, made);
  return made;
}

export interface StationInput {
  readonly isOpen: boolean;
  /** Why nothing is heard, or what is to be known; empty while all is well. */
  readonly status: string;
  /** How many were heard in this round, and how much of that the coach's device does not know yet. */
  readonly count: { readonly heard: number; readonly waiting: number };
}

interface StationProps {
  readonly kind: RoundInputKind | null;
  readonly code: string;
  readonly name: string;
  readonly fighterIds: readonly string[];
  readonly controller: FollowingController;
  readonly state: ControllerState;
  readonly member: HallMember;
  /** The burst of the class that runs. */
  readonly burst: MemberState['burst'];
}

/** Listens at a bag or at a pair, and tells the coach's device what it hears. */
export function useStationInput(props: StationProps): StationInput {
  const { kind, code, name, fighterIds, controller, member, burst } = props;
  const { round } = props.state;
  const [, draw] = useState(0);
  /** Where the class is: in a round, or in a burst between two of them, from its bell on. */
  const place = useStable((): PlayedPlace => {
    if (burst) return { round: BURST_ROUND, at: (member.clock.now() - burst.at) / 1000 };
    return {
      round: controller.state.round,
      at: controller.state.phase === 'running' ? controller.position : null,
    };
  });
  const self = useStable((input: StrikeInput | null, status: string): StationSelf => ({
    station: stationId(),
    name,
    fighterIds: [...fighterIds],
    ...describedInput(input),
    status,
    isGone: input === null,
  }));
  const [teller] = useState(() => new StationTeller(self(null, ''), (heard) => member.heard(heard)));
  const { session, state } = useListeningSession({
    place,
    simulatedImpacts: () => {
      const random = seededRandom(round + fighterIds.length + 1);
      return burst
        ? simulateBurst(NOBODY_IN_BURST, burst.seconds, random)
        : fightRound(controller.rounds[round]!, NOBODY_IN_ROUND, random);
    },
    onOnset: (of, report) => {
      teller.hears(of, report);
      draw((n) => n + 1);
    },
    onAgain: (of) => teller.again(of),
  });
  useEffect(() => teller.enters(round), [teller, round]);
  // A virtual fighter learns each round anew.
  const learnt = kind === 'pretend' ? `${round} ${burst !== null}` : null;
  useEffect(() => {
    if (kind === null) return;
    // Why it could not be opened stands in the state.
    session.open({ kind, code }).catch(() => {});
    return () => session.close();
  }, [kind, learnt, code, session]);
  const { input, openedAt, status, failure } = state;
  useEffect(() => {
    const { round: of = 0, at = null } = openedAt ?? {};
    if (input && at !== null) teller.begins(of, Math.max(0, at));
  }, [teller, input, openedAt]);
  const who = fighterIds.join();
  useEffect(() => teller.says(self(input, status)), [teller, self, input, status, who, name]);
  useTelling(teller, session, place, () => draw((n) => n + 1));
  return {
    isOpen: input !== null,
    status: failure === '' ? status : failure,
    count: teller.countOf(burst ? BURST_ROUND : round),
  };
}

/** Tells the coach's device from time to time what it does not know yet. */
function useTelling(
  teller: StationTeller,
  session: ListeningSession,
  place: () => PlayedPlace,
  onTold: () => void,
): void {
  const told = useStable(onTold);
  useEffect(() => {
    const tell = (): void => {
      session.look();
      const of = place().round;
      const { waiting } = teller.countOf(of);
      void teller.tell().then(() => teller.countOf(of).waiting !== waiting && told());
    };
    const timer = setInterval(tell, TELL_MS);
    return () => clearInterval(timer);
  }, [teller, place, session, told]);
}

function describedInput(
  input: StrikeInput | null,
): Pick<StationSelf, 'source' | 'device' | 'latency' | 'detector' | 'leastStrength'> {
  const { source = null, device = '', detector = null, leastStrength = null } = input ?? {};
  return { source, device: plainName(device), latency: 0, detector, leastStrength };
}
