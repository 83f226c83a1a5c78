import { useEffect, useRef, useState } from 'react';
import { simulateRound } from '@eurhythm/core/standIns';
import { dueStrikes } from '@eurhythm/core/strikes';
import { seededRandom } from '@eurhythm/core/units';
import type { Ear, EarKind, EarStrike } from '../../ears/Ear.ts';
import { openEar } from '../../ears/openEar.ts';
import type { DeckState } from '../../floor/RunDeck.ts';
import type { FollowingDeck } from '../../hall/FollowingDeck.ts';
import type { HallMember } from '../../hall/HallMember.ts';
import { StationTeller, type StationSelf } from '../../hall/StationTeller.ts';
import { newId } from '../../server/api.ts';
import { useStable } from '../../ui/useStable.ts';

const TELL_MS = 250;
const PLACE = 'eurhythm.station-id';
/** Who strikes where it is only tried. */
const NOBODY = { bias: 0.02, spread: 0.025, fading: 0.03, misses: 0.08, extras: 0.06 } as const;

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
  /** How many were heard in this round, and how many of them the coach's device knows. */
  readonly count: { readonly heard: number; readonly known: number };
}

interface StationProps {
  readonly kind: EarKind | null;
  readonly code: string;
  readonly name: string;
  readonly fighterIds: readonly string[];
  readonly deck: FollowingDeck;
  readonly state: DeckState;
  readonly member: HallMember;
}

/** Listens at a bag or at a pair, and tells the coach's device what it hears. */
export function useStationEar({
  kind,
  code,
  name,
  fighterIds,
  deck,
  state,
  member,
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
    const plain = device.replace(/[<>\p{Cc}]/gu, '').slice(0, 120);
    return {
      station: stationId(),
      name,
      fighterIds: [...fighterIds],
      source,
      device: plain,
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
  const position = useStable(() => (deck.state.phase === 'running' ? deck.position : null));
  const hear = useStable(({ at, ...strike }: EarStrike): void => {
    const now = position();
    if (now === null) return;
    const inRound = now - (performance.now() / 1000 - at);
    if (inRound < 0) return;
    teller.hears(deck.state.round, { ...strike, at: Math.round(inRound * 1000) / 1000 });
    draw((n) => n + 1);
  });
  const say = useStable((what: string): void => {
    setTold(what);
    teller.says(self(false, what));
  });
  const impactsOf = useStable(() => {
    const due = dueStrikes(deck.rounds[round]!).map(({ at }) => at);
    return simulateRound(due, NOBODY, seededRandom(round + fighterIds.length + 1));
  });
  // A virtual fighter learns each round anew.
  const tried = kind === 'pretend' ? round : null;
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
        if (deck.state.phase !== 'ready') teller.begins(deck.state.round, Math.max(0, deck.position));
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
  }, [kind, tried, code, hear, say, position, impactsOf, teller, self, deck]);
  const who = fighterIds.join();
  useEffect(() => {
    if (ear.current) teller.says(self(false, ''));
  }, [who, name, teller, self]);
  useEffect(() => {
    const look = (): void => {
      const { known } = teller.countOf(deck.state.round);
      void teller.tell().then(() => teller.countOf(deck.state.round).known !== known && draw((n) => n + 1));
    };
    const timer = setInterval(look, TELL_MS);
    return () => clearInterval(timer);
  }, [teller, deck]);
  // A round that is begun anew is heard anew.
  const last = useRef({ round: -1, position: 0 });
  useEffect(() => {
    const timer = setInterval(() => {
      const now = { round: deck.state.round, position: deck.position };
      if (now.round === last.current.round && now.position < last.current.position - 1)
        teller.again(now.round);
      last.current = now;
    }, TELL_MS);
    return () => clearInterval(timer);
  }, [teller, deck]);
  return { isOpen, told, count: teller.countOf(round) };
}
