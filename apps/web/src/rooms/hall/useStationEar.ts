import { useEffect, useRef, useState } from 'react';
import { fightRound, simulateBurst } from '@eurhythm/core/simulation';
import { seededRandom } from '@eurhythm/core/units';
import { BURST_ROUND } from '@eurhythm/contract';
import type { Ear, EarKind, EarStrike } from '../../ears/Ear.ts';
import { plainName } from '../../ears/heardTrial.ts';
import { NOBODY_IN_BURST, NOBODY_IN_ROUND } from '../../ears/nobody.ts';
import { openEar } from '../../ears/openEar.ts';
import { Passage } from '../../floor/listening/Passage.ts';
import type { ControllerState } from '../../floor/RunController.ts';
import type { FollowingController } from '../../hall/FollowingController.ts';
import type { HallMember, MemberState } from '../../hall/HallMember.ts';
import { StationTeller, type StationSelf } from '../../hall/StationTeller.ts';
import { newId } from '../../server/api.ts';
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

export interface StationEar {
  readonly isOpen: boolean;
  /** Why nothing is heard, or what is to be known; empty while all is well. */
  readonly told: string;
  /** How many were heard in this round, and how much of that the coach's device does not know yet. */
  readonly count: { readonly heard: number; readonly waiting: number };
}

interface StationProps {
  readonly kind: EarKind | null;
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
export function useStationEar({
  kind,
  code,
  name,
  fighterIds,
  controller,
  state,
  member,
  burst,
}: StationProps): StationEar {
  const [told, setTold] = useState('');
  const [isOpen, setOpen] = useState(false);
  const [, draw] = useState(0);
  const ear = useRef<Ear | null>(null);
  const self = useStable((isGone: boolean, what: string): StationSelf => {
    const {
      source = null,
      device = '',
      latency = 0,
      detector = null,
      leastStrength = null,
    } = ear.current ?? {};
    return {
      station: stationId(),
      name,
      fighterIds: [...fighterIds],
      source,
      device: plainName(device),
      latency,
      detector,
      leastStrength,
      told: what,
      isGone,
    };
  });
  const [teller] = useState(() => new StationTeller(self(true, ''), (heard) => member.heard(heard)));
  const { round } = state;
  useEffect(() => teller.enters(round), [teller, round]);
  /** Where the class is: in a round, or in a burst between two of them, from its bell on. */
  const place = useStable((): { round: number; at: number | null } => {
    if (burst) return { round: BURST_ROUND, at: (member.clock.now() - burst.at) / 1000 };
    return {
      round: controller.state.round,
      at: controller.state.phase === 'running' ? controller.position : null,
    };
  });
  const position = useStable(() => place().at);
  const [passage] = useState(() => new Passage());
  // A round, or a burst, that is begun anew is heard anew.
  const look = useStable((): void => {
    const { round: of, at } = place();
    if (passage.stands(of, at, performance.now() / 1000)) teller.again(of);
  });
  const hear = useStable(({ at, ...strike }: EarStrike): void => {
    look();
    const struck = passage.at(at);
    if (!struck) return;
    teller.hears(struck.round, { ...strike, at: struck.at });
    draw((n) => n + 1);
  });
  const say = useStable((what: string): void => {
    setTold(what);
    teller.says(self(false, what));
  });
  const impactsOf = useStable(() => {
    const random = seededRandom(round + fighterIds.length + 1);
    return burst
      ? simulateBurst(NOBODY_IN_BURST, burst.seconds, random)
      : fightRound(controller.rounds[round]!, NOBODY_IN_ROUND, random);
  });
  // A virtual fighter learns each round anew.
  const tried = kind === 'pretend' ? `${round} ${burst !== null}` : null;
  useEffect(() => {
    if (kind === null) return;
    let isGone = false;
    openEar(
      { kind, keepsSound: false, code, pretends: { impacts: impactsOf(), position } },
      { onStrike: hear, onEnd: say, onTold: say },
    ).then(
      (opened) => {
        if (isGone) return opened.close();
        ear.current = opened;
        setOpen(true);
        const { round: of, at } = place();
        if (at !== null) teller.begins(of, Math.max(0, at));
        say('');
      },
      (error: Error) => !isGone && setTold(error.message),
    );
    return () => {
      isGone = true;
      ear.current?.close();
      ear.current = null;
      setOpen(false);
      setTold('');
      teller.says(self(true, ''));
    };
  }, [kind, tried, code, hear, say, position, impactsOf, teller, self, place]);
  const who = fighterIds.join();
  useEffect(() => {
    if (ear.current) teller.says(self(false, ''));
  }, [who, name, teller, self]);
  useEffect(() => {
    const tell = (): void => {
      look();
      const of = place().round;
      const { waiting } = teller.countOf(of);
      void teller.tell().then(() => teller.countOf(of).waiting !== waiting && draw((n) => n + 1));
    };
    const timer = setInterval(tell, TELL_MS);
    return () => clearInterval(timer);
  }, [teller, place, look]);
  return { isOpen, told, count: teller.countOf(burst ? BURST_ROUND : round) };
}
